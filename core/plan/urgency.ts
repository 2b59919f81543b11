import type { Job } from '../model/entities'
import { dayMs } from '../time/civil'
import type { Ranked } from './priority'
import type { Bounds } from './schedule/criticalPath'
import type { OpenStep, OpenWork } from './schedule/openWork'

/** In what order steps are placed, after today's order by hand, pins and work under way. */
export type Order =
  /** What has less slack than the margin by its latest start, then all else by priority. */
  | { readonly marginMs: number }
  /** By a place in a given sequence, the lowest first. */
  | { readonly placeOf: (stepId: string) => number }

interface Weighed {
  readonly compiled: OpenWork
  readonly bounds: ReadonlyMap<string, Bounds>
  readonly ranked: readonly Ranked[]
}

/** Margins tried for a plan without one before it: how early the calendar goes before priority. */
export const marginsMs = [3, 14, 42, Infinity].map((days) => days * dayMs)

/** What of a job decides how early it is wanted: where this changed, an accepted sequence says nothing about it. */
export const urgencyMark = (job: Job): string =>
  [job.purpose, job.severity, job.spreading ? 'spreads' : '', job.gateId, job.haulOutId].join(' ')

/**
 * True when one step is to be placed before another. First today's order by hand, then pins, then work under way; then
 * the given order. What something pressing waits for is as pressing. Ties: list order.
 */
export function urgency(
  { compiled, bounds, ranked }: Weighed,
  order: Order,
): (a: OpenStep, b: OpenStep) => boolean {
  const { rows, clock, now, activities } = compiled
  const today = rows.dayPlan.find((day) => day.on === clock.dateOf(now))
  const hand = new Map((today?.stepOrder ?? []).map((id, index) => [id, index]))
  const rank = new Map(ranked.map((one, index) => [one.job.id, index]))
  const least = inherited(activities)
  const byHand = least((one) => hand.get(one.step.id) ?? Infinity)
  const pinned = least((one) => one.job.pinnedRank ?? Infinity)
  const underWay = least((one) => (one.step.state === 'doing' ? 0 : 1))
  const wanted = least((one) => rank.get(one.job.id) ?? Infinity)
  const dueStart = (one: OpenStep) => bounds.get(one.step.id)?.dueStart ?? Infinity
  const pressing = (one: OpenStep, marginMs: number) => {
    const slackMs = dueStart(one) - (bounds.get(one.step.id)?.earliestStart ?? 0)
    return slackMs <= marginMs ? dueStart(one) : Infinity
  }
  const keys = (one: OpenStep): number[] =>
    'placeOf' in order
      ? [byHand(one), pinned(one), underWay(one), order.placeOf(one.step.id)]
      : [
          byHand(one),
          pinned(one),
          underWay(one),
          pressing(one, order.marginMs),
          wanted(one),
          dueStart(one),
        ]
  const known = new Map<string, number[]>()
  const keysOf = (one: OpenStep) => {
    const already = known.get(one.step.id) ?? keys(one)
    known.set(one.step.id, already)
    return already
  }
  return (a, b) => {
    const [left, right] = [keysOf(a), keysOf(b)]
    for (let i = 0; i < left.length; i++)
      if (left[i] !== right[i]) return (left[i] as number) < (right[i] as number)
    if (a.step.order !== b.step.order) return a.step.order < b.step.order
    return a.step.id < b.step.id
  }
}

/** Readers of the least value over a step and all that waits for it. Precondition: the arcs form no circle. */
function inherited(activities: OpenWork['activities']) {
  return (of: (activity: OpenStep) => number): ((activity: OpenStep) => number) => {
    const known = new Map<string, number>()
    // Without recursion: chains of thousands of steps occur.
    return (asked) => {
      const stack = [asked]
      while (stack.length > 0) {
        const one = stack.at(-1) as OpenStep
        const next = one.after.flatMap((arc) => activities.get(arc.to) ?? [])
        const open = next.find((after) => !known.has(after.step.id))
        if (known.has(one.step.id)) stack.pop()
        else if (open) stack.push(open)
        else {
          const least = next.map((after) => known.get(after.step.id) as number)
          known.set(one.step.id, Math.min(of(one), ...least))
          stack.pop()
        }
      }
      return known.get(asked.step.id) as number
    }
  }
}
