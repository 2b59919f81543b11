import { hasDayPrice, tariffOf, usualDayMinor } from '../money/yard'
import { dayMs } from '../time/civil'
import { laidGates } from './finishPlan'
import { gateDeadline } from './haulOutOf'
import type { Prepared } from './prepare'
import { priorityFactors } from './priority'
import type { Pass } from './schedule/pass'

/**
 * What a plan is weighed by, in order: steps without a place, days late, cost of lying ashore, job finishes by their
 * weight, last finish, person-days of travel.
 */
export type PlanCost = readonly [
  unplaced: number,
  daysLate: number,
  ashoreMinor: number,
  weightedDays: number,
  finish: number,
  trips: number,
]

/** A late launch weighs as much as so many other gates. */
const launchWeight = 3

/** A plan is not changed for less than this share of its weighted finishes. */
const leastGain = 0.02

/** What a pass costs; smaller is better, the first difference decides. Gates count even where they cannot be dated. */
export function planCost({ rows, compiled, ranked }: Prepared, pass: Pass): PlanCost {
  const { clock, now, activities } = compiled
  const gates = new Map(rows.gate.map((gate) => [gate.id, gate]))
  let daysLate = 0
  for (const laid of laidGates(compiled, pass)) {
    const gate = gates.get(laid.gateId)
    const by = gate ? gateDeadline(compiled.rows, gate, clock) : null
    if (!gate || by === null || laid.at < by) continue
    const days = clock.dayOf(laid.at) - clock.dayOf(by) + 1
    daysLate += days * (gate.kind === 'launch' ? launchWeight : 1)
  }
  const launched = new Set(pass.launches.map((one) => one.haulOutId))
  let ashoreMinor = 0
  for (const { haulOut, from, launchAt } of pass.ashore) {
    if (!launched.has(haulOut.id)) continue
    const tariff = tariffOf(rows, haulOut)
    // Without a price, a day ashore still counts as one.
    ashoreMinor += Math.round(
      ((launchAt - Math.max(from, now)) / dayMs) *
        (tariff && hasDayPrice(tariff) ? usualDayMinor(tariff, rows.refit[0]?.loaM ?? 0) : 1),
    )
  }
  const days = new Set<string>()
  const finishOf = new Map<string, number>()
  let finish = now
  for (const one of pass.placements.values()) {
    finish = Math.max(finish, one.readyAt)
    const activity = activities.get(one.stepId)
    if (activity && !activity.step.afterGate) {
      const jobId = activity.job.id
      finishOf.set(jobId, Math.max(finishOf.get(jobId) ?? 0, one.segments.at(-1)?.[1] ?? 0))
    }
    for (const person of one.personIds)
      for (const [from] of one.segments) days.add(`${person} ${clock.dayOf(from)}`)
  }
  let weightedDays = 0
  for (const { job, basis } of ranked) {
    const { purpose, severity, spreading } = priorityFactors(basis)
    const at = finishOf.get(job.id)
    if (at !== undefined) weightedDays += (purpose * severity * spreading * (at - now)) / dayMs
  }
  return [
    activities.size - pass.placements.size,
    daysLate,
    ashoreMinor,
    Math.round(weightedDays),
    finish,
    days.size,
  ]
}

/** Negative when `a` is better. */
export function comparePlanCost(a: PlanCost, b: PlanCost): number {
  for (let i = 0; i < a.length; i++) {
    const difference = (a[i] as number) - (b[i] as number)
    if (difference !== 0) return difference
  }
  return 0
}

/** True when a plan is enough better than the one people know to move their work for it. */
export function isWorthChanging(known: PlanCost, other: PlanCost): boolean {
  for (const at of [0, 1, 2] as const) {
    const difference = other[at] - known[at]
    if (difference !== 0) return difference < 0
  }
  return other[3] < known[3] * (1 - leastGain)
}
