import { accepted, refused } from '../result'
import type { Result } from '../result'
import { plainInput } from '../units/parsed'
import { addDays, dayNumber, daysBetween, isDate, weekdayOf } from './civil'
import { sayFullDate } from './say'

const months = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')
const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
/** A day and a month without a year: the one from so long ago to a year later. */
const lookBackDays = 60
const yearsKnown = [1970, 2200] as const
const help = 'Write it like 2 May 2026.'

const civil = (year: number, month: number, day: number): string =>
  `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
const fullYear = (year: string): number => (year.length === 2 ? 2000 : 0) + Number(year)
const monthOf = (word: string): number => months.indexOf(word.slice(0, 3)) + 1

/** The year that brings a day and a month nearest ahead of `today`, or just past. */
function nearYear(month: number, day: number, today: string): number {
  const year = Number(today.slice(0, 4))
  const near = [year - 1, year, year + 1].find((one) => {
    const date = civil(one, month, day)
    return isDate(date) && daysBetween(today, date) >= -lookBackDays
  })
  return near ?? year
}

function named(text: string, today: string): string | null {
  const dayFirst = /^(\d{1,2})(?:st|nd|rd|th)?[ .-]*([a-z]{3,9})\.?[ ,-]*(\d{4}|\d{2})?$/.exec(text)
  const monthFirst = /^([a-z]{3,9})\.? ?(\d{1,2})(?:st|nd|rd|th)?[ ,]*(\d{4})?$/.exec(text)
  const [day, word, year] = dayFirst
    ? [dayFirst[1], dayFirst[2], dayFirst[3]]
    : [monthFirst?.[2], monthFirst?.[1], monthFirst?.[3]]
  const month = monthOf(word ?? '')
  if (day === undefined || month === 0) return null
  return civil(year ? fullYear(year) : nearYear(month, Number(day), today), month, Number(day))
}

/**
 * A civil date as people write it: 'Sat 2 May 2026', '2 May', 'May 2, 2026', '2026-05-02', '2.5.2026', 'today',
 * 'tomorrow'. Without a year: the coming one. '5/2/2026' asks which is meant; a weekday that does not fit is said.
 * @returns 'YYYY-MM-DD', 1970 to 2200, or the sentence that says what to write.
 */
export function parseDate(text: string, today: string): Result<string> {
  const plain = plainInput(text)
  if (plain === 'today') return accepted(today)
  if (plain === 'tomorrow') return accepted(addDays(today, 1))
  const weekday = /^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,? +/.exec(plain)
  const rest = plain.slice(weekday?.[0].length ?? 0)
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(rest)
  const dotted = /^(\d{1,2})\. ?(\d{1,2})\. ?(\d{4}|\d{2})?$/.exec(rest)
  const slashed = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4}|\d{2})$/.exec(rest)
  let date: string | null = null
  if (iso) date = civil(Number(iso[1]), Number(iso[2]), Number(iso[3]))
  else if (dotted) {
    const [, day = '', month = '', year] = dotted
    date = civil(
      year ? fullYear(year) : nearYear(Number(month), Number(day), today),
      Number(month),
      Number(day),
    )
  } else if (slashed) {
    const [first, second] = [Number(slashed[1]), Number(slashed[2])]
    const year = fullYear(slashed[3] ?? '')
    const readings = [civil(year, second, first), civil(year, first, second)].filter(isDate)
    if (readings.length === 2 && first !== second)
      return refused(`Is it ${readings.map(sayFullDate).join(' or ')}? Write one of these.`)
    date = readings[0] ?? civil(year, second, first)
  } else date = named(rest, today)
  if (date === null) return refused(`“${text.trim()}” is not a date. ${help}`)
  const year = Number(date.slice(0, 4))
  if (!isDate(date)) return refused(`There is no such day as “${text.trim()}”. ${help}`)
  if (year < yearsKnown[0] || year > yearsKnown[1])
    return refused(`A date from ${yearsKnown[0]} to ${yearsKnown[1]}, please.`)
  if (weekday && weekdays[weekdayOf(dayNumber(date)) - 1] !== weekday[1])
    return refused(`${sayFullDate(date)} is no ${weekday[0].trim()}. Which is meant?`)
  return accepted(date)
}
