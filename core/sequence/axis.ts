import { dateOf, dayNumber, weekdayOf } from '../time/civil'

/** A mark on the axis. `named`: its month is said too. */
export interface Tick {
  readonly date: string
  readonly named: boolean
}

const daysInWeek = 7
/** A long stretch is marked every four weeks, a very long one about every two months. */
const longDays = 130
const veryLongDays = 400

/** Mondays of a stretch of civil dates, as many as can be told apart; `to` is the day after the last. */
export function ticksOf(from: string, to: string): Tick[] {
  const [first, end] = [dayNumber(from), dayNumber(to)]
  const days = end - first
  const step = days > veryLongDays ? 61 : days > longDays ? 28 : daysInWeek
  const ticks: Tick[] = []
  for (let day = first + ((8 - weekdayOf(first)) % daysInWeek); day < end; day += step) {
    const date = dateOf(day)
    const firstOfMonth = Number(date.slice(8)) <= daysInWeek
    ticks.push({ date, named: firstOfMonth || step > daysInWeek || ticks.length === 0 })
  }
  return ticks
}
