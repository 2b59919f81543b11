import type { StoredPlan } from '../model/stored'
import type { Prepared } from './prepare'
import type { Pass } from './schedule/pass'
import { urgencyMark } from './urgency'

/**
 * The sequence of an accepted plan as places for today's steps: laid in it again, nothing moves that did not change.
 * Steps it does not know, and those of jobs that are wanted more or less than then, come where a fresh pass puts them
 * among the rest; without one they come first. Null: it knows none of them.
 */
export function sequenceOf(
  { compiled }: Prepared,
  accepted: StoredPlan,
  fresh: Pass | null,
): ((stepId: string) => number) | null {
  const { activities } = compiled
  const place = new Map<string, number>()
  for (const { stepId } of accepted.placements) {
    const job = activities.get(stepId)?.job
    if (job && accepted.urgencies[job.id] === urgencyMark(job)) place.set(stepId, place.size)
  }
  if (place.size === 0) return null
  const known = new Map(place)
  const follow = new Map<number, number>()
  let last = -1
  for (const stepId of fresh?.placements.keys() ?? []) {
    const own = known.get(stepId)
    if (own !== undefined) {
      last = own
      continue
    }
    // Behind the last known one, in the order in which the fresh pass comes to them.
    const count = (follow.get(last) ?? 0) + 1
    follow.set(last, count)
    place.set(stepId, last + 1 - 1 / (1 + count))
  }
  // What found no place is tried at once: it takes nobody's time, and a launch waits until it was looked at.
  return (stepId) => place.get(stepId) ?? -1
}
