import { clockState } from '../cure/clockState'
import type { Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Placement } from '../model/stored'
import type { Waits } from '../plan/waits'

/** Something that dries or cures: from when, until when. */
export interface Curing {
  readonly key: string
  readonly title: string
  readonly step: Step | null
  readonly job: Job | null
  /** UTC ms. */
  readonly from: number
  readonly until: number
}

/** True where something is curing at an instant. */
export const curesAt = (curing: readonly Pick<Curing, 'from' | 'until'>[], at: number): boolean =>
  curing.some((one) => one.from <= at && at < one.until)

/** Waits in which something is wet or soft; a delivery or a trade is not. */
const wetWaits = ['chem', 'moisture', 'dry']

/**
 * Everything that cures in a stretch of time, whenever it was laid: finished steps by their time, planned
 * ones by the plan, running clocks by their sheet and readings.
 */
export function curingDuring(
  rows: RefitRows,
  placements: readonly Placement[],
  from: number,
  to: number,
  waits: Waits,
): Curing[] {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const found = new Map<string, Curing>()
  const keep = (one: Curing) => {
    if (one.from < to && one.until > from && one.until > one.from) found.set(one.key, one)
  }
  const jobOf = (step: Step | undefined) => (step ? (jobs.get(step.jobId) ?? null) : null)
  for (const step of rows.step)
    if (step.state === 'done' && step.doneAt !== null && wetWaits.includes(step.waitKind)) {
      const until = waits.afterDone(step, step.doneAt)
      keep({ key: step.id, title: step.title, step, job: jobOf(step), from: step.doneAt, until })
    }
  for (const one of placements) {
    const step = steps.get(one.stepId)
    if (!step || step.state === 'done' || !wetWaits.includes(step.waitKind)) continue
    const end = one.segments.at(-1)?.[1] ?? 0
    keep({ key: step.id, title: step.title, step, job: jobOf(step), from: end, until: one.readyAt })
  }
  for (const clock of rows.clock) {
    if (clock.endedAt !== null || clock.kind === 'pot') continue
    const readings = rows.clockReading.filter((one) => one.clockId === clock.id)
    const { opensAt } = clockState(clock, readings, waits.expectedBy(clock), from)
    const step = steps.get(clock.stepId ?? '')
    keep({
      key: clock.stepId ?? clock.id,
      title: clock.title,
      step: step ?? null,
      job: jobOf(step),
      from: clock.startedAt,
      // What never cures at these temperatures is wet for as long as anybody looks.
      until: opensAt ?? Infinity,
    })
  }
  return [...found.values()].sort((a, b) => a.until - b.until || (a.key < b.key ? -1 : 1))
}
