import type { RefitRows } from '../../model/refit'
import type { OpenStep } from './openWork'
import { slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'

const always: readonly Interval[] = [[-Infinity, Infinity]]

/** Stretches in which she is afloat, from after each launch to the next lift-out. */
function afloatSpans(ashore: readonly Ashore[]): Interval[] {
  const spans: Interval[] = []
  let from = -Infinity
  for (const one of ashore) {
    const liftOut = one.from - slingMs
    if (liftOut > from) spans.push([from, liftOut])
    from = one.launchAt + slingMs
  }
  if (from < Infinity) spans.push([from, Infinity])
  return spans
}

/** All time but the hours in which she hangs: nobody is aboard then. */
function notHanging(ashore: readonly Ashore[]): Interval[] {
  const spans: Interval[] = []
  let from = -Infinity
  const hangs = ashore
    .flatMap((one) => [one.from - slingMs, one.launchAt])
    .filter((at) => at < Infinity)
    .sort((a, b) => a - b)
  for (const at of hangs) {
    if (at > from) spans.push([from, at])
    from = Math.max(from, at + slingMs)
  }
  return [...spans, [from, Infinity]]
}

/**
 * When the hull and the time of the year suit a step. Ashore: its haul-out, up to a launch already placed. In the slings: from its
 * launch until she is let go. Afloat: after its job's own launch where that is its gate, else whenever she
 * floats. Either: whenever she does not hang; work elsewhere, or by others, does not care. All of it only in the step's
 * months, up to its last day, and in the hours that the forecast leaves it.
 */
export function hullWindows(
  activity: OpenStep,
  ashore: readonly Ashore[],
  rows: Pick<RefitRows, 'gate'>,
): readonly Interval[] {
  const hull = byHull(activity, ashore, rows)
  const inSeason = activity.season ? intersect(hull, activity.season) : hull
  return activity.fit ? intersect(inSeason, activity.fit) : inSeason
}

function byHull(
  activity: OpenStep,
  ashore: readonly Ashore[],
  rows: Pick<RefitRows, 'gate'>,
): readonly Interval[] {
  if (activity.step.hullNeed === 'either')
    return activity.placeNeed === 'boat' && activity.workMs > 0 ? notHanging(ashore) : always
  const own = activity.ashore
  if (activity.step.hullNeed === 'slings' && own) return [[own.launchAt, own.launchAt + slingMs]]
  if (activity.step.hullNeed === 'ashore') return own ? [[own.from, own.launchAt]] : []
  const spans = afloatSpans(ashore)
  const byLaunch = rows.gate.some(
    (gate) => gate.id === activity.job.gateId && gate.kind === 'launch',
  )
  return byLaunch && own ? spans.filter(([from]) => from >= own.launchAt) : spans
}
