import type { ChangeItem } from '../model/changes'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { usualFacts } from '../plan/facts'
import type { JobDraft } from './readJobs'

/** How drafts become rows. */
export interface Bringing {
  /** Hours of a job whose list gives none; null: it comes without a step. */
  readonly hoursOtherwise: number | null
  /** When work that the list calls done was finished, UTC ms. */
  readonly doneAt: number
  /** The longest that anybody is on the boat in one go, hours; 0: not known. */
  readonly longestDayHours: number
}

/** True for work to come that is usually done in one go, and that no day of anybody is long enough for. */
const isLongerThanADay = (
  { operation, state }: JobDraft,
  hours: number,
  longestDayHours: number,
): boolean =>
  state !== 'done' &&
  longestDayHours > 0 &&
  hours > longestDayHours &&
  usualFacts(operation).inOneGo

/**
 * The change list that brings drafts in: a job each with one step that carries its name, its cost as a part,
 * and links by name to jobs that are there or come with it. Drafts with problems are left out.
 */
export function draftChanges(
  drafts: readonly JobDraft[],
  rows: Pick<RefitRows, 'job'>,
  { hoursOtherwise, doneAt, longestDayHours }: Bringing,
  newId: () => string,
): ChangeItem[] {
  const good = drafts
    .filter((draft) => draft.problems.length === 0)
    .sort((a, b) => (a.rank ?? 1e9) - (b.rank ?? 1e9) || a.row - b.row)
  const orders = keysAfter(inOrder(rows.job).at(-1)?.order ?? null, good.length)
  const idOf = new Map(rows.job.map((job) => [job.title.toLowerCase(), job.id]))
  const jobs = good.map((draft, index) => {
    const id = newId()
    idOf.set(draft.title.toLowerCase(), id)
    return { draft, id, order: orders[index] as string }
  })
  return jobs.flatMap(({ draft, id, order }): ChangeItem[] => {
    const { title, zoneId, systemId, purpose, severity, gateId, detail, decision } = draft
    const items: ChangeItem[] = [
      {
        op: 'create',
        entity: 'job',
        id,
        patch: {
          title,
          zoneId,
          systemId,
          purpose,
          severity,
          gateId,
          detail,
          decision,
          order,
          placed: gateId !== null,
        },
      },
    ]
    const stepId = newId()
    // A finished job without hours is still finished.
    const hours = draft.hours ?? hoursOtherwise ?? (draft.state === 'done' ? 0 : null)
    if (hours !== null)
      items.push({
        op: 'create',
        entity: 'step',
        id: stepId,
        patch: {
          jobId: id,
          title,
          operation: draft.operation,
          hoursLikely: hours,
          // A line is a whole job, not one coat: what no day is long enough for is left and taken up again.
          splittable: isLongerThanADay(draft, hours, longestDayHours) ? true : null,
          wantedPersonId: draft.wantedPersonId,
          state: draft.state,
          doneAt: draft.state === 'done' ? doneAt : null,
          order: 'n',
        },
      })
    if (draft.costMinor !== null)
      items.push({
        op: 'create',
        entity: 'part',
        id: newId(),
        patch: {
          name: `Cost of the list: ${title}`.slice(0, 200),
          jobId: id,
          priceMinor: draft.costMinor,
          state: draft.state === 'done' ? 'fitted' : 'wanted',
        },
      })
    const fromJobId = draft.after === null ? undefined : idOf.get(draft.after.toLowerCase())
    if (fromJobId && fromJobId !== id)
      items.push({ op: 'create', entity: 'link', id: newId(), patch: { fromJobId, toJobId: id } })
    return items
  })
}
