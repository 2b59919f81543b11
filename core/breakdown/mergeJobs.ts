import { topological } from '../graph'
import type { ChangeItem } from '../model/changes'
import type { Job } from '../model/entities'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { references } from '../model/references'
import { deletion, patchOf, plainRows } from '../model/removal'
import { cycleSentence, findCycle } from '../plan/network'
import { accepted, refused } from '../result'
import type { Outcome } from './outcome'

/** References to a job that simply move over. Steps take their order along, links may fall together, children are jobs. */
const movingOver = references.filter(
  ({ from, to }) => to === 'job' && !['step', 'link', 'job'].includes(from),
)

/** Links as they would be with some jobs taken into one: none to itself, none twice. */
function mergedLinks(rows: RefitRows, into: string, gone: ReadonlySet<string>) {
  const end = (id: string) => (gone.has(id) ? into : id)
  const seen = new Set<string>()
  return rows.link.map((link) => {
    const moved = { ...link, fromJobId: end(link.fromJobId), toJobId: end(link.toJobId) }
    const key = `${moved.fromJobId} ${moved.toJobId}`
    const drop = moved.fromJobId === moved.toJobId || seen.has(key)
    seen.add(key)
    return { link, moved, drop }
  })
}

/**
 * Takes jobs into one: their steps follow its own in the order given, and parts, hours, findings and
 * links move over. Refused with nothing to merge, or when the links would go round in a circle.
 */
export function mergeJobs(rows: RefitRows, into: Job, others: readonly Job[]): Outcome {
  const gone = new Set(others.map((job) => job.id))
  if (gone.size === 0 || gone.has(into.id)) return refused('Choose at least two jobs to merge.')
  const links = mergedLinks(rows, into.id, gone)
  const cycle = findCycle(links.filter((one) => !one.drop).map((one) => one.moved))
  if (cycle) return refused(cycleSentence(cycle, rows.job))
  const stepsOf = (jobId: string) => inOrder(rows.step.filter((step) => step.jobId === jobId))
  const moving = others.flatMap((job) => stepsOf(job.id))
  const orders = keysAfter(stepsOf(into.id).at(-1)?.order ?? null, moving.length)
  const items: ChangeItem[] = [
    ...moving.map((step, index) =>
      patchOf('step', step, {
        jobId: into.id,
        order: orders[index],
        recipeStep: '',
        recipeMade: {},
      }),
    ),
    ...movingOver.flatMap(({ from, field }) =>
      plainRows(rows, from)
        .filter((row) => gone.has(String(row[field])))
        .map((row) =>
          patchOf(from, row, {
            [field]: into.id,
            ...(from === 'part' ? { recipePart: '', recipeMade: {} } : {}),
          }),
        ),
    ),
    ...rows.job
      .filter((one) => !gone.has(one.id) && one.id !== into.id && gone.has(one.parentJobId ?? ''))
      .map((one) => patchOf('job', one, { parentJobId: into.id })),
    ...links.flatMap(({ link, moved, drop }) => {
      if (drop) return [deletion('link', link)]
      const same = moved.fromJobId === link.fromJobId && moved.toJobId === link.toJobId
      return same
        ? []
        : [patchOf('link', link, { fromJobId: moved.fromJobId, toJobId: moved.toJobId })]
    }),
  ]
  // The worse of them holds, and one that spreads goes on spreading.
  const severity = Math.max(into.severity, ...others.map((job) => job.severity))
  const spreading = into.spreading || others.some((job) => job.spreading)
  const parentJobId = gone.has(into.parentJobId ?? '') ? null : into.parentJobId
  items.push(patchOf('job', into, { severity, spreading, parentJobId }))
  // A child among the merged ones points at its parent: children go first.
  const leaving = topological(others, (job) => others.filter((one) => one.id === job.parentJobId))
  items.push(...leaving.map((job) => deletion('job', job)))
  return accepted({ items, said: `${others.length + 1} jobs are one now.` })
}
