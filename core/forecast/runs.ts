/** The refit laid again and again, each time with all that is not known drawn: when gates are likely, and when safe. */
import type { InParts } from '../inParts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { laidGates } from '../plan/finishPlan'
import { prepare } from '../plan/prepare'
import { samplePasses } from '../plan/sample'
import { sequenceOf } from '../plan/sequenceOf'
import { createRandom } from '../random'
import { drawsOf } from './draws'
import { percentile } from './normal'

export interface GateForecast {
  readonly gateId: string
  /** UTC ms of each run in which it came about, the earliest first. Infinity: it had no day in that run. */
  readonly at: readonly number[]
  /** Even odds, and 8 in 10; Infinity: not within any day of the runs. */
  readonly likelyAt: number
  readonly safeAt: number
}

export interface Forecast {
  readonly runs: number
  readonly seed: number
  readonly gates: readonly GateForecast[]
  /** Hours of work each run still took, the fewest first. */
  readonly hours: readonly number[]
}

/** Runs laid before anything else is let in. */
const runsAPart = 8

/**
 * So many runs of an accepted plan in its own sequence. Gates fall on days on which they can happen, as the passes lay
 * them. Deterministic for a seed. Null: nothing is open, or the plan is of other work. Can be left after every eighth.
 */
export function* forecastRuns(
  rows: RefitRows,
  plan: StoredPlan,
  runs: number,
  seed: number,
): InParts<Forecast | null> {
  const prepared = prepare(rows, plan.now)
  const placeOf = sequenceOf(prepared, plan, null)
  if (!placeOf || prepared.compiled.activities.size === 0) return null
  const lay = samplePasses(prepared, { placeOf })
  const draw = drawsOf(prepared)
  const random = createRandom(seed)
  const dates = new Map<string, number[]>(plan.gates.map((one) => [one.gateId, []]))
  const hours: number[] = []
  for (let run = 0; run < runs; run++) {
    if (run % runsAPart === 0) yield run / runs
    const sample = draw(random)
    const pass = lay(sample)
    const laid = new Map(laidGates(prepared.compiled, pass).map((one) => [one.gateId, one.at]))
    for (const [gateId, list] of dates) list.push(laid.get(gateId) ?? Infinity)
    hours.push([...(sample.workHours?.values() ?? [])].reduce((sum, one) => sum + one, 0))
  }
  const rising = (a: number, b: number) => (a === b ? 0 : a - b)
  return {
    runs,
    seed,
    gates: [...dates].map(([gateId, list]): GateForecast => {
      const at = list.sort(rising)
      return { gateId, at, likelyAt: percentile(at, 0.5), safeAt: percentile(at, 0.8) }
    }),
    hours: hours.sort(rising),
  }
}

/** Share of runs in which a gate came about by an instant. */
export const chanceBy = ({ at }: Pick<GateForecast, 'at'>, by: number): number =>
  at.length === 0 ? 0 : at.filter((one) => one <= by).length / at.length
