/** What could be done about a chain, each lever as the changes it would take; what it wins is found by planning with them. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { handsOn } from '../plan/handsOn'
import type { ZoneClock } from '../time/zone'
import { afterGate, nextHaulOut, otherLift, standsEarlier } from './atGate'
import { extraDays, oneMore, tradeInstead } from './atHands'
import { inTheShed, shorterWaits, sooner } from './atWaits'
import { dayLevers } from './dayLevers'
import type { ChainLever } from './lever'

/** A gate and the steps of its chain, from the gate back. */
export interface ChainOf {
  readonly gateId: string
  readonly stepIds: readonly string[]
}

/** Levers of a chain: those at the gate, then at its links, the nearest to the gate first, then about days; each once. */
export function chainLevers(
  rows: RefitRows,
  plan: StoredPlan,
  clock: ZoneClock,
  { gateId, stepIds }: ChainOf,
): ChainLever[] {
  const hands = handsOn(rows, plan, clock)
  const facts = { rows, plan, clock }
  const atLinks = stepIds.flatMap((stepId) => [
    ...sooner(facts, stepId),
    ...extraDays(facts, stepId, hands),
    ...oneMore(facts, stepId, hands),
    ...shorterWaits(facts, stepId),
    ...inTheShed(facts, stepId),
    ...standsEarlier(facts, stepId),
    ...afterGate(facts, stepId),
    ...nextHaulOut(facts, stepId),
    ...tradeInstead(facts, stepId),
  ])
  const days = dayLevers(rows)
    .filter((one) => !one.isOn)
    .map((one): ChainLever => ({
      key: one.key,
      stepId: null,
      label: one.what,
      does: one.key.startsWith('nights')
        ? 'Everybody who comes on days in a row is planned to stay from now on.'
        : 'From now on a day may be planned at both places.',
      items: () => one.items,
    }))
  const seen = new Set<string>()
  return [...otherLift(facts, gateId), ...atLinks, ...days].filter((one) => {
    const isNew = !seen.has(one.key)
    seen.add(one.key)
    return isNew
  })
}
