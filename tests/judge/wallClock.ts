/** Wall-clock time of a zone by Intl alone, and the units of a plan. */

export const minute = 60_000

export const hour = 60 * minute

export const tick = 5 * minute

const quarter = 15 * minute

export interface Wall {
  readonly date: string
  readonly minutes: number
  readonly weekday: number
}

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

const known = new Map<string, (at: number) => Wall>()

export function wallClock(zone: string): (at: number) => Wall {
  const made = known.get(zone) ?? makeWallClock(zone)
  known.set(zone, made)
  return made
}

function makeWallClock(zone: string): (at: number) => Wall {
  const format = new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    weekday: 'short',
  })
  // Every zone is whole quarters of an hour from UTC: within one, only minutes pass.
  const seen = new Map<number, Wall>()
  return (at) => {
    const key = Math.floor(at / quarter)
    const found = seen.get(key) ?? read(key * quarter)
    if (seen.size > 100_000) seen.clear()
    seen.set(key, found)
    const passed = Math.floor((at - key * quarter) / minute)
    return passed === 0 ? found : { ...found, minutes: found.minutes + passed }
  }

  function read(at: number): Wall {
    const part = Object.fromEntries(format.formatToParts(at).map((one) => [one.type, one.value]))
    return {
      date: `${part.year}-${part.month}-${part.day}`,
      minutes: Number(part.hour) * 60 + Number(part.minute),
      weekday: days.indexOf(part.weekday ?? '') + 1,
    }
  }
}

export const hhmm = (text: string): number =>
  Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5))

const dayIndex = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / (24 * hour))

export const mondays = (date: string): number => Math.floor((dayIndex(date) + 3) / 7)

/** Civil dates from the first to the last, both in. */
export const dates = (first: string, last: string): string[] => {
  const found: string[] = []
  for (let day = Date.parse(`${first}T00:00:00Z`); day <= Date.parse(`${last}T00:00:00Z`);) {
    found.push(new Date(day).toISOString().slice(0, 10))
    day += 24 * hour
  }
  return found
}

/** UTC instant of a civil date and time, found by trying the offsets around it. */
export function instantOf(date: string, minutes: number, zone: string): number {
  const wall = wallClock(zone)
  const naive = Date.parse(`${date}T00:00:00Z`) + minutes * minute
  // Most often the offset of that hour is the offset sought.
  const there = wall(naive)
  const shift = Date.parse(`${there.date}T00:00:00Z`) + there.minutes * minute - naive
  const guess = wall(naive - shift)
  if (guess.date === date && guess.minutes === minutes) return naive - shift
  for (let offset = -14; offset <= 14; offset += 0.25) {
    const at = naive - offset * hour
    const shown = wall(at)
    if (shown.date === date && shown.minutes === minutes) return at
  }
  return naive
}
