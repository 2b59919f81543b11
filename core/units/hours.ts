import { accepted, refused } from '../result'
import type { Result } from '../result'
import { ambiguity, plainInput, readAmount } from './parsed'

/** Hours in a day as people mean it: of work, and on the clock. */
export type HoursOfDay = 8 | 24

/**
 * Hours as people write them: `1h30`, `1 h 30 mins`, `90m`, `1.5`, `1½`, `1:30`, `1 1/2 h`, `9:30-12`,
 * `1 day` (of `dayHours`: 8 of work, 24 of waiting). Accepts 0 to `most` (a day's 24 unless told otherwise).
 */
export function parseHours(text: string, most = 24, dayHours: HoursOfDay = 8): Result<number> {
  const said = plainInput(text).replace(/\.$/, '')
  if (said === '') return refused('Type hours, for example 1h30, 90m or 1.5.')
  if (said.startsWith('-'))
    return refused('Hours cannot be negative. Type what was worked, like 1h30.')
  const asks = ambiguity(said) ?? guessOrClock(said)
  if (asks) return refused(asks)
  const hours = readHours(said, dayHours)
  if (hours === null) return refused(`“${text.trim()}” is not a time. Try 1h30, 90m or 1.5.`)
  if (hours > most)
    return refused(`${formatHours(hours)} is more than ${most} h. Check it, or split it.`)
  return accepted(hours)
}

const amount = '(\\d+[ -]\\d+ ?/ ?\\d+|\\d+ ?/ ?\\d+|\\d+(?:[.,]\\d+)?|[.,]\\d+)'
const daysAndHours = new RegExp(
  `^(?:${amount} ?d(?:ays?)?\\.?,?)? ?(?:${amount} ?h(?:ours?|rs?)?\\.?,?)? ?(?:${amount} ?(?:m(?:in(?:ute)?s?)?\\.?)?)?$`,
)

function readHours(said: string, dayHours: HoursOfDay): number | null {
  const plain = readAmount(said)
  if (plain !== null) return plain
  const colon = /^(\d+):([0-5]\d)$/.exec(said)
  if (colon) return Number(colon[1]) + Number(colon[2]) / 60
  const span = fromTo(said)
  if (span !== null) return span
  const worded = daysAndHours.exec(said)
  // A bare number after hours is minutes; after days alone nobody knows.
  if (!worded || (worded[2] === undefined && worded[3] !== undefined && !/m/.test(said)))
    return null
  const [days, hours, minutes] = [worded[1], worded[2], worded[3]].map((one) =>
    one === undefined ? 0 : readAmount(one),
  ) as [number | null, number | null, number | null]
  if (days === null || hours === null || minutes === null) return null
  return days * dayHours + hours + minutes / 60
}

/** '2 to 3' is a guess or two times of day: only the person can say. Null when it is neither. */
function guessOrClock(said: string): string | null {
  const match = /^(\d{1,2}) ?(?:-|to) ?(\d{1,2})(?: ?h(?:ours?|rs?)?\.?)?$/.exec(said)
  const [low, high] = [Number(match?.[1]), Number(match?.[2])]
  if (!match || low >= high) return null
  const clock = high <= 24 ? `, or ${low}:00-${high}:00 if that is the time of day` : ''
  return `From ${low} to ${high} hours? Write one number, such as ${(low + high) / 2}${clock}.`
}

/** '9:30-12', '9 - 12:15': from one time of day to a later one. Null when it is not that. */
function fromTo(said: string): number | null {
  const match = /^(\d{1,2})(?:[:.]([0-5]\d))? ?(?:-|to) ?(\d{1,2})(?:[:.]([0-5]\d))?$/.exec(said)
  // '2-3' may as well be a guess of two to three hours.
  if (!match || (match[2] === undefined && match[4] === undefined)) return null
  const [from, to] = [
    Number(match[1]) + Number(match[2] ?? 0) / 60,
    Number(match[3]) + Number(match[4] ?? 0) / 60,
  ]
  return from < to && to <= 24 ? to - from : null
}

/** `54 min`, `2 h`, `2 h 36`. Rounded to the minute. */
export function formatHours(hours: number): string {
  const minutes = Math.round(hours * 60)
  if (minutes < 60) return `${minutes} min`
  const rest = minutes % 60
  return rest === 0
    ? `${minutes / 60} h`
    : `${Math.floor(minutes / 60)} h ${String(rest).padStart(2, '0')}`
}

/** A guess of hours for reading, no finer than it is known: `4.5 h`, from ten on `158 h`. */
export const formatGuess = (hours: number): string =>
  `${hours < 10 ? Number((Math.round(hours * 2) / 2 || 0.5).toFixed(1)) : Math.round(hours)} h`

/** From four days on, hours are said as days. */
const longHours = 96

/** A wait for reading: `16 h`, and from four days on `6.8 days`. */
export const formatWait = (hours: number): string =>
  hours < longHours ? formatHours(hours) : `${Number((hours / 24).toFixed(1))} days`

/** A stretch that may be days: `3 d 4 h`, `11:40`, `0:18`. */
export function formatCountdown(ms: number): string {
  const minutes = Math.max(0, Math.floor(ms / 60_000))
  const days = Math.floor(minutes / 1440)
  const hours = Math.floor((minutes % 1440) / 60)
  return days > 0 ? `${days} d ${hours} h` : `${hours}:${String(minutes % 60).padStart(2, '0')}`
}
