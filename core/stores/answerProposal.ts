/** Saying yes or no to what a trade proposes, with what its days do to their booking. Source: handbook-2 G2. */
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { deletion, patchOf } from '../model/removal'
import { dateOf, dayNumber, weekdayOf } from '../time/civil'

type Booking = Row<'tradeBooking'>
type Item = Row<'tradeItem'>

/** Where nobody said on which days they come. */
const workingWeek: readonly number[] = [1, 2, 3, 4, 5]

/** The date so many days on which they come after another, days less than 0 before it. */
function movedBy(date: string, days: number, comesOn: readonly number[]): string {
  const weekdays = comesOn.length > 0 ? comesOn : workingWeek
  const step = Math.sign(days)
  let day = dayNumber(date)
  for (let left = Math.abs(days); left > 0;) {
    day += step
    if (weekdays.includes(weekdayOf(day))) left--
  }
  return dateOf(day)
}

/** Whole days that taken proposals keep them longer: a day that is begun is a day on which they come. */
const daysTaken = (items: readonly Item[]): number =>
  Math.ceil(
    items.reduce((sum, one) => sum + (one.answer === 'taken' ? (one.proposalDays ?? 0) : 0), 0),
  )

export interface Answered {
  readonly items: readonly ChangeItem[]
  /** The day until which they are there then; null: as it was. */
  readonly until: string | null
}

/**
 * A proposal taken, left, or thought over again. Its days move the end of a booking that is still to come; thought over
 * again they move it back, not before the day on which they begin. `lines`: all of the booking; `today`: civil date.
 */
export function answering(
  booking: Booking,
  lines: readonly Item[],
  item: Item,
  answer: 'taken' | 'left' | 'open',
  by: { readonly today: string; readonly personId: string | null },
): Answered {
  const isOpen = answer === 'open'
  const own = patchOf('tradeItem', item, {
    answer,
    answeredOn: isOpen ? null : by.today,
    answeredById: isOpen ? null : by.personId,
  })
  const then = lines.map((one) => (one.id === item.id ? { ...one, answer } : one))
  return moving(booking, own, lines, then)
}

/** A line taken off the sheet; the days it was taken for go with it. `lines`: all of the booking. */
export const takingOff = (booking: Booking, lines: readonly Item[], item: Item): Answered =>
  moving(
    booking,
    deletion('tradeItem', item),
    lines,
    lines.filter((one) => one.id !== item.id),
  )

/** A change of the lines, and the booking as much longer or shorter as their taken days are. */
function moving(
  booking: Booking,
  own: ChangeItem,
  lines: readonly Item[],
  then: readonly Item[],
): Answered {
  const days = daysTaken(then) - daysTaken(lines)
  const isToCome = booking.state === 'asked' || booking.state === 'booked'
  if (days === 0 || !isToCome) return { items: [own], until: null }
  const moved = movedBy(booking.to, days, booking.comesOn)
  const until = moved < booking.from ? booking.from : moved
  return { items: [own, patchOf('tradeBooking', booking, { to: until })], until }
}
