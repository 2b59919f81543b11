import type { Activity, Compiled } from './compile'
import type { Ashore } from './sites'

/** What is placed before a launch, in an order that respects every arc; the last has no launch. */
export interface Phase {
  readonly launch: Ashore | null
  readonly activities: readonly Activity[]
}

/** Kahn's algorithm, first come first out, so that equal inputs give equal orders. */
function sorted(group: readonly Activity[]): Activity[] {
  const inside = new Map(group.map((activity) => [activity.step.id, activity]))
  const waiting = new Map(
    group.map((activity) => [
      activity.step.id,
      activity.before.filter((arc) => inside.has(arc.from)).length,
    ]),
  )
  const ready = group.filter((activity) => waiting.get(activity.step.id) === 0)
  const order: Activity[] = []
  for (let i = 0; i < ready.length; i++) {
    const activity = ready[i] as Activity
    order.push(activity)
    for (const arc of activity.after) {
      const left = waiting.get(arc.to)
      if (left === undefined) continue
      waiting.set(arc.to, left - 1)
      if (left === 1) ready.push(inside.get(arc.to) as Activity)
    }
  }
  return order
}

/** True for what is done in the slings of this launch. */
export const isInSlings = (activity: Activity, launch: Ashore): boolean =>
  activity.step.hullNeed === 'slings' && activity.ashore?.haulOut.id === launch.haulOut.id

/**
 * Open steps split by the launch that waits for them: what a launch needs, and all that this needs in
 * turn, comes before it. Precondition: the arcs form no circle.
 */
export function phasesOf(compiled: Compiled): Phase[] {
  const before = (activity: Activity): Activity[] =>
    activity.before.flatMap((arc) => compiled.activities.get(arc.from) ?? [])
  const placed = new Set<string>()
  const phases: Phase[] = []
  for (const launch of compiled.ashore) {
    if (launch.launchAt !== Infinity) continue
    const needed = new Set<string>()
    const queue = [...compiled.activities.values()].filter((activity) => activity.holds === launch)
    // What is looked at in the slings must be ready for it.
    for (const activity of compiled.activities.values())
      if (isInSlings(activity, launch)) queue.push(...before(activity))
    for (let activity = queue.pop(); activity; activity = queue.pop()) {
      const id = activity.step.id
      if (needed.has(id) || placed.has(id)) continue
      needed.add(id)
      queue.push(...before(activity))
    }
    const group = [...compiled.activities.values()].filter((one) => needed.has(one.step.id))
    for (const id of needed) placed.add(id)
    phases.push({ launch, activities: sorted(group) })
  }
  const rest = [...compiled.activities.values()].filter((one) => !placed.has(one.step.id))
  phases.push({ launch: null, activities: sorted(rest) })
  return phases
}
