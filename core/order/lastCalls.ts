import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { ZoneClock } from '../time/zone'
import { orderFactsSaid } from './outOfOrder'
import type { OutOfOrder } from './rule'
import { isLastCall, lastCall } from './rules/r41lastCall'

/**
 * Last calls before some of the steps: what belongs there and is not seen to, but for what somebody let be.
 * @param now UTC ms; findings count from then on.
 */
export function lastCallsOf(
  steps: readonly Step[],
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  now: number,
): OutOfOrder[] {
  const calls = new Set(steps.filter(isLastCall).map((step) => step.id))
  // Most days shut nothing, and all steps would be read for it.
  if (calls.size === 0) return []
  const kept = new Set(rows.orderKept.map((one) => one.evidence))
  return lastCall
    .find(orderFactsSaid(rows, plan, clock, now))
    .filter((one) => calls.has(one.stepIds[0] ?? '') && !kept.has(one.evidence))
}
