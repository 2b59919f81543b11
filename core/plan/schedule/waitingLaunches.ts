import { liftOn } from './haulOuts'
import type { Ashore } from './haulOuts'
import type { OpenStep, OpenWork } from './openWork'
import type { Phase } from './phases'
import { isInSlings } from './phases'

/** A launch that is still to be placed. */
interface WaitingLaunch {
  readonly phase: Phase
  readonly haulOutId: string
  readonly needed: ReadonlySet<string>
  readonly isWatched: boolean
  left: number
  /** It cannot be earlier, UTC ms. */
  notBefore: number
}

/**
 * The launches still to be placed, in the order in which she goes in. What a launch does not wait for may be placed
 * before it is known, but only where it is sure that the launch comes later: for the rest this says "not yet".
 */
export class WaitingLaunches {
  private constructor(private readonly waiting: WaitingLaunch[]) {}

  /** @param earliest of each launch when nobody is ever busy, by haul-out. */
  static of(
    compiled: OpenWork,
    phases: readonly Phase[],
    own: ReadonlyMap<string, Ashore>,
    earliest: ReadonlyMap<string, number>,
  ): WaitingLaunches {
    const all = [...compiled.activities.values()]
    const waiting = phases.flatMap((phase): WaitingLaunch[] => {
      const launch = phase.launch ? own.get(phase.launch.haulOut.id) : undefined
      if (!launch) return []
      const { haulOut } = launch
      const aim = liftOn(launch, haulOut.launchBooked ?? haulOut.launchAimed)
      const needed = new Set(phase.activities.map((one) => one.step.id))
      return [
        {
          phase,
          haulOutId: haulOut.id,
          needed,
          isWatched: all.some((one) => isInSlings(one, launch)),
          left: needed.size,
          notBefore: Math.max(
            compiled.now,
            haulOut.launchWhen === 'asReady' ? (earliest.get(haulOut.id) ?? 0) : aim,
          ),
        },
      ]
    })
    return new WaitingLaunches(waiting)
  }

  /** The same launches still to be placed, for a pass that goes on apart. */
  copy(): WaitingLaunches {
    return new WaitingLaunches(this.waiting.map((one) => ({ ...one })))
  }

  /** The next launch once all that it waits for was dealt with; null: not yet, or none. */
  get ready(): Phase | null {
    const first = this.waiting[0]
    return first?.left === 0 ? first.phase : null
  }

  get next(): Phase | null {
    return this.waiting[0]?.phase ?? null
  }

  /** The next launch is placed. */
  placed(): void {
    this.waiting.shift()
  }

  /** A step was dealt with: placed until `readyAt`, or null for never. */
  deal(stepId: string, readyAt: number | null): void {
    for (const one of this.waiting) {
      if (!one.needed.has(stepId)) continue
      one.left--
      if (readyAt !== null && one === this.waiting[0])
        one.notBefore = Math.max(one.notBefore, readyAt)
    }
  }

  /** True when the next launch waits for the step. */
  isNeeded({ step }: OpenStep): boolean {
    return this.waiting[0]?.needed.has(step.id) ?? false
  }

  /** True when a step has to wait for the launch of an earlier haul-out, because she is not out again before. */
  isBehind({ ashore, step }: OpenStep): boolean {
    const first = this.waiting[0]
    return (
      first !== undefined &&
      step.hullNeed === 'ashore' &&
      ashore !== null &&
      ashore.haulOut.id !== first.haulOutId &&
      this.waiting.some((one) => one.haulOutId === ashore.haulOut.id)
    )
  }

  /** A step that no launch waits for must be finished by then, or wait until the launch is placed, UTC ms. */
  sureUntil(activity: OpenStep, startOfDay: (instant: number) => number): number {
    const first = this.waiting[0]
    if (!first || this.isNeeded(activity)) return Infinity
    if (activity.workMs === 0 && activity.step.hullNeed === 'either') return Infinity
    if (activity.step.hullNeed !== 'either') return first.notBefore
    // Whoever watches her in the slings must not be promised elsewhere for that day.
    if (activity.placeNeed !== 'boat')
      return first.isWatched ? startOfDay(first.notBefore) : Infinity
    return first.notBefore
  }
}
