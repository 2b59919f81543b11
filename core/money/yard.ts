/** What a yard asks for: the one sum of days ashore, power, lifts, blocking and washing. Source: handbook 6. */
import type { HaulOut, Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { yardOf } from '../plan/schedule/haulOuts'

export type Tariff = Row<'yardTariff'>

/** The price of the `nth` day ashore, 1 the first, minor units. `loaM`: length overall in metres. */
export function dayMinor(tariff: Tariff, nth: number, loaM: number): number {
  if (nth <= tariff.freeDays) return 0
  const isLater = tariff.laterFromDay !== null && nth >= tariff.laterFromDay
  const price = isLater ? tariff.laterPerDayMinor : tariff.perDayMinor
  return (tariff.byMetre ? Math.round(price * loaM) : price) + tariff.powerPerDayMinor
}

/** Days `from` to `to`, both counted, 1 the first ashore; 0 when there are none. */
export function daysMinor(tariff: Tariff, from: number, to: number, loaM: number): number {
  const [first, last] = [Math.max(1, from), to]
  if (last < first) return 0
  // Between two days on which the price changes all days cost the same.
  const edges = [tariff.freeDays + 1, tariff.laterFromDay ?? 0]
    .filter((day) => day > first && day <= last)
    .sort((a, b) => a - b)
  let sum = 0
  let begin = first
  for (const end of [...edges, last + 1]) {
    sum += (end - begin) * dayMinor(tariff, begin, loaM)
    begin = end
  }
  return sum
}

/** A day once the free ones are over, at the price of the time in which most work falls. */
export const usualDayMinor = (tariff: Tariff, loaM: number): number =>
  dayMinor({ ...tariff, freeDays: 0, laterFromDay: null }, 1, loaM)

/** Coming out: the lift, blocking and washing. */
export const comingOutMinor = ({ liftMinor, blockMinor, washMinor }: Tariff): number =>
  liftMinor + blockMinor + washMinor

/** True where a day ashore has a price. */
export const hasDayPrice = (tariff: Tariff): boolean =>
  tariff.perDayMinor + tariff.laterPerDayMinor + tariff.powerPerDayMinor > 0

/** True once anybody wrote a yard's price down: a new refit begins with a row of noughts, and nothing is known from that. */
const hasPrices = (tariff: Tariff): boolean =>
  hasDayPrice(tariff) || comingOutMinor(tariff) + tariff.changeMinor > 0

type YardRows = Pick<RefitRows, 'yardTariff' | 'place'>

/** Berths keep their price in a row of the same kind: no yard asks what they do. */
function ownOrFirst(rows: YardRows, haulOut: HaulOut, counts: (tariff: Tariff) => boolean) {
  const berths = new Set(rows.place.filter((one) => one.kind === 'berth').map((one) => one.id))
  const known = rows.yardTariff.filter((one) => !berths.has(one.placeId) && counts(one))
  const yardId = yardOf(rows, haulOut)?.id
  return known.find((one) => one.placeId === yardId) ?? known[0] ?? null
}

/** What is asked for in a haul-out: the prices of its yard, without those the first there are; null: nobody wrote any down. */
export const tariffOf = (rows: YardRows, haulOut: HaulOut): Tariff | null =>
  ownOrFirst(rows, haulOut, hasPrices)

/** Days of notice that the yard of a haul-out wants for a lift, and until the next can be had; a week where nobody said. */
export const noticeDaysOf = (rows: YardRows, haulOut: HaulOut): number =>
  ownOrFirst(rows, haulOut, () => true)?.noticeDays ?? 7
