import type { Step } from '../model/entities'
import type { Access } from '../model/words'

/** How much longer work takes by reach. Source: handbook 5. */
export const accessFactor: Readonly<Record<Access, number>> = {
  open: 1,
  awkward: 1.3,
  cramped: 1.7,
  blind: 2.2,
}

/** Person-hours of one round of a step: likely × access. */
export const roundHours = (step: Pick<Step, 'hoursLikely' | 'access'>): number =>
  step.hoursLikely * accessFactor[step.access]

/** Planned person-hours of a step: likely × access, for each round that is likely. */
export const plannedHours = (step: Pick<Step, 'hoursLikely' | 'access' | 'roundsLikely'>): number =>
  roundHours(step) * step.roundsLikely

/** True while a step still asks for work. */
export const isOpen = (step: Pick<Step, 'state'>): boolean =>
  step.state === 'open' || step.state === 'doing'

/** Mean air of the month an instant lies in (UTC), °C; null where the refit has none. */
export const meanAirC = (instant: number, monthMeanC: readonly number[]): number | null =>
  monthMeanC[new Date(instant).getUTCMonth()] ?? null

/** Months count from 0; mean air °C, January first, with the product's minimum as the floor: cover or heat is assumed. */
export function plannedWaitHours(
  step: Pick<Step, 'waitKind' | 'waitHours' | 'waitRefC' | 'waitMinC'>,
  month: number,
  monthMeanC: readonly number[],
): number {
  if (step.waitKind === 'none') return 0
  if (step.waitKind !== 'chem') return step.waitHours
  const air = monthMeanC[month] ?? step.waitRefC
  const tempC = Math.max(air, step.waitMinC ?? air)
  return step.waitHours * 2 ** ((step.waitRefC - tempC) / 10)
}
