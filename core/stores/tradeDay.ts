/** On which day to ask a trade to come, and what a day gained or lost before it is worth. Source: handbook-2 G1. */
import { dayOnWeekday, hourMs, weekdayOf } from '../time/civil'
import { weekdayNames } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { counted } from '../units/counted'

/** What is ready by then in the morning may be begun that day. */
const morningMs = 8 * hourMs

/** The first day on which they come once what comes before is ready, and not before their notice is over. Local days. */
export function dayToAskFor(
  readyAt: number,
  comesOn: readonly number[],
  noticeDays: number,
  today: number,
  clock: ZoneClock,
): number {
  const day = clock.dayOf(readyAt)
  const ready = readyAt <= clock.at(day, 0) + morningMs ? day : day + 1
  return dayOnWeekday(Math.max(ready, today + noticeDays), comesOn)
}

/** True where they come on some days of the week only. */
const isChoosy = (comesOn: readonly number[]): boolean => comesOn.length > 0 && comesOn.length < 7

/** "Mondays and Thursdays"; '': any day. */
export function sayComesOn(comesOn: readonly number[]): string {
  if (!isChoosy(comesOn)) return ''
  const names = [...comesOn].sort((a, b) => a - b).map((day) => `${weekdayNames[day - 1] ?? ''}s`)
  const last = names.pop() ?? ''
  return names.length === 0 ? last : `${names.join(', ')} and ${last}`
}

/** The day after one on which they come, local day. */
export const nextDay = (on: number, comesOn: readonly number[]): number =>
  dayOnWeekday(on + 1, comesOn)

/**
 * What days gained before it are worth where they come on some weekdays only; '' where they come on any. `readyOn`: the
 * local day on which its work could begin.
 */
export function sayGain(readyOn: number, comesOn: readonly number[]): string {
  if (!isChoosy(comesOn)) return ''
  let days = 1
  while (!comesOn.includes(weekdayOf(readyOn - days))) days++
  const waits = dayOnWeekday(readyOn, comesOn) - readyOn
  const begin = waits === 0 ? '' : `It waits ${counted(waits, 'day')} for that. `
  if (days === 1) return `${begin}One day gained before it brings them a time sooner.`
  return `${begin}One day gained before it gains nothing; ${counted(days, 'day')} bring them a time sooner.`
}
