import { read, readNumber, unread } from './parsed'
import type { Parsed } from './parsed'

/**
 * Hours as people write them: `1h30`, `1 h 30 m`, `90m`, `1.5`, `1,5`, `1:30`, `2 h`.
 * Accepts 0 to `most` (a day's 24 unless told otherwise).
 */
export function parseHours(text: string, most = 24): Parsed<number> {
  const said = text.trim().toLowerCase()
  if (said === '') return unread('Type hours, for example 1h30, 90m or 1.5.')
  if (said.startsWith('-'))
    return unread('Hours cannot be negative. Type what was worked, like 1h30.')
  const hours = readHours(said)
  if (hours === null) return unread(`"${text.trim()}" is not a time. Try 1h30, 90m or 1.5.`)
  if (hours > most)
    return unread(`${formatHours(hours)} is more than ${most} h. Check it, or split it.`)
  return read(hours)
}

function readHours(said: string): number | null {
  const plain = readNumber(said)
  if (plain !== null) return plain
  const colon = /^(\d+):([0-5]\d)$/.exec(said)
  if (colon) return Number(colon[1]) + Number(colon[2]) / 60
  const worded =
    /^(?:(\d+(?:[.,]\d+)?)\s*h(?:ours?|rs?)?)?\s*(?:(\d+(?:[.,]\d+)?)\s*(?:m(?:in(?:utes?)?)?)?)?$/.exec(
      said,
    )
  if (!worded || (worded[1] === undefined && !/m/.test(said))) return null
  return (readNumber(worded[1] ?? '0') ?? 0) + (readNumber(worded[2] ?? '0') ?? 0) / 60
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
