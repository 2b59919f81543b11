import type { Step } from '../model/entities'
import type { Access } from '../model/words'

/** How much longer work takes by reach. Source: handbook 5. */
export const accessFactor: Readonly<Record<Access, number>> = {
  open: 1,
  awkward: 1.3,
  cramped: 1.7,
  blind: 2.2,
}

/** What hours are planned from; `calibration`: set by core/forecast/calibration where its switch is on. */
type Guess = Pick<Step, 'hoursLikely' | 'access'> & { readonly calibration?: number }

/** Person-hours of one round of a step: likely × access, × what its kind really takes where that is switched on. */
export const roundHours = (step: Guess): number =>
  step.hoursLikely * accessFactor[step.access] * (step.calibration ?? 1)

/** Planned person-hours of a step: those of a round, for each round that is likely. */
export const plannedHours = (step: Guess & Pick<Step, 'roundsLikely'>): number =>
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
