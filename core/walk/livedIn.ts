/** Dusty work where somebody lives from a gate on: what it takes before, and what after. Source: handbook-2 A3. */
import type { Gate, Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { factsOf } from '../plan/facts'
import { isOpen, plannedHours } from '../plan/planned'
import { formatHours } from '../units/hours'

/** A screen put up and taken down, and cleaning by the hours of dust, person-hours. Assumed. */
const screenHours = 1
const [cleaningShare, leastCleaningHours] = [0.25, 0.5]

export interface TwoPrices {
  readonly gate: Gate
  /** Person-hours. */
  readonly beforeHours: number
  readonly afterHours: number
  /** Planned after the gate; null: one of them has no date. */
  readonly isAfter: boolean | null
}

/** Null: it makes no dust, is over, is not done on her, or nobody lives there. */
export function twoPrices(
  step: Step,
  rows: Pick<RefitRows, 'job' | 'zone' | 'gate'>,
  plan: Pick<StoredPlan, 'gates' | 'placements'> | null,
): TwoPrices | null {
  const job = rows.job.find((one) => one.id === step.jobId)
  const zone = rows.zone.find((one) => one.id === job?.zoneId)
  const gate = rows.gate.find((one) => one.id === zone?.livedInFromGateId)
  const beforeHours = plannedHours(step)
  if (!gate || !isOpen(step) || step.placeNeed !== 'boat') return null
  if (!factsOf(step).dusty || beforeHours <= 0) return null
  const from = plan?.placements.find((one) => one.stepId === step.id)?.segments[0]?.[0]
  const at = plan?.gates.find((one) => one.gateId === gate.id)?.at
  return {
    gate,
    beforeHours,
    afterHours:
      beforeHours + screenHours + Math.max(leastCleaningHours, cleaningShare * beforeHours),
    isAfter: from === undefined || at === undefined ? null : from >= at,
  }
}

export function sayTwoPrices({ gate, beforeHours, afterHours, isAfter }: TwoPrices): string {
  const planned =
    isAfter === null ? '' : isAfter ? ' It is planned after it.' : ' It is planned before it.'
  return `Dust where somebody lives from ${gate.name} on: ${formatHours(beforeHours)} before it, about ${formatHours(afterHours)} after it, with a screen up and down and cleaning.${planned}`
}
