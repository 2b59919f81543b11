/** An accepted plan laid again in its sequence, with steps pinned to a day where they hold most and move least. */
import type { StoredPlan } from '../model/stored'
import { layPass } from './prepare'
import type { Prepared } from './prepare'
import type { Pass } from './schedule/pass'
import { sequenceOf } from './sequenceOf'
import type { Order } from './urgency'

/** The order in which a plan is laid again. */
export interface InSequence {
  readonly order: Order
  /** Laid in it; null: it did not have to be laid to be known. */
  readonly pass: Pass | null
}

/** How many steps that have not begun do not begin on the day they are pinned to. */
function pinsMissed({ compiled }: Prepared, { placements }: Pass): number {
  const { activities, clock } = compiled
  let missed = 0
  for (const { step } of activities.values()) {
    if (step.pinnedOn === null || step.state === 'doing') continue
    const start = placements.get(step.id)?.segments[0]?.[0]
    if (start === undefined || clock.dateOf(start) !== step.pinnedOn) missed++
  }
  return missed
}

/** How many steps begin at another time than in a plan. */
const movedFrom = (accepted: StoredPlan, { placements }: Pass): number =>
  accepted.placements.filter(
    ({ stepId, segments }) => placements.get(stepId)?.segments[0]?.[0] !== segments[0]?.[0],
  ).length

/**
 * The order of an accepted plan's sequence. Steps pinned to a day, and what they wait for, come before it; or at their
 * places in it, where as many begin on their days so and fewer others move. Null: the plan knows none of today's steps.
 * `fresh`: where steps that it does not know come.
 */
export function inSequence(
  prepared: Prepared,
  accepted: StoredPlan,
  fresh: Pass | null,
): InSequence | null {
  const placeOf = sequenceOf(prepared, accepted, fresh)
  if (!placeOf) return null
  const hasPins = [...prepared.compiled.activities.values()].some(
    ({ step }) => step.pinnedOn !== null,
  )
  if (!hasPins) return { order: { placeOf, pinned: 'first' }, pass: null }
  const laid = (pinned: 'first' | 'inSequence') => {
    const order: Order = { placeOf, pinned }
    return { order, pass: layPass(prepared, order) }
  }
  const [first, asItIs] = [laid('first'), laid('inSequence')]
  const holds = pinsMissed(prepared, asItIs.pass) <= pinsMissed(prepared, first.pass)
  return holds && movedFrom(accepted, asItIs.pass) < movedFrom(accepted, first.pass)
    ? asItIs
    : first
}
