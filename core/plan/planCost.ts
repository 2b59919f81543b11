import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dayMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { gateDeadline } from './haulOutOf'
import { haulOutsInTime } from './schedule/sites'

/** What a plan is weighed by, in order: days late, cost of lying ashore, last finish, person-days of travel. */
export type PlanCost = readonly [
  daysLate: number,
  ashoreMinor: number,
  finish: number,
  trips: number,
]

/** A late launch weighs as much as so many other gates. */
const launchWeight = 3

/** What a plan costs; smaller is better, the first difference decides. */
export function planCost(rows: RefitRows, plan: StoredPlan, clock: ZoneClock): PlanCost {
  const gates = new Map(rows.gate.map((gate) => [gate.id, gate]))
  let daysLate = 0
  for (const planned of plan.gates) {
    const gate = gates.get(planned.gateId)
    const by = gate ? gateDeadline(rows, gate, clock) : null
    if (!gate || by === null || planned.at < by) continue
    const days = clock.dayOf(planned.at) - clock.dayOf(by) + 1
    daysLate += days * (gate.kind === 'launch' ? launchWeight : 1)
  }
  const launchAt = new Map(plan.gates.map((one) => [gates.get(one.gateId)?.haulOutId, one.at]))
  let ashoreMinor = 0
  for (const { haulOut, from, launchAt: launched } of haulOutsInTime(rows, clock)) {
    const until = launched === Infinity ? launchAt.get(haulOut.id) : undefined
    const tariff =
      rows.yardTariff.find((one) => one.placeId === haulOut.placeId) ?? rows.yardTariff[0]
    // Without a price, a day ashore still counts as one.
    if (until !== undefined)
      ashoreMinor += Math.round(
        ((until - Math.max(from, plan.now)) / dayMs) * (tariff?.perDayMinor ?? 1),
      )
  }
  const days = new Set<string>()
  let finish = plan.now
  for (const one of plan.placements) {
    finish = Math.max(finish, one.readyAt)
    for (const person of one.personIds)
      for (const [from] of one.segments) days.add(`${person} ${clock.dayOf(from)}`)
  }
  return [daysLate, ashoreMinor, finish, days.size]
}

/** Negative when `a` is better. */
export function comparePlanCost(a: PlanCost, b: PlanCost): number {
  for (let i = 0; i < a.length; i++) {
    const difference = (a[i] as number) - (b[i] as number)
    if (difference !== 0) return difference
  }
  return 0
}
