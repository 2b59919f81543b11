/** Ways to come by a part, compared by what each is likely to cost in the end. Source: handbook-2 G3. */
import type { Row } from '../model/entities'

type Way = Row<'partWay'>

export interface WayCost {
  readonly way: Way
  /** Price and own hours, minor units. */
  readonly outlayMinor: number
  /** With what it costs when it does not fit and the sure way is taken after all. */
  readonly expectedMinor: number
  /** The chance at which it costs as much as the sure way, 0 to 100; null: it is the sure way, or never pays. */
  readonly breakEvenPercent: number | null
}

/**
 * Expected cost = outlay + (1 − chance) × outlay of the sure way: what does not fit is paid for all the same. The sure
 * way is the cheapest of those that fit for certain; where none does, the one with the best chance, and what follows
 * when that fails is not known. `hourMinor`: what an own hour is worth, minor units, 0 and over.
 * Break-even p: outlay + (1 − p) × sure = sure, so p = outlay ÷ sure.
 */
export function waysCompared(ways: readonly Way[], hourMinor: number): readonly WayCost[] {
  const outlay = (way: Way): number => way.priceMinor + Math.round(way.ownHours * hourMinor)
  const certain = ways.filter((one) => one.chancePercent === 100)
  const sure = certain.reduce<Way | null>(
    (best, one) => (best === null || outlay(one) < outlay(best) ? one : best),
    null,
  )
  const sureMinor = sure ? outlay(sure) : null
  return ways
    .map((way): WayCost => {
      const own = outlay(way)
      const miss = 1 - way.chancePercent / 100
      const even = sureMinor === null || sureMinor === 0 ? null : (own / sureMinor) * 100
      return {
        way,
        outlayMinor: own,
        expectedMinor: own + Math.round(miss * (sureMinor ?? 0)),
        breakEvenPercent: way.chancePercent === 100 || even === null || even >= 100 ? null : even,
      }
    })
    .sort((a, b) => a.expectedMinor - b.expectedMinor || (a.way.order < b.way.order ? -1 : 1))
}
