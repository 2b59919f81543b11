import type { Placement } from '../../model/stored'
import type { Interval } from '../../time/intervals'
import { hourMs } from '../../time/civil'
import type { Laying, Room } from './laying'
import type { OpenStep } from './openWork'
import type { PassInput } from './pass'
import { longGapMs } from './reasons'

/** Work so short fits in round other work: half a day. */
const shortMs = 4 * hourMs

/** True for steps that follow or are followed within a bond window. */
const isBonded = ({ before, after }: OpenStep): boolean =>
  [...before, ...after].some((arc) => arc.maxWaitHours !== null)

/** Long work that may be left gives way to short work that would wait for over a week. */
export class GivingWay {
  constructor(
    private readonly laying: Laying,
    private readonly bounds: PassInput['bounds'],
    /** Placed long steps that may be left: what short work may fit in between. */
    private long: readonly OpenStep[] = [],
  ) {}

  /** The same, for a pass that goes on apart. */
  copy(laying: Laying): GivingWay {
    return new GivingWay(laying, this.bounds, this.long)
  }

  /** A step was placed: long work that may be left is remembered. */
  placed(activity: OpenStep, { start, finish }: Room['room']): void {
    if (activity.splittable && finish - start > longGapMs && !isBonded(activity))
      this.long = [...this.long, activity]
  }

  /**
   * Room for short work where a long step that may be left gives way for it. Books it and lays the long step round it;
   * null: nothing gives way without moving more than its own end by a few days.
   */
  fitIn(
    activity: OpenStep,
    from: number,
    windows: readonly Interval[],
    { room: { start, finish } }: Room,
  ): Room | null {
    if (finish - start > shortMs || start - from < longGapMs || isBonded(activity)) return null
    // What may not give way any more never may again.
    this.long = this.long.filter((one) => this.mayGiveWay(one))
    for (const long of this.long) {
      const kept = this.laying.placements.get(long.step.id)
      if (!kept || (kept.segments.at(-1)?.[1] ?? 0) <= from) continue
      if ((kept.segments[0]?.[0] ?? 0) >= start) continue
      const looking = { giveUpAt: start, ignoring: long.step.id, within: kept.segments }
      const found = this.laying.roomFor(activity, from, windows, looking)
      if (!found || found.room.start > start - longGapMs) continue
      if (this.layRound(long, kept, activity, found)) return found
    }
    return null
  }

  /** True for long work that may be left and that nothing placed yet waits for. */
  private mayGiveWay(long: OpenStep): boolean {
    const launched = this.laying.own(long.holds)
    return (
      this.laying.placements.get(long.step.id)?.mends === undefined &&
      (launched?.launchAt ?? Infinity) === Infinity &&
      long.after.every((arc) => !this.laying.placements.has(arc.to))
    )
  }

  /** Books short work in the time of a long step and lays that anew with its own crew; undone where it ends too late. */
  private layRound(long: OpenStep, kept: Placement, short: OpenStep, found: Room): boolean {
    const { diary, sites, placements, compiled } = this.laying
    const people = kept.personIds.map((id) => sites.people.findIndex((one) => one.id === id))
    if (!diary.canRelease(people, kept.segments, long.step.id)) return false
    const finish = (kept.segments.at(-1) as Interval)[1]
    const latest = this.bounds.get(long.step.id)?.latestFinish ?? Infinity
    const giveUpAt = Math.max(finish, Math.min(latest, finish + longGapMs))
    diary.release(people, kept.segments, long.step.id)
    diary.book(found.crew, short.placeNeed, found.room.segments, short.step.id)
    this.laying.air.keep(short.step, found.room.segments)
    const from = (kept.segments[0] as Interval)[0]
    const again = diary.find({
      crew: people,
      place: long.placeNeed,
      windows: this.laying.windowsOf(long, from),
      from,
      workMs: kept.segments.reduce((sum, [a, b]) => sum + b - a, 0),
      splittable: true,
      giveUpAt,
    })
    if (again && again.finish <= giveUpAt) {
      diary.book(people, long.placeNeed, again.segments, long.step.id)
      this.laying.air.keep(long.step, again.segments)
      placements.set(long.step.id, {
        ...kept,
        segments: again.segments,
        readyAt: compiled.waits.over(long.step, again.finish),
      })
      return true
    }
    diary.release(found.crew, found.room.segments, short.step.id)
    this.laying.air.forget(short.step)
    diary.book(people, long.placeNeed, kept.segments, long.step.id)
    return false
  }
}
