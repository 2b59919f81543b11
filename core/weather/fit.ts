/** Hours in which the forecast lets a step be done, until it is touch-dry. */
import type { WeatherHour } from '../cure/dewPoint'
import type { Step } from '../model/entities'
import { hourMs } from '../time/civil'
import { joined } from '../time/intervals'
import type { Interval } from '../time/intervals'
import { feltAt } from './felt'
import type { FeltHour, Position } from './felt'
import { against, touchDryHours } from './need'
import type { Against, WeatherNeed } from './need'
import type { Site } from './site'

/** A stretch that the weather forbids. */
export interface Spell {
  readonly from: number
  readonly to: number
  /** Of its first hour. */
  readonly why: Against
  /** Air in its first hour, °C. */
  readonly airC: number
}

/** Stretches of the hours from `from` to `until` in which work cannot be; hours of one kind together. */
export function spellsAgainst(
  hours: readonly WeatherHour[],
  need: WeatherNeed,
  site: Site,
  position: Position | null,
): Spell[] {
  const spells: Spell[] = []
  for (const hour of hours) {
    const felt = feltAt(hour, site, position)
    const why = against(felt, need)
    if (why === null) continue
    const last = spells.at(-1)
    if (last && last.to === hour.at && last.why === why)
      spells[spells.length - 1] = { ...last, to: hour.at + hourMs }
    else
      spells.push({
        from: hour.at,
        to: hour.at + hourMs,
        why,
        airC: Math.min(felt.airC, felt.surfaceC),
      })
  }
  return spells
}

/** Hours before a spell over which the air is taken for how fast something dries. */
const dryingHours = 6

/** By when wet work must be over before a spell, ms before it: touch-dry at the air of the hours before. */
export function touchDryMs(step: Step, spell: Spell, hours: readonly FeltHour[]): number {
  // Heat hurries a coat, it does not spoil what is laid.
  if (spell.why === 'hot') return 0
  const before = hours.filter(
    (hour) => hour.at < spell.from && hour.at >= spell.from - dryingHours * hourMs,
  )
  if (before.length === 0) return touchDryHours(step, spell.airC) * hourMs
  const mean = before.reduce((sum, hour) => sum + hour.airC, 0) / before.length
  return touchDryHours(step, mean) * hourMs
}

/** What is left of all time when some stretches are closed. */
export function openAround(closed: readonly Interval[]): Interval[] {
  const open: Interval[] = []
  let from = -Infinity
  for (const [a, b] of joined(closed)) {
    if (a > from) open.push([from, a])
    from = b
  }
  return from === Infinity ? open : [...open, [from, Infinity]]
}
