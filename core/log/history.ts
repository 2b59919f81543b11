/** Everything that was ever done in one place, by us or before us; and what came again after it was mended. */
import type { ReadyState } from '../launch/readyItem'
import type { RefitRows } from '../model/refit'
import { byId } from '../model/refit'
import type { ZoneClock } from '../time/zone'

export interface HistoryEntry {
  readonly key: string
  /** Civil date; of work before us the middle of a rough year. */
  readonly on: string
  readonly isRough: boolean
  readonly kind: 'before' | 'done' | 'found' | 'toCome'
  readonly what: string
  readonly more: string
  /** Path of its page within the refit; ''. */
  readonly to: string
}

/** With which of the marks of Launch an entry stands. */
export const historyMark: Readonly<Record<HistoryEntry['kind'], ReadyState>> = {
  before: 'onDay',
  done: 'proven',
  found: 'stops',
  toCome: 'onDay',
}

/** What came again: a finding after a repair of the same thing. */
export interface CameAgain {
  readonly findingId: string
  readonly zoneId: string | null
  readonly title: string
  readonly repair: string
  /** When the repair was finished, and when it was found again, civil dates. */
  readonly doneOn: string
  readonly foundOn: string
  readonly months: number
}

type HistoryRows = Pick<
  RefitRows,
  'job' | 'step' | 'finding' | 'earlierWork' | 'asBuiltLine' | 'asBuiltSheet'
>

/** The last finished step of each job, UTC ms. */
function finishedAt(rows: Pick<RefitRows, 'step'>): Map<string, number> {
  const last = new Map<string, number>()
  for (const step of rows.step)
    if (step.state === 'done' && step.doneAt !== null)
      last.set(step.jobId, Math.max(last.get(step.jobId) ?? 0, step.doneAt))
  return last
}

/** Whole months from one civil date to another. */
export function monthsBetween(from: string, to: string): number {
  const [y1 = 0, m1 = 0, d1 = 0] = from.split('-').map(Number)
  const [y2 = 0, m2 = 0, d2 = 0] = to.split('-').map(Number)
  return (y2 - y1) * 12 + (m2 - m1) - (d2 < d1 ? 1 : 0)
}

/** Findings said to have come again after a finished job, the latest first. */
export function cameAgain(rows: HistoryRows, clock: ZoneClock): CameAgain[] {
  const jobs = byId(rows.job)
  const finished = finishedAt(rows)
  const materials = new Map(
    rows.asBuiltSheet.flatMap((sheet) => {
      const line = rows.asBuiltLine.find(
        (one) => one.sheetId === sheet.id && one.kind === 'material',
      )
      return sheet.jobId && line ? [[sheet.jobId, line.what] as const] : []
    }),
  )
  return rows.finding
    .flatMap((one): CameAgain[] => {
      const job = jobs.get(one.againAfterJobId ?? '')
      const done = finished.get(one.againAfterJobId ?? '')
      if (!job || done === undefined || one.foundAt < done) return []
      const [doneOn, foundOn] = [clock.dateOf(done), clock.dateOf(one.foundAt)]
      const material = materials.get(job.id)
      return [
        {
          findingId: one.id,
          zoneId: one.zoneId ?? job.zoneId,
          title: one.title,
          repair: material ? `${job.title}, with ${material}` : job.title,
          doneOn,
          foundOn,
          months: monthsBetween(doneOn, foundOn),
        },
      ]
    })
    .sort((a, b) => (a.foundOn < b.foundOn ? 1 : -1))
}

/** Everything about one place in time, what is to come last. `plannedOn`: civil date on which a job is planned to be finished; null. */
export function historyOf(
  rows: HistoryRows,
  zoneId: string,
  clock: ZoneClock,
  plannedOn: (jobId: string) => string | null,
): HistoryEntry[] {
  const finished = finishedAt(rows)
  const jobs = rows.job.filter((job) => job.zoneId === zoneId)
  const done = jobs.flatMap((job): HistoryEntry[] => {
    const at = finished.get(job.id)
    const open = rows.step.some(
      (one) => one.jobId === job.id && (one.state === 'open' || one.state === 'doing'),
    )
    const on = open ? plannedOn(job.id) : at === undefined ? null : clock.dateOf(at)
    if (on === null) return []
    return [
      {
        key: `job ${job.id}`,
        on,
        isRough: false,
        kind: open ? 'toCome' : 'done',
        what: job.title,
        more: open ? 'to come' : '',
        to: `job/${job.id}`,
      },
    ]
  })
  const found = rows.finding
    .filter((one) => one.zoneId === zoneId)
    .map((one): HistoryEntry => ({
      key: `finding ${one.id}`,
      on: clock.dateOf(one.foundAt),
      isRough: false,
      kind: 'found',
      what: one.title,
      more: one.againAfterJobId === null ? '' : 'came again',
      to: `walk?finding=${one.id}`,
    }))
  const before = rows.earlierWork
    .filter((one) => one.zoneId === zoneId)
    .map((one): HistoryEntry => ({
      key: `before ${one.id}`,
      on: `${one.year}-07-01`,
      isRough: true,
      kind: 'before',
      what: one.what,
      more: one.byWhom,
      to: '',
    }))
  return [...before, ...done, ...found].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
}
