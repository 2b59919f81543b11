import { potLifeForMass } from '../cure/dose'
import { needRange } from '../guard'

/** Share of the pot life that is planned for laying; the rest is margin. Source: handbook 9. */
const usedShare = 0.7

export interface Pot {
  /** Pot life at the day's temperature for `refMassG`, hours, over 0 to 48. */
  readonly lifeH: number
  /** Mass the pot life is given for, grams, 10–50 000. */
  readonly refMassG: number
}
export interface CupPlan {
  /** Mix in one cup, grams. */
  readonly cupG: number
  /** Pot life of that cup, hours. */
  readonly lifeH: number
  readonly cups: number
  /** Plain working time at the laying rate, hours. */
  readonly layingH: number
  /** What sets the cup's size. */
  readonly boundBy: 'cup' | 'potLife' | 'job'
}

/** Largest mass that the crew lays within 0.7 × its own pot life: m = 0.7·rate·life·(ref/m)^0.35, at most twice life. */
function massByPotLife(pot: Pot, rateGPerH: number): number {
  const atRef = usedShare * rateGPerH * pot.lifeH
  const solved = (atRef * pot.refMassG ** 0.35) ** (1 / 1.35)
  return Math.min(solved, 2 * atRef)
}

/**
 * Cups for `totalG` of mix (1–500 000 g) laid at `rateGPerH` (10–50 000 g an hour by the whole crew) with
 * cups of at most `cupLimitG` (10–10 000). Cup = min(limit, rate × 0.7 × pot life at that mass), solved
 * together. Throws RangeError outside. Source: handbook 9.
 */
export function cupPlan(totalG: number, rateGPerH: number, cupLimitG: number, pot: Pot): CupPlan {
  needRange('cupPlan', 'total in g', totalG, 1, 500_000)
  needRange('cupPlan', 'laying rate in g/h', rateGPerH, 10, 50_000)
  needRange('cupPlan', 'cup in g', cupLimitG, 10, 10_000)
  needRange('cupPlan', 'pot life in h', pot.lifeH, 1e-3, 48)
  needRange('cupPlan', 'reference mass in g', pot.refMassG, 10, 50_000)
  const byPot = massByPotLife(pot, rateGPerH)
  const most = Math.min(cupLimitG, byPot)
  const cups = Math.ceil(totalG / most - 1e-9)
  const cupG = totalG / cups
  return {
    cupG,
    lifeH: potLifeForMass(pot.lifeH, pot.refMassG, cupG),
    cups,
    layingH: totalG / rateGPerH,
    boundBy: cups === 1 ? 'job' : byPot < cupLimitG ? 'potLife' : 'cup',
  }
}
