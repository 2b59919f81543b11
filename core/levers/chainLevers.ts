/** What could be done about a chain, each lever as the changes it would take; what it wins is found by planning with them. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { handsOn } from '../plan/handsOn'
import type { ZoneClock } from '../time/zone'
import { afterGate, nextHaulOut, otherLift, standsEarlier } from './atGate'
import { extraDays, oneMore, tradeInstead } from './atHands'
import type { Hands } from './atHands'
import { inTheShed, shorterWaits, sooner } from './atWaits'
import { dayLevers } from './dayLevers'
import type { ChainLever, LeverFacts } from './lever'

/** A gate and the steps of its chain, from the gate back. */
export interface ChainOf {
  readonly gateId: string
  readonly stepIds: readonly string[]
}

/**
 * What could be done about the work of some steps before a civil date, where it is done: by others, elsewhere, sooner.
 * Each once; what would happen on that date or later helps nothing by it.
 */
export function workLevers(
  rows: RefitRows,
  plan: StoredPlan,
  clock: ZoneClock,
  stepIds: readonly string[],
  before: string,
): ChainLever[] {
  const hands = handsOn(rows, plan, clock)
  const facts = { rows, plan, clock }
  const atLinks = stepIds.flatMap((stepId) => [
    ...atWork(facts, stepId, hands),
    ...tradeInstead(facts, stepId),
  ])
  return onceEach([...atLinks, ...aboutDays(rows)]).filter((one) => isBefore(one, before))
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
    ...atWork(facts, stepId, hands),
    ...standsEarlier(facts, stepId),
    ...afterGate(facts, stepId),
    ...nextHaulOut(facts, stepId),
    ...tradeInstead(facts, stepId),
  ])
  return onceEach([...otherLift(facts, gateId), ...atLinks, ...aboutDays(rows)])
}

/** True where nothing that a lever writes down lies on a civil date or after it. */
const isBefore = (lever: ChainLever, date: string): boolean =>
  lever
    .items(() => 'new')
    .flatMap((item) => (item.op === 'delete' ? [] : Object.entries(item.patch)))
    .every(([field, value]) => !dated.has(field) || typeof value !== 'string' || value < date)

/** Fields in which a lever says on which day it happens. */
const dated: ReadonlySet<string> = new Set(['on', 'from', 'arrivesOn'])

const atWork = (facts: LeverFacts, stepId: string, hands: Hands): ChainLever[] => [
  ...sooner(facts, stepId),
  ...extraDays(facts, stepId, hands),
  ...oneMore(facts, stepId, hands),
  ...shorterWaits(facts, stepId),
  ...inTheShed(facts, stepId),
]

const aboutDays = (rows: RefitRows): ChainLever[] =>
  dayLevers(rows)
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

const onceEach = (levers: readonly ChainLever[]): ChainLever[] =>
  [...new Map([...levers].reverse().map((one) => [one.key, one])).values()].reverse()
