import type { ChangeItem } from '../model/changes'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { JobDraft } from './readJobs'

/** The change list that brings drafts in: jobs, a step where hours are known, links by name. */
export function draftChanges(
  drafts: readonly JobDraft[],
  rows: Pick<RefitRows, 'job'>,
  newId: () => string,
): ChangeItem[] {
  const good = drafts.filter((draft) => draft.problems.length === 0)
  const orders = keysAfter(inOrder(rows.job).at(-1)?.order ?? null, good.length)
  const idOf = new Map(rows.job.map((job) => [job.title.toLowerCase(), job.id]))
  const jobs = good.map((draft, index) => {
    const id = newId()
    idOf.set(draft.title.toLowerCase(), id)
    return { draft, id, order: orders[index] as string }
  })
  return jobs.flatMap(({ draft, id, order }): ChangeItem[] => {
    const { title, zoneId, systemId, purpose, severity, gateId, detail } = draft
    const patch = { title, zoneId, systemId, purpose, severity, gateId, detail, order }
    const items: ChangeItem[] = [{ op: 'create', entity: 'job', id, patch }]
    if (draft.hours !== null)
      items.push({
        op: 'create',
        entity: 'step',
        id: newId(),
        patch: { jobId: id, title: 'Do the work', hoursLikely: draft.hours, order: 'n' },
      })
    const fromJobId = draft.after === null ? undefined : idOf.get(draft.after.toLowerCase())
    if (fromJobId && fromJobId !== id)
      items.push({ op: 'create', entity: 'link', id: newId(), patch: { fromJobId, toJobId: id } })
    return items
  })
}
