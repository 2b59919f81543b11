/** What a day afloat costs where she lies on it: each berth at its own price. Source: handbook 6. */
import type { Place } from '../model/entities'
import { placeOfKind } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { berthTimes } from '../plan/schedule/lies'

/** Days in a row at one berth, local days, both counted. */
export interface BerthTime {
  /** Null: no berth is known, nor a yard. */
  readonly place: Place | null
  readonly from: number
  readonly to: number
  readonly days: number
  /** Null: nobody wrote a price down. */
  readonly dayMinor: number | null
  /** 0 without a price. */
  readonly minor: number
}

export interface Berths {
  /** Days `first` to `last`, both counted, berth after berth; none when `last` is before `first`. */
  times: (first: number, last: number) => BerthTime[]
  /** What those days come to, minor units. */
  minor: (first: number, last: number) => number
}

type BerthRows = Pick<RefitRows, 'place' | 'lying' | 'yardTariff' | 'refit'>

/** The price a yard writes down for berths that have none of their own; null: none did. */
export const usualBerthMinor = ({ yardTariff, place }: Pick<BerthRows, 'place' | 'yardTariff'>) => {
  const berths = new Set(place.filter((one) => one.kind === 'berth').map((one) => one.id))
  const usual = yardTariff.find((one) => one.berthPerDayMinor > 0 && !berths.has(one.placeId))
  return usual?.berthPerDayMinor ?? null
}

/** Price of a day at each place. What is written down for a berth counts though it be nothing: a mooring can be one's own. */
function dayPrices(rows: BerthRows): (place: Place | null) => number | null {
  const usual = usualBerthMinor(rows)
  const loaM = rows.refit[0]?.loaM ?? 0
  return (place) => {
    const own = rows.yardTariff.find((one) => one.placeId === place?.id)
    if (place?.kind !== 'berth' || !own) return usual
    return own.byMetre ? Math.round(own.berthPerDayMinor * loaM) : own.berthPerDayMinor
  }
}

/** The berths of a refit by their times. */
export function berthsOf(rows: BerthRows): Berths {
  const timesOf = berthTimes(rows, placeOfKind(rows, 'yard'))
  const priceOf = dayPrices(rows)
  const times: Berths['times'] = (first, last) =>
    timesOf(first, last).map(({ place, from, to }) => {
      const days = to - from + 1
      const dayMinor = priceOf(place)
      return { place, from, to, days, dayMinor, minor: days * (dayMinor ?? 0) }
    })
  return {
    times,
    minor: (first, last) => times(first, last).reduce((sum, one) => sum + one.minor, 0),
  }
}
