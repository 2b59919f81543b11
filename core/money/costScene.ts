/** The money under the Tape: paid by the inch, planned, likely, and what is left for what nobody thought of. */
import type { CostOdds } from '../model/odds'
import type { RefitRows } from '../model/refit'
import type { ZoneClock } from '../time/zone'
import { dayNumber } from '../time/civil'
import type { Money } from './accounts'

/** A point of a drawing in inches and minor units. */
export interface InchPoint {
  readonly inch: number
  readonly minor: number
}

/** Inches earned by the end of a civil date, never falling. `earnedIn`: as the Tape shows today. */
export function inchOf(
  rows: Pick<RefitRows, 'step'>,
  clock: ZoneClock,
  earnedIn: number,
): (on: string | null) => number {
  const earned = rows.step
    .filter((one) => one.doneAt !== null && one.earnedIn !== null)
    .map((one) => ({ day: clock.dayOf(one.doneAt ?? 0), inch: one.earnedIn ?? 0 }))
    .sort((a, b) => a.day - b.day)
  const days: number[] = []
  const sums: number[] = []
  let sum = 0
  for (const one of earned) {
    sum += one.inch
    days.push(one.day)
    sums.push(sum)
  }
  return (on) => {
    // What has no day of its own is drawn where she is now.
    if (on === null) return earnedIn
    const day = dayNumber(on)
    let [low, high] = [0, days.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if ((days[middle] as number) <= day) low = middle + 1
      else high = middle
    }
    return Math.min(earnedIn, low === 0 ? 0 : (sums[low - 1] as number))
  }
}

export interface CostScene {
  /** Paid so far, a stair. */
  readonly spent: readonly InchPoint[]
  readonly now: InchPoint
  /** Where the plan, with its reserve, and what is likely end. */
  readonly end: {
    readonly plannedMinor: number
    readonly withReserveMinor: number
    readonly likelyMinor: number
  }
  /** What runs of the plan end at; null: none were made. */
  readonly outcome: CostOdds['at'] | null
  /** What was left of the reserve after each payment that took from it. */
  readonly reserve: readonly InchPoint[]
  readonly reserveEndMinor: number
  /** Inch at which the reserve is likely to be gone; null: it lasts. */
  readonly goneAtIn: number | null
  /** The largest burns of all, at their inch, for names. */
  readonly burns: readonly (InchPoint & { readonly what: string; readonly leftMinor: number })[]
  readonly topMinor: number
}

/** Names of burns that are drawn. */
const mostBurns = 5

/** `inchAt`: inches by a civil date; `titleOf`: names a job; `outcome`: of runs, null without. */
export function costScene(
  { lines, plannedMinor, likelyMinor: asAdded, contingency }: Money,
  loaIn: number,
  earnedIn: number,
  inchAt: (on: string | null) => number,
  titleOf: (jobId: string) => string,
  outcome: CostOdds['at'] | null = null,
): CostScene {
  const likelyMinor = outcome?.p50 ?? asAdded
  const spent: InchPoint[] = [{ inch: 0, minor: 0 }]
  let paid = 0
  for (const one of lines) {
    if (!one.isSpent) continue
    paid += one.minor
    spent.push({ inch: inchAt(one.on), minor: paid })
  }
  const reserve: InchPoint[] = [{ inch: 0, minor: contingency.totalMinor }]
  let left = contingency.totalMinor
  const byName = new Map<string, { inch: number; minor: number; what: string; leftMinor: number }>()
  for (const burn of contingency.burns) {
    left -= burn.minor
    const inch = inchAt(burn.on)
    reserve.push({ inch, minor: left })
    const what = burn.jobId === null ? burn.what : titleOf(burn.jobId)
    const was = byName.get(what)
    byName.set(what, { inch, what, minor: burn.minor + (was?.minor ?? 0), leftMinor: left })
  }
  const reserveEndMinor = plannedMinor + contingency.totalMinor - likelyMinor
  // What was never set aside is not gone.
  const goneAtIn =
    contingency.totalMinor === 0
      ? null
      : left <= 0
        ? (reserve.find((one) => one.minor <= 0)?.inch ?? earnedIn)
        : reserveEndMinor >= 0
          ? null
          : earnedIn + ((loaIn - earnedIn) * left) / (left - reserveEndMinor)
  return {
    spent,
    now: { inch: earnedIn, minor: paid },
    end: {
      plannedMinor,
      withReserveMinor: plannedMinor + contingency.totalMinor,
      likelyMinor,
    },
    outcome,
    reserve,
    reserveEndMinor,
    goneAtIn,
    burns: [...byName.values()]
      .sort((a, b) => b.minor - a.minor)
      .filter((one) => one.minor > 0)
      .slice(0, mostBurns)
      .sort((a, b) => a.inch - b.inch),
    topMinor: Math.max(1, paid, outcome?.p90 ?? likelyMinor, plannedMinor + contingency.totalMinor),
  }
}

/** Round sums up a scale, 3 to 6 of them: 10k, 20k, 30k. */
export function moneyTicks(topMinor: number, digits: number): number[] {
  const one = 10 ** digits
  for (let power = one; ; power *= 10)
    for (const step of [1, 2, 5])
      if (topMinor / (step * power) <= 6)
        return Array.from(
          { length: Math.floor(topMinor / (step * power)) },
          (_, at) => (at + 1) * step * power,
        )
}
