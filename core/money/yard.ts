/** What a yard asks for: the one sum of days ashore, power, lifts, blocking and washing. Source: handbook 6. */
import type { Row } from '../model/entities'

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

/** True once anybody wrote a price down: a new refit begins with a row of noughts, and nothing is known from that. */
export const hasPrices = (tariff: Tariff): boolean =>
  hasDayPrice(tariff) || comingOutMinor(tariff) > 0 || tariff.berthPerDayMinor > 0

/** True where a day ashore has a price. */
export const hasDayPrice = (tariff: Tariff): boolean =>
  tariff.perDayMinor + tariff.laterPerDayMinor + tariff.powerPerDayMinor > 0

const ownOrFirst = (tariffs: readonly Tariff[], placeId: string | null | undefined) =>
  tariffs.find((one) => one.placeId === placeId) ?? tariffs[0] ?? null

/** The prices of a yard; without those of its own the first there are; null: nobody wrote any down. */
export const tariffOf = (
  tariffs: readonly Tariff[],
  placeId: string | null | undefined,
): Tariff | null => ownOrFirst(tariffs.filter(hasPrices), placeId)

/** Days of notice that a yard wants for a lift, and until the next can be had; a week where nobody said. */
export const noticeDaysOf = (
  tariffs: readonly Tariff[],
  placeId: string | null | undefined,
): number => ownOrFirst(tariffs, placeId)?.noticeDays ?? 7
