/** Civil dates ('YYYY-MM-DD') and wall-clock times ('HH:MM'), free of any zone. */
import { dayMemo } from './dayMemo'

export const dayMs = 86_400_000
export const hourMs = 3_600_000
export const minuteMs = 60_000
export const secondMs = 1000

/** Days that are written down once they were asked for: a plan asks for the same few hundred over and over. */
const writtenDays = 75_000
const read = new Map<string, number>()

/** Days since 1970-01-01, negative before. Throws RangeError when it is not a real date. */
export function dayNumber(date: string): number {
  const known = read.get(date)
  if (known !== undefined) return known
  const day = readDay(date)
  if (read.size < writtenDays) read.set(date, day)
  return day
}

function readDay(date: string): number {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date)
  if (!match) throw new RangeError(`dayNumber: ${date} is not YYYY-MM-DD`)
  const utc = Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]))
  if (dateOf(utc / dayMs) !== date) throw new RangeError(`dayNumber: there is no ${date}`)
  return utc / dayMs
}

const fresh = (day: number): string => new Date(day * dayMs).toISOString().slice(0, 10)
const written = dayMemo(fresh)

/** The civil date of a day number. */
export const dateOf = (day: number): string =>
  day >= 0 && day < writtenDays && Number.isInteger(day) ? written(day) : fresh(day)

export const isDate = (date: string): boolean => {
  try {
    return Number.isInteger(dayNumber(date))
  } catch {
    return false
  }
}

/** `days` later (earlier when negative). */
export const addDays = (date: string, days: number): string => dateOf(dayNumber(date) + days)

/** Whole days from the first date to the second; negative when the second is earlier. */
export const daysBetween = (from: string, to: string): number => dayNumber(to) - dayNumber(from)

/** 1 Monday to 7 Sunday. 1970-01-01 was a Thursday. */
export const weekdayOf = (day: number): number => ((((day + 3) % 7) + 7) % 7) + 1

/** The first local day from one on that is one of some weekdays, 1 Monday to 7 Sunday; none named: that day. */
export function dayOnWeekday(day: number, weekdays: readonly number[]): number {
  for (let one = day; one < day + 7; one++) if (weekdays.includes(weekdayOf(one))) return one
  return day
}

/** The Monday of the week a date lies in. */
export const mondayOf = (date: string): string => {
  const day = dayNumber(date)
  return dateOf(day - weekdayOf(day) + 1)
}

/** Minutes after midnight of 'HH:MM'; '24:00' is 1440. */
export const minutesOf = (time: string): number => {
  const [hours, minutes] = time.split(':')
  return Number(hours) * 60 + Number(minutes)
}

/** 'HH:MM' of minutes after midnight, 0 to 1440. */
export const timeOf = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
