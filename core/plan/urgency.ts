import type { Job } from '../model/entities'
import { dayMs, dayNumber } from '../time/civil'
import type { Ranked } from './priority'
import type { Bounds } from './schedule/criticalPath'
import type { OpenStep, OpenWork } from './schedule/openWork'

/** In what order steps are placed, after today's order by hand, pins and work under way. */
export type Order =
  /** What has less slack than the margin by its latest start, then all else by priority. */
  | { readonly marginMs: number }
  /**
   * By a place in a given sequence, the lowest first. Steps pinned to a day, and what they wait for, come before it, or
   * at their places in it.
   */
  | {
      readonly placeOf: (stepId: string) => number
      readonly pinned: 'first' | 'inSequence'
    }

/** How the open steps stand to one another whatever the order, each by its place among them. */
export interface Standing {
  readonly steps: readonly OpenStep[]
  /** By today's order by hand, then steps pinned to a day, pinned ranks, work under way: what differs here is decided. */
  readonly first: readonly (readonly number[])[]
  /** Place of its job by priority, or of the first job that waits for it. */
  readonly wanted: readonly number[]
  readonly dueStart: readonly number[]
  readonly slackMs: readonly number[]
}

/** Margins tried for a plan without one before it: how early the calendar goes before priority. */
export const marginsMs = [3, 14, 42, Infinity].map((days) => days * dayMs)

/** What of a job decides how early it is wanted: where this changed, an accepted sequence says nothing about it. */
export const urgencyMark = (job: Job): string =>
  [job.purpose, job.severity, job.spreading ? 'spreads' : '', job.gateId, job.haulOutId].join(' ')

/** Reads off a refit how its open steps stand. What something pressing waits for is as pressing. */
export function standingOf(
  { rows, clock, now, activities }: OpenWork,
  bounds: ReadonlyMap<string, Bounds>,
  ranked: readonly Ranked[],
): Standing {
  const today = rows.dayPlan.find((day) => day.on === clock.dateOf(now))
  const hand = new Map((today?.stepOrder ?? []).map((id, index) => [id, index]))
  const rank = new Map(ranked.map((one, index) => [one.job.id, index]))
  const least = inherited(activities)
  const byHand = least((one) => hand.get(one.step.id) ?? Infinity)
  const onDay = least((one) =>
    one.step.pinnedOn === null ? Infinity : dayNumber(one.step.pinnedOn),
  )
  const pinned = least((one) => one.job.pinnedRank ?? Infinity)
  const underWay = least((one) => (one.step.state === 'doing' ? 0 : 1))
  const wanted = least((one) => rank.get(one.job.id) ?? Infinity)
  const steps = [...activities.values()]
  const dueStart = steps.map((one) => bounds.get(one.step.id)?.dueStart ?? Infinity)
  return {
    steps,
    first: steps.map((one) => [byHand(one), onDay(one), pinned(one), underWay(one)]),
    wanted: steps.map(wanted),
    dueStart,
    slackMs: steps.map(
      (one, at) => (dueStart[at] as number) - (bounds.get(one.step.id)?.earliestStart ?? 0),
    ),
  }
}

/**
 * The place of every open step by urgency, by its index; the lowest is placed first. First today's order by hand, then
 * pins, then work under way; then the given order. Ties: list order.
 */
export function urgency(standing: Standing, order: Order): Int32Array {
  const { steps, first, wanted, dueStart, slackMs } = standing
  const keys = steps.map((one, at): number[] => {
    const own = first[at] as readonly number[]
    if ('placeOf' in order) {
      const [byHand = Infinity, onDay = Infinity, ...rest] = own
      return [
        byHand,
        order.pinned === 'first' ? onDay : Infinity,
        ...rest,
        order.placeOf(one.step.id),
      ]
    }
    const due = dueStart[at] as number
    const pressing = (slackMs[at] as number) <= order.marginMs ? due : Infinity
    return [...own, pressing, wanted[at] as number, due]
  })
  const places = steps.map((_, at) => at)
  places.sort((a, b) => compared(keys[a] as number[], keys[b] as number[]) || inList(a, b))
  // What has no open step here keeps its index: a part of a refit is laid too.
  const rank = new Int32Array(1 + Math.max(-1, ...steps.map((one) => one.index)))
  for (const [place, at] of places.entries()) rank[(steps[at] as OpenStep).index] = place
  return rank

  function inList(a: number, b: number): number {
    const [left, right] = [(steps[a] as OpenStep).step, (steps[b] as OpenStep).step]
    if (left.order !== right.order) return left.order < right.order ? -1 : 1
    return left.id < right.id ? -1 : 1
  }
}

/** By the first number in which two lists of the same length differ. */
function compared(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < a.length; i++)
    if (a[i] !== b[i]) return (a[i] as number) < (b[i] as number) ? -1 : 1
  return 0
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
