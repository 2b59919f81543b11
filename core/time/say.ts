import { dateOf, dayNumber, weekdayOf } from './civil'
import type { ZoneClock } from './zone'

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
const months = 'Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec'.split(' ')

/** '22 May' of 'YYYY-MM-DD'; with the year when it is not `year`. */
export function sayDate(date: string, year?: string): string {
  const said = `${Number(date.slice(8))} ${months[Number(date.slice(5, 7)) - 1]}`
  return year === undefined || date.startsWith(year) ? said : `${said} ${date.slice(0, 4)}`
}

/** 'Sat 22 May'; with the year when it is not `year`. */
export const sayDay = (date: string, year?: string): string =>
  `${weekdays[weekdayOf(dayNumber(date)) - 1]} ${sayDate(date, year)}`

const wholeMonths =
  'January February March April May June July August September October November December'.split(' ')

/** 'April 2027' of a month 'YYYY-MM'. */
export const sayMonth = (month: string): string =>
  `${wholeMonths[Number(month.slice(5, 7)) - 1]} ${month.slice(0, 4)}`

/** 'Apr' of a month 'YYYY-MM' or a date in it; `withYear`: 'Apr 27'. */
export const sayShortMonth = (month: string, withYear = false): string =>
  `${months[Number(month.slice(5, 7)) - 1]}${withYear ? ` ${month.slice(2, 4)}` : ''}`

/** 'Sat 17 April 2027'-like heading without a locale: 'Sat 17 Apr 2027'. */
export const sayFullDate = (date: string): string => `${sayDay(date)} ${date.slice(0, 4)}`

/** '22 May' of an instant in the zone; with the year when it is not `year`. */
export const shortDate = (instant: number, clock: ZoneClock, year?: string): string =>
  sayDate(clock.dateOf(instant), year)

/** '09:55' in the zone. */
export function clockTimeOf(instant: number, clock: ZoneClock): string {
  const minutes = clock.minutesOf(instant)
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
}

/** 'Sat 17 Apr 09:55'; with the year when it is not `year`. */
export const shortDateTime = (instant: number, clock: ZoneClock, year?: string): string =>
  `${sayDay(dateOf(clock.dayOf(instant)), year)} ${clockTimeOf(instant, clock)}`

/** Days of the week by their number less one: Monday first. */
export const weekdayNames = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const
