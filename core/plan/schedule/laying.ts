import type { Mend, Placement } from '../../model/stored'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import type { Binding } from './binding'
import { Diary } from './diary'
import type { Wanted, WorkStretches } from './roomSearch'
import type { Ashore } from './haulOuts'
import { hullWindows } from './hullWindows'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import type { CrewStretch, HoursByClass } from './openHours'
import type { Sites } from './sites'
import { SharedAir } from './sharedAir'
import { neverFits } from './unplaced'

/** Room found: who, and when. */
export interface Room {
  readonly crew: readonly number[]
  readonly room: WorkStretches
}

/** Where room is looked for besides the step's own rules. */
interface Looking {
  /** Work added to the step's own, for one person, ms. */
  readonly extraMs?: number
  readonly giveUpAt?: number
  /** A step whose time counts as free. */
  readonly ignoring?: string
  /** Only on the days of these stretches. */
  readonly within?: readonly Interval[]
}

/** A pass as far as it is laid: who is where doing what, what has its place, and where there is room. */
export class Laying {
  readonly ashore: Ashore[]
  readonly diary: Diary
  readonly placements: Map<string, Placement>
  readonly air: SharedAir
  /** Steps that are done in warm months. */
  readonly inWarmth: Set<string>
  private readonly ownAshore: Map<string, Ashore>
  private laidOut: ReturnType<OpenWork['laidOut']>

  /** `patienceDays`: for work in one go, see Wanted; null: it waits for the one day that is long enough. */
  constructor(
    readonly compiled: OpenWork,
    readonly patienceDays: number | null = null,
    from?: Laying,
  ) {
    this.ashore = (from ?? compiled).ashore.map((one) => ({ ...one }))
    this.ownAshore = new Map(this.ashore.map((one) => [one.haulOut.id, one]))
    this.laidOut = from?.laidOut ?? compiled.laidOut(this.ashore)
    this.placements = new Map(from?.placements)
    this.inWarmth = new Set(from?.inWarmth)
    this.air = from?.air.copy() ?? SharedAir.at(compiled.now, compiled.rows, compiled.waits)
    this.diary = from?.diary.copy() ?? new Diary(this.sites, compiled.clock, compiled.now)
  }

  /** As far as it is laid, to be gone on with apart. */
  copy(): Laying {
    return new Laying(this.compiled, this.patienceDays, this)
  }

  get sites(): Sites {
    return this.laidOut.sites
  }

  get hours(): HoursByClass {
    return this.laidOut.hours
  }

  /** The haul-outs of this pass by id, with its launches. */
  get haulOuts(): ReadonlyMap<string, Ashore> {
    return this.ownAshore
  }

  /** A haul-out as this pass has it. */
  own(one: Ashore | null): Ashore | null {
    return one && (this.ownAshore.get(one.haulOut.id) ?? null)
  }

  /** A launch was placed: she lies elsewhere from then on. */
  launched(): void {
    this.laidOut = this.compiled.laidOut(this.ashore)
    this.diary.goOnWith(this.sites)
  }

  /** When from an instant on the hull, the air, the months and, where it waits for them, the warm ones suit a step. */
  windowsOf(activity: OpenStep, from: number): readonly Interval[] {
    return this.air.within(activity.step, this.windowsInAnyAir(activity), from)
  }

  /** The same if nothing were wet or dusty anywhere. */
  windowsInAnyAir(activity: OpenStep): readonly Interval[] {
    const windows = this.laidOut.windowsOf(activity)
    return activity.warm && this.inWarmth.has(activity.step.id)
      ? intersect(windows, activity.warm)
      : windows
  }

  /** The same if the forecast forbade nothing. */
  windowsInAnyWeather(activity: OpenStep, from: number): readonly Interval[] {
    const ashore = this.own(activity.ashore)
    return this.air.within(
      activity.step,
      hullWindows({ ...activity, ashore, fit: null }, this.ashore, this.compiled.rows),
      from,
    )
  }

  /** Writes a step's place down. */
  keep(
    activity: OpenStep,
    segments: readonly Interval[],
    crew: readonly number[],
    binding: Binding,
    mends: readonly Mend[] = [],
  ): void {
    const finish = (segments.at(-1) as Interval)[1]
    if (crew.length > 0) this.air.keep(activity.step, segments)
    this.placements.set(activity.step.id, {
      stepId: activity.step.id,
      segments,
      readyAt: this.compiled.waits.over(activity.step, finish),
      personIds: crew.map((person) => this.sites.people[person]?.id ?? ''),
      binding,
      ...(mends.length > 0 ? { mends } : {}),
    })
  }

  /** Earliest room for any crew; the one that finishes first, small crews before large. */
  roomFor(
    activity: OpenStep,
    from: number,
    windows: readonly Interval[],
    { extraMs = 0, giveUpAt = Infinity, ignoring, within }: Looking = {},
  ): Room | null {
    let best: Room | null = null
    for (const crew of activity.crews) {
      const wanted: Wanted = {
        crew,
        place: activity.placeNeed,
        windows,
        from,
        workMs: durationMs({ workMs: activity.workMs + extraMs }, crew.length),
        splittable: activity.splittable,
        giveUpAt: Math.min(giveUpAt, best?.room.finish ?? Infinity),
        ignoring,
        patienceDays: this.patienceDays ?? undefined,
      }
      const room: WorkStretches | null = within
        ? this.diary.findWithin(wanted, within)
        : this.diary.find(wanted)
      if (room && (best === null || room.finish < best.room.finish)) best = { crew, room }
    }
    return best
  }

  /** The longest stretch that each crew is ever there together, as she lies now. */
  stretchesOf({ crews, placeNeed }: OpenStep): readonly CrewStretch[] {
    const { clock, now } = this.compiled
    return this.hours.stretches(crews, placeNeed, clock.dayOf(now))
  }

  /** True when no crew is ever there together for long enough, as she lies now. */
  neverFits(activity: OpenStep): boolean {
    return neverFits(activity, this.stretchesOf(activity))
  }
}
