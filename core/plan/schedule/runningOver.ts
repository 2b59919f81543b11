/** Work in one go that came out longer than any day its people have: it is not given up half-way. */
import { hourMs } from '../../time/civil'
import type { Interval } from '../../time/intervals'
import type { Laying, Room } from './laying'
import { durationMs } from './openWork'
import type { OpenStep } from './openWork'

/** People stay so much longer to see something through; beyond that it goes on another day. Assumed. */
const mostOvertimeMs = 2 * hourMs

/**
 * Room for work in one go that no day is long enough for: the longest stretch its quickest crew has, and the rest as
 * overtime on the same day or, where that is too much, whenever they are there again. Null: nobody is ever there.
 */
export function overrun(
  laying: Laying,
  activity: OpenStep,
  from: number,
  windows: readonly Interval[],
): Room | null {
  const quickest = laying
    .stretchesOf(activity)
    .map(({ size, longestMs }, at) => ({ at, longestMs, wholeMs: durationMs(activity, size) }))
    .filter((one) => one.longestMs > 0)
    .sort((a, b) => a.wholeMs - a.longestMs - (b.wholeMs - b.longestMs))[0]
  if (!quickest) return null
  const crew = activity.crews[quickest.at] as readonly number[]
  const find = (at: number, workMs: number, splittable: boolean) =>
    laying.diary.find({
      crew,
      place: activity.placeNeed,
      windows,
      from: at,
      workMs,
      splittable,
      giveUpAt: Infinity,
    })
  const day = find(from, quickest.longestMs, false)
  if (!day) return null
  const overMs = quickest.wholeMs - quickest.longestMs
  const { start } = day
  if (overMs <= mostOvertimeMs) {
    const finish = day.finish + overMs
    return { crew, room: { segments: [[start, finish]], start, finish } }
  }
  const rest = find(day.finish, overMs, true)
  if (!rest) return null
  const segments = [...day.segments, ...rest.segments]
  return { crew, room: { segments, start, finish: rest.finish } }
}
