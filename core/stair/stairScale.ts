/** Days across: what is done stands left of today, not to scale; from today on every day is as wide as the next. */

import { dayMs } from '../time/civil'

/** A mark under the stair. */
interface StairMark {
  readonly at: number
  readonly x: number
}

export interface StairScale {
  /** Across, px, of an instant from now on; before now it is that of today. */
  readonly xOf: (at: number) => number
  /** The instant at a place, UTC ms; not before now. Past the last to be seen it goes on as wide. */
  readonly atX: (x: number) => number
  /** Across of what was done, by its place among it. */
  readonly doneX: (place: number) => number
  readonly todayX: number
  /** Mondays to be written under it, apart from each other. */
  readonly mondays: readonly StairMark[]
}

/** Share of the width that what is done gets. */
const doneShare = 0.25
const leastShare = 0.04
/** So much is left free at the right, where layers end. */
const rightShare = 0.1
/** Marks nearer than that are left out, px. */
const apartPx = 52

/** How far the scale goes at least, and how much farther than the last layer for the sake of a gate. */
const leastDays = 21
const gateReach = 1.8

/** The last instant to be seen: that of the gate, where it does not press the layers together. */
export function stairUntil(now: number, lastAt: number, gateAt: number | null): number {
  const reach = now + Math.max(leastDays * dayMs, (lastAt - now) * gateReach)
  const last = Math.max(lastAt, now + 7 * dayMs)
  return gateAt === null || gateAt > reach ? last : Math.max(last, gateAt)
}

/** A scale over a width in px. `until`: the last instant that must be seen; `mondays`: candidates for marks, in order. */
export function stairScale(
  widthPx: number,
  doneCount: number,
  now: number,
  until: number,
  mondays: readonly number[],
): StairScale {
  const todayX = widthPx * (doneCount > 0 ? doneShare : leastShare)
  const span = Math.max(until - now, 7 * dayMs)
  const usable = widthPx * (1 - rightShare) - todayX
  const xOf = (at: number) => todayX + (Math.max(0, Math.min(at - now, span)) / span) * usable
  const atX = (x: number) => now + Math.max(0, (x - todayX) / Math.max(1, usable)) * span
  const marks: StairMark[] = []
  for (const at of mondays) {
    const x = xOf(at)
    const last = marks.at(-1)?.x ?? todayX
    if (at > now && at <= now + span && x - last >= apartPx) marks.push({ at, x })
  }
  return {
    xOf,
    atX,
    doneX: (place) => (place / (doneCount + 0.5)) * todayX,
    todayX,
    mondays: marks,
  }
}
