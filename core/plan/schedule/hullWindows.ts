import type { RefitRows } from '../../model/refit'
import type { Activity } from './compile'
import { slingMs } from './sites'
import type { Ashore, Span } from './sites'

const always: readonly Span[] = [[-Infinity, Infinity]]

/** Stretches in which she is afloat, from after each launch to the next lift-out. */
function afloatSpans(ashore: readonly Ashore[]): Span[] {
  const spans: Span[] = []
  let from = -Infinity
  for (const one of ashore) {
    const liftOut = one.from - slingMs
    if (liftOut > from) spans.push([from, liftOut])
    from = one.launchAt + slingMs
  }
  if (from < Infinity) spans.push([from, Infinity])
  return spans
}

/**
 * When the hull suits a step. Ashore: its haul-out, up to a launch already placed. Afloat: after its
 * job's own launch where that is its gate, else whenever she floats.
 */
export function hullWindows(
  activity: Activity,
  ashore: readonly Ashore[],
  rows: Pick<RefitRows, 'gate'>,
): readonly Span[] {
  if (activity.step.hullNeed === 'either') return always
  const own = activity.ashore
  if (activity.step.hullNeed === 'ashore') return own ? [[own.from, own.launchAt]] : []
  const spans = afloatSpans(ashore)
  const byLaunch = rows.gate.some(
    (gate) => gate.id === activity.job.gateId && gate.kind === 'launch',
  )
  return byLaunch && own ? spans.filter(([from]) => from >= own.launchAt) : spans
}

/** First instant at or after `from` at which the yard lifts, and not before `notBefore`'s day. */
export function nextLift(
  from: number,
  liftWeekdays: readonly number[],
  liftAt: (day: number) => number,
  dayOf: (instant: number) => number,
  weekdayOf: (day: number) => number,
): number {
  let day = dayOf(from)
  while (liftAt(day) < from || (liftWeekdays.length > 0 && !liftWeekdays.includes(weekdayOf(day))))
    day++
  return liftAt(day)
}
