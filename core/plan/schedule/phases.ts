import { reachable, topological } from '../../graph'
import type { OpenStep, OpenWork } from './openWork'
import type { Ashore } from './haulOuts'

/** What is placed before a launch, in an order that respects every arc; the last has no launch. */
export interface Phase {
  readonly launch: Ashore | null
  readonly activities: readonly OpenStep[]
}

/** In an order in which each comes after all that it follows. */
function sorted(group: readonly OpenStep[]): OpenStep[] {
  const inside = new Map(group.map((activity) => [activity.step.id, activity]))
  return topological(group, (activity) => activity.after.flatMap((arc) => inside.get(arc.to) ?? []))
}

/** True for what is done in the slings of this launch. */
export const isInSlings = (activity: OpenStep, launch: Ashore): boolean =>
  activity.step.hullNeed === 'slings' && activity.ashore?.haulOut.id === launch.haulOut.id

/**
 * Open steps split by the launch that waits for them: what a launch needs, and all that this needs in
 * turn, comes before it. Precondition: the arcs form no circle.
 */
export function phasesOf(compiled: OpenWork): Phase[] {
  const before = (activity: OpenStep): OpenStep[] =>
    activity.before.flatMap((arc) => compiled.activities.get(arc.from) ?? [])
  const placed = new Set<string>()
  const phases: Phase[] = []
  for (const launch of compiled.ashore) {
    if (launch.launchAt !== Infinity) continue
    const open = [...compiled.activities.values()].filter((one) => !placed.has(one.step.id))
    // What is looked at in the slings must be ready for it.
    const holding = open.filter((one) => one.holds === launch)
    const watched = open.filter((one) => isInSlings(one, launch)).flatMap(before)
    const needed = reachable([...holding, ...watched], before)
    const group = open.filter((one) => needed.has(one))
    for (const one of group) placed.add(one.step.id)
    phases.push({ launch, activities: sorted(group) })
  }
  const rest = [...compiled.activities.values()].filter((one) => !placed.has(one.step.id))
  phases.push({ launch: null, activities: sorted(rest) })
  return phases
}
