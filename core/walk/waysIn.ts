/** Ways in: what must come out, who waits behind it, and what opening it once saves. */
import type { Finding, Job, WayIn } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { JobState } from '../progress/jobState'
import { findingMark } from './marks'

/** The way in and those it leads through, the outermost last. A circle ends where it closes. */
export function wayThrough(way: WayIn, ways: readonly WayIn[]): WayIn[] {
  const found: WayIn[] = []
  let next: WayIn | undefined = way
  while (next && !found.includes(next)) {
    found.push(next)
    const { throughId }: WayIn = next
    next = ways.find((one) => one.id === throughId)
  }
  return found
}

/** Hours out and back, with all it leads through. */
export const backAndForth = (way: WayIn, ways: readonly WayIn[]): number =>
  wayThrough(way, ways).reduce((sum, one) => sum + one.hoursOut + one.hoursBack, 0)

export interface WayInFigures {
  readonly way: WayIn
  /** Hours out and back, all it leads through with it. */
  readonly hours: number
  /** Open jobs in places behind it, straight or through others. */
  readonly jobs: readonly Job[]
  /** Open findings there that have no job yet. */
  readonly findings: readonly Finding[]
  /** Opened once instead of for each job: hours saved. */
  readonly savedHours: number
  /** A job that wants it kept open, while that job is open. */
  readonly keptOpenFor: Job | null
}

type Rows = Pick<RefitRows, 'wayIn' | 'zone' | 'job' | 'finding'>

/** Every way in with what waits behind it. `stateOf` says how a job stands. */
export function waysIn(
  rows: Rows,
  stateOf: (jobId: string) => JobState | undefined,
): WayInFigures[] {
  const open = (job: Job) => ['open', 'doing'].includes(stateOf(job.id) ?? '')
  return rows.wayIn.map((way) => {
    const behind = new Set(
      rows.zone
        .filter((zone) => {
          const own = rows.wayIn.find((one) => one.id === zone.wayInId)
          return own !== undefined && wayThrough(own, rows.wayIn).includes(way)
        })
        .map((zone) => zone.id),
    )
    const jobs = rows.job.filter((job) => job.zoneId && behind.has(job.zoneId) && open(job))
    const findings = rows.finding.filter(
      (one) => one.zoneId && behind.has(one.zoneId) && findingMark(one, stateOf).fill === 'none',
    )
    const own = way.hoursOut + way.hoursBack
    const waiting = jobs.length + findings.length
    const kept = rows.job.find((job) => job.id === way.keepOpenForJobId)
    return {
      way,
      hours: backAndForth(way, rows.wayIn),
      jobs,
      findings,
      savedHours: Math.max(0, waiting - 1) * own,
      keptOpenFor: kept && open(kept) ? kept : null,
    }
  })
}
