/** Work in one go that came out longer than any day its people have: it is not given up half-way. */
import { hourMs } from '../../time/civil'
import type { Interval } from '../../time/intervals'
import type { Laying, Room } from './laying'
import { durationMs } from './openWork'
import type { OpenStep } from './openWork'

/** People stay so much longer to see something through; beyond that it goes on another day. Assumed. */
const mostOvertimeMs = 2 * hourMs

/**
 * Room for work in one go that no day is long enough for: a day on which its quickest crew gets so far that the rest is
 * overtime; where no day is, it is left and taken up again. Null: nobody is ever there.
 */
export function overrun(
  laying: Laying,
  activity: OpenStep,
  from: number,
  windows: readonly Interval[],
): Room | null {
  const quickest = laying
    .stretchesOf(activity)
    .map(({ size, reaches }, at) => {
      const wholeMs = durationMs(activity, size)
      const leastMs = Math.max(1, wholeMs - mostOvertimeMs)
      return { at, wholeMs, leastMs, comes: reaches(1), runsOver: reaches(leastMs) }
    })
    .filter((one) => one.comes)
    .sort((a, b) => Number(b.runsOver) - Number(a.runsOver) || a.wholeMs - b.wholeMs)[0]
  if (!quickest) return null
  const crew = activity.crews[quickest.at] as readonly number[]
  const find = (workMs: number, splittable: boolean) =>
    laying.diary.find({
      crew,
      place: activity.placeNeed,
      windows,
      from,
      workMs,
      splittable,
      giveUpAt: Infinity,
      patienceDays: laying.patienceDays ?? undefined,
    })
  const day = quickest.runsOver ? find(quickest.leastMs, false) : null
  if (day) {
    const finish = day.start + quickest.wholeMs
    return { crew, room: { segments: [[day.start, finish]], start: day.start, finish } }
  }
  const left = find(quickest.wholeMs, true)
  return left && { crew, room: left }
}
