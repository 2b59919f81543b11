/** Every order rule, in the order of the handbook's numbers. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { ZoneClock } from '../time/zone'
import { sayDay } from '../time/say'
import { orderFacts } from './facts'
import type { OrderFacts } from './facts'
import { severities } from './rule'
import type { OrderRule, OutOfOrder } from './rule'
import { cutAfterCoat } from './rules/r01cutAfterCoat'
import { cutAfloat } from './rules/r02cutAfloat'
import { openAtLaunch } from './rules/r03openAtLaunch'
import { immersion } from './rules/r04immersion'
import { anodeOrder } from './rules/r05anode'
import { movedNotPatched } from './rules/r06movedNotPatched'
import { hotWork } from './rules/r07hotWork'
import { dustOnFinish } from './rules/r08dustOnFinish'
import { hardOverEpoxy } from './rules/r09hardOverEpoxy'
import { windowMissed } from './rules/r10windowMissed'
import { beddedBeforePaint } from './rules/r11beddedBeforePaint'
import { holeThroughCore } from './rules/r12holeThroughCore'
import { closedBeforeTest } from './rules/r13closedBeforeTest'
import { partLate } from './rules/r14partLate'
import { tradeTooEarly } from './rules/r15tradeTooEarly'
import { rigBeforeSignOff } from './rules/r16rigBeforeSignOff'
import { noBucketTest } from './rules/r17noBucketTest'
import { greasedEarly } from './rules/r18greasedEarly'
import { tooBigForTheWay } from './rules/r19tooBigForTheWay'
import { blindWhenTired } from './rules/r20blindWhenTired'
import { softGoods } from './rules/r21softGoods'
import { outOfTemperature } from './rules/r22outOfTemperature'
import { overWet } from './rules/r23overWet'
import { copperOnAluminium } from './rules/r24copperOnAluminium'
import { noBlockHeight } from './rules/r25noBlockHeight'
import { slingsNotAsked } from './rules/r26slingsNotAsked'
import { batteryBeforeChecks } from './rules/r27batteryBeforeChecks'
import { mastBeforeWires } from './rules/r28mastBeforeWires'
import { underTheStands } from './rules/r29underTheStands'
import { strongOverSoft } from './rules/r30strongOverSoft'
import { alignedAshoreOnly } from './rules/r31alignedAshoreOnly'
import { frost } from './rules/r32frost'
import { finishBeforeDryFit } from './rules/r33finishBeforeDryFit'
import { openUncovered } from './rules/r34openUncovered'
import { wayInShut } from './rules/r35wayInShut'
import { cutBeforePart } from './rules/r36cutBeforePart'
import { noTest } from './rules/r37noTest'
import { provisionalAtGate } from './rules/r38provisionalAtGate'
import { beforeTheLine } from './rules/r40beforeTheLine'
import { lastCall } from './rules/r41lastCall'

export const orderRules: readonly OrderRule[] = [
  cutAfterCoat,
  cutAfloat,
  openAtLaunch,
  immersion,
  anodeOrder,
  movedNotPatched,
  hotWork,
  dustOnFinish,
  hardOverEpoxy,
  windowMissed,
  beddedBeforePaint,
  holeThroughCore,
  closedBeforeTest,
  partLate,
  tradeTooEarly,
  rigBeforeSignOff,
  noBucketTest,
  greasedEarly,
  tooBigForTheWay,
  blindWhenTired,
  softGoods,
  outOfTemperature,
  overWet,
  copperOnAluminium,
  noBlockHeight,
  slingsNotAsked,
  batteryBeforeChecks,
  mastBeforeWires,
  underTheStands,
  strongOverSoft,
  alignedAshoreOnly,
  frost,
  finishBeforeDryFit,
  openUncovered,
  wayInShut,
  cutBeforePart,
  noTest,
  provisionalAtGate,
  beforeTheLine,
  lastCall,
]

/** What rules read, with dates as views say them. */
export function orderFactsSaid(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  now: number,
): OrderFacts {
  const year = clock.dateOf(now).slice(0, 4)
  return orderFacts(rows, plan, clock, now, (at) => sayDay(clock.dateOf(at), year))
}

/** Everything out of order in a refit and its plan: stops first, then as time goes. */
export function outOfOrder(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  now: number,
): OutOfOrder[] {
  const facts = orderFactsSaid(rows, plan, clock, now)
  const starts = new Map(facts.steps.map((one) => [one.step.id, one.from]))
  const startOf = (one: OutOfOrder) => starts.get(one.stepIds[0] ?? '') ?? Infinity
  return orderRules
    .flatMap((rule) => rule.find(facts))
    .sort(
      (a, b) =>
        severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
        startOf(a) - startOf(b) ||
        a.rule - b.rule,
    )
}
