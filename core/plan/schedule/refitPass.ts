import type { Mend, Placement, PlannedGate, Remark } from '../../model/stored'
import { dateOf, hourMs } from '../../time/civil'
import { factsOf } from '../facts'
import { weatherAllowance } from '../weatherAllowance'
import type { Binding } from './binding'
import type { Bounds } from './criticalPath'
import { durationMs } from './openWork'
import { waitOver } from '../waits'
import type { OpenStep, OpenWork } from './openWork'
import { crewsOf } from './crews'
import { Diary } from './diary'
import type { WorkStretches } from './diary'
import { hullWindows } from './hullWindows'
import { launchDay } from './launchDay'
import type { WhoLaunches } from './launchDay'
import { workForward } from './openHours'
import type { HoursByClass } from './openHours'
import { isInSlings } from './phases'
import type { Phase } from './phases'
import { ReadyQueue } from './readyQueue'
import { WaitingLaunches } from './waitingLaunches'
import type { Sites } from './sites'
import { keepApart, liftOn, slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'
import { BondWindows } from './bondWindows'
import type { Ahead } from './bondWindows'
import { crewInSlings, enoughCome, notInSlings } from './inSlings'
import { ceilTick } from './tick'
import { tradeStretches, yardTime } from './yardTime'
import { inLaterHaulOut, neverFits, notPlaced } from './unplaced'
import type { CrewStretch } from './unplaced'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'

/** What one pass over the phases gives. */
export interface Pass {
  readonly placements: ReadonlyMap<string, Placement>
  readonly launches: readonly (PlannedGate & { readonly haulOutId: string })[]
  readonly remarks: readonly Remark[]
  readonly ashore: readonly Ashore[]
}

/** Room found: who, and when. */
interface Room {
  readonly crew: readonly number[]
  readonly room: WorkStretches
}

interface Earliest {
  readonly at: number
  readonly binding: Binding
}

/** Busy steps asked one by one whether they hold another. */
const mostAsked = 12
/** Work so short fits in round other work: half a day. */
const shortMs = 4 * hourMs
/** A week: a longer gap without the right people is itself what holds a step. */
const longGapMs = 7 * 24 * hourMs

/** What a pass is laid from. */
export interface PassInput {
  readonly compiled: OpenWork
  /** What each launch waits for. */
  readonly phases: readonly Phase[]
  /** Launches when nobody is ever busy, by haul-out: none can be earlier. */
  readonly launchesFrom: ReadonlyMap<string, number>
  /** Earliest and latest of each step when nobody is ever busy. */
  readonly bounds: ReadonlyMap<string, Bounds>
}

/** How a pass is laid: with every reason asked for, or as if something took no time or came later. */
export interface PassOptions {
  /** Who keeps a step from its people is found out, not only who was busy last. Takes some times as long. */
  readonly explained?: boolean
  /** Steps that take no time, wait for nothing but their order, and are waited for by nothing else. */
  readonly dropped?: ReadonlySet<string>
  /** Steps that do not start before an instant. */
  readonly delayed?: ReadonlyMap<string, number>
}

/**
 * Serial schedule generation: of all steps whose predecessors are placed the most urgent one goes to the earliest
 * room for a crew; each launch is placed when the last of what it waits for is. `before` is the urgency order.
 * Deterministic; mutates nothing given to it.
 */
export function refitPass(
  input: PassInput,
  before: (a: OpenStep, b: OpenStep) => boolean,
  options: PassOptions = {},
): Pass {
  return new RefitPass(input, options).run(before)
}

class RefitPass {
  private readonly compiled: OpenWork
  private readonly ashore: Ashore[]
  private readonly ownAshore: Map<string, Ashore>
  private sites: Sites
  private readonly diary
  private hours: HoursByClass
  private readonly placements = new Map<string, Placement>()
  private readonly remarks: Remark[] = []
  private readonly barred: Set<string>
  /** When the hull suits steps that need the same of it. */
  private readonly windows = new Map<string, readonly Interval[]>()
  /** Placed long steps that may be left: what short work may fit in between. */
  private readonly long: OpenStep[] = []
  /** Whether steps that ask for the same ever fit. */
  private readonly never = new Map<string, boolean>()
  private readonly bonds: BondWindows
  private readonly waiting: WaitingLaunches
  /** Steps that are done in warm months. */
  private readonly inWarmth = new Set<string>()
  /** Last finish of what was placed aboard in the trust that the next launch is later. */
  private aboardUntil = -Infinity
  private readonly launches: (PlannedGate & { readonly haulOutId: string })[] = []

  constructor(
    private readonly input: PassInput,
    private readonly options: PassOptions,
  ) {
    const { compiled, phases, launchesFrom } = input
    this.compiled = compiled
    this.ashore = compiled.ashore.map((one) => ({ ...one }))
    this.ownAshore = new Map(this.ashore.map((one) => [one.haulOut.id, one]))
    const { sites, hours } = compiled.laidOut(this.ashore)
    this.sites = sites
    this.hours = hours
    this.diary = new Diary(this.sites, compiled.clock, compiled.now)
    this.barred = new Set(compiled.remarks.flatMap((remark) => remark.stepIds))
    this.bonds = new BondWindows(compiled, this.placements)
    this.waiting = new WaitingLaunches(compiled, phases, this.ownAshore, launchesFrom)
  }

  run(before: (a: OpenStep, b: OpenStep) => boolean): Pass {
    const queue = new ReadyQueue([...this.compiled.activities.values()], before)
    let later: OpenStep[] = []
    for (;;) {
      const phase = this.waiting.ready
      const activity = phase ? undefined : queue.next()
      if (activity) {
        if (this.place(activity) === 'notYet') later.push(activity)
        else {
          queue.release(activity)
          const readyAt = this.placements.get(activity.step.id)?.readyAt ?? null
          this.waiting.deal(activity.step.id, readyAt)
        }
        continue
      }
      const next = phase ?? this.waiting.next
      if (!next) break
      this.launches.push(this.launch(next))
      for (const one of later) queue.push(one)
      later = []
    }
    const { placements, launches, remarks, ashore } = this
    return { placements, launches, remarks, ashore }
  }

  /** Places a step, or says why it has no place. Not yet: it may depend on a launch that is not known. */
  private place(activity: OpenStep): 'dealt' | 'notYet' {
    const id = activity.step.id
    const orphan = activity.before.some(
      (arc) => this.compiled.activities.has(arc.from) && !this.placements.has(arc.from),
    )
    if (orphan || this.barred.has(id) || this.placements.has(id)) return 'dealt'
    if (this.options.dropped?.has(id)) return this.skip(activity)
    const isHung = activity.step.hullNeed === 'slings' && activity.ashore !== null
    const own = this.ownAshore.get(activity.ashore?.haulOut.id ?? '')
    // It has its hour when she is launched.
    if (isHung && own?.launchAt === Infinity) return 'notYet'
    if (this.waiting.isBehind(activity)) {
      const first = this.waiting.next?.launch
      if (!this.waiting.isNeeded(activity) || !first) return 'notYet'
      this.barred.add(id)
      this.remarks.push(inLaterHaulOut(activity, first))
      return 'dealt'
    }
    const until = this.waiting.sureUntil(activity, (at) =>
      this.compiled.clock.at(this.compiled.clock.dayOf(at), 0),
    )
    const earliest = this.earliestOf(activity)
    const found =
      isHung && activity.workMs > 0 && !activity.booking
        ? this.placeInSlings(activity, earliest)
        : activity.booking
          ? this.placeBooked(activity, earliest, until)
          : activity.tradeMs > 0
            ? this.placeTrade(activity, earliest, until)
            : activity.workMs === 0
              ? this.placeAlone(activity, earliest, until)
              : this.placeCrew(activity, earliest, until)
    const finish = this.placements.get(id)?.segments.at(-1)?.[1] ?? 0
    if (until < Infinity && (activity.placeNeed === 'boat' || activity.step.hullNeed !== 'either'))
      this.aboardUntil = Math.max(this.aboardUntil, finish)
    if (found) return 'dealt'
    if (until < Infinity) return 'notYet'
    this.refuse(activity)
    return 'dealt'
  }

  /** As if it took no time: its place keeps the order and holds nothing. */
  private skip(activity: OpenStep): 'dealt' {
    const at = Math.max(
      this.compiled.now,
      ...activity.before.map(
        (arc) =>
          this.placements.get(arc.from)?.readyAt ??
          this.compiled.readyAfterDone.get(arc.from) ??
          this.compiled.now,
      ),
    )
    this.placements.set(activity.step.id, {
      stepId: activity.step.id,
      segments: [[at, at]],
      readyAt: at,
      personIds: [],
      binding: { kind: 'now' },
    })
    return 'dealt'
  }

  /** The latest of now, releases and predecessors, and which of them it is. */
  private earliestOf(activity: OpenStep): Earliest {
    let earliest: Earliest = { at: this.compiled.now, binding: { kind: 'now' } }
    const later = (at: number, binding: Binding) => {
      if (at > earliest.at) earliest = { at: ceilTick(at), binding }
    }
    for (const release of activity.releases) later(release.at, release.binding)
    const delayed = this.options.delayed?.get(activity.step.id)
    if (delayed !== undefined) later(delayed, { kind: 'calendar', until: delayed })
    for (const arc of activity.before) {
      const placed = this.placements.get(arc.from)
      const ready = placed?.readyAt ?? this.compiled.readyAfterDone.get(arc.from)
      if (ready === undefined) continue
      const at = ready + arc.minWaitHours * hourMs
      const finish = placed?.segments.at(-1)?.[1] ?? 0
      later(
        at,
        at > finish
          ? { kind: 'wait', stepId: arc.from, until: at }
          : { kind: 'after', stepId: arc.from },
      )
    }
    const allowance = activity.startsSpell
      ? weatherAllowance(activity.step, earliest.at, this.compiled.rows, this.compiled.now)
      : null
    if (!allowance) return earliest
    return {
      at: earliest.at + allowance.ms,
      binding: { kind: 'weather', ...allowance, after: heldBy(earliest.binding) },
    }
  }

  private windowsOf(activity: OpenStep): readonly Interval[] {
    const own = activity.ashore
      ? { ...activity, ashore: this.ownAshore.get(activity.ashore.haulOut.id) ?? null }
      : activity
    const { step, job, placeNeed, workMs, season } = activity
    const key = `${step.hullNeed} ${placeNeed} ${workMs > 0} ${own.ashore?.haulOut.id} ${job.gateId}`
    let windows = season ? undefined : this.windows.get(key)
    if (!windows) {
      windows = hullWindows(own, this.ashore, this.compiled.rows)
      if (!season) this.windows.set(key, windows)
    }
    return activity.warm && this.inWarmth.has(activity.step.id)
      ? intersect(windows, activity.warm)
      : windows
  }

  /** True when a step finds room in warm months without its gate moving; else it is done in the cold, which is said. */
  private waitsForWarmth(activity: OpenStep, from: number, until: number): boolean {
    if (!activity.warm) return false
    const latest = this.input.bounds.get(activity.step.id)?.latestFinish ?? Infinity
    const windows = intersect(this.windowsOf(activity), activity.warm)
    const room = this.roomFor(activity, from, 0, windows, Math.min(until, latest))
    return room !== null && room.room.finish <= Math.min(until, latest)
  }

  private keep(
    activity: OpenStep,
    segments: readonly Interval[],
    crew: readonly number[],
    binding: Binding,
    mends: readonly Mend[] = [],
  ) {
    const finish = (segments.at(-1) as Interval)[1]
    this.placements.set(activity.step.id, {
      stepId: activity.step.id,
      segments,
      readyAt: waitOver(activity.step, finish, this.compiled.rows),
      personIds: crew.map((person) => this.sites.people[person]?.id ?? ''),
      binding,
      ...(mends.length > 0 ? { mends } : {}),
    })
  }

  /** On the days it is booked for; once she is as it needs her where that comes later. */
  private placeBooked(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const booking = activity.booking as NonNullable<OpenStep['booking']>
    const wanted = Math.max(earliest.at, booking.from)
    const length = (start: number) => Math.max(start, booking.to) - start
    const window = this.windowsOf(activity).find(([from, to]) => {
      const start = Math.max(from, wanted)
      return start + length(start) <= to
    })
    const start = Math.max(wanted, window?.[0] ?? wanted)
    if (!window || start + length(start) > until) return false
    const binding: Binding =
      start > wanted
        ? this.hullBinding(activity, start)
        : booking.from > earliest.at
          ? { kind: 'trade', bookingId: booking.id }
          : earliest.binding
    this.keep(
      activity,
      [[start, start + length(start)]],
      [],
      binding,
      this.bonds.keyedAt(activity, start),
    )
    return true
  }

  /** Done while she hangs in the water: whoever can comes for it, on whatever weekday it is. */
  private placeInSlings(activity: OpenStep, earliest: Earliest): boolean {
    const own = this.ownAshore.get(activity.ashore?.haulOut.id ?? '') as Ashore
    const length = durationMs(activity, activity.crewMin)
    const from = Math.max(earliest.at, own.launchAt)
    const { sites, diary, compiled } = this
    const span: Interval = [from, own.launchAt + slingMs]
    if (activity.season && intersect(activity.season, [span]).length === 0) return false
    const found = crewInSlings(activity, span, length, sites, diary, compiled.clock)
    if (!found) {
      this.barred.add(activity.step.id)
      this.remarks.push(notInSlings(activity, own, this.compiled.clock))
      return true
    }
    this.diary.book(found.crew, activity.placeNeed, [found.span], activity.step.id)
    const mends = this.bonds.keyedAt(activity, found.span[0])
    const binding: Binding = { kind: 'launch', haulOutId: own.haulOut.id }
    this.keep(activity, [found.span], found.crew, binding, mends)
    return true
  }

  /** A trade nobody booked: as if they came as soon as they can begin, in working hours. */
  private placeTrade(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const windows = this.windowsOf(activity)
    const { clock } = this.compiled
    const segments = tradeStretches(earliest.at, activity.tradeMs, windows, clock)
    const [first, last] = [segments?.[0], segments?.at(-1)]
    if (!segments || !first || !last || last[1] > until) return false
    const isFree = windows.some(([from, to]) => from <= earliest.at && earliest.at < to)
    const binding: Binding =
      first[0] === earliest.at
        ? earliest.binding
        : isFree
          ? { kind: 'yardHours', after: heldBy(earliest.binding) }
          : this.hullBinding(activity, first[0])
    this.keep(activity, segments, [], binding, this.bonds.keyedAt(activity, first[0]))
    return true
  }

  private placeAlone(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const window = this.windowsOf(activity).find(([, to]) => to > earliest.at)
    const free = Math.max(earliest.at, window?.[0] ?? 0)
    if (!window || free > until) return false
    const { operation, placeNeed } = activity.step
    const isInHours =
      factsOf(operation).byYard || (operation === 'contract' && placeNeed === 'boat')
    const at = isInHours ? yardTime(free, activity.ashore?.yard ?? null, this.compiled.clock) : free
    const binding: Binding =
      at > free
        ? { kind: 'yardHours', after: heldBy(earliest.binding) }
        : at > earliest.at
          ? this.hullBinding(activity, at)
          : earliest.binding
    this.keep(activity, [[at, at]], [], binding, this.bonds.keyedAt(activity, at))
    return true
  }

  private placeCrew(activity: OpenStep, earliest: Earliest, until: number): boolean {
    // Where she lies next the way may be shorter: what no launch waits for is asked again then.
    if (this.neverFits(activity)) return false
    const ahead: Ahead = {
      room: (one, from, extraMs, giveUpAt) =>
        this.roomFor(one, from, extraMs, this.windowsOf(one), giveUpAt),
      from: (one) => this.earliestOf(one).at,
    }
    if (this.waitsForWarmth(activity, earliest.at, until)) this.inWarmth.add(activity.step.id)
    const windows = this.windowsOf(activity)
    const { at, heldFor, ...settled } = this.bonds.settle(activity, earliest.at, ahead)
    let { mends } = settled
    let best = this.roomFor(activity, at, settled.extraMs, windows, until)
    if (!best && mends.length > 0) {
      // No stretch is long enough for both: the mend goes within the step's own hours.
      mends = mends.map((mend) => ({ ...mend, hours: 0 }))
      best = this.roomFor(activity, at, 0, windows, until)
    }
    if (!best || best.room.finish > until) return false
    const sooner = mends.length === 0 ? this.fitIn(activity, earliest.at, windows, best) : null
    if (sooner) {
      this.keep(activity, sooner.room.segments, sooner.crew, earliest.binding)
      return true
    }
    const binding: Binding =
      heldFor !== null && best.room.start > earliest.at
        ? { kind: 'bondWindow', stepId: heldFor, after: heldBy(earliest.binding) }
        : this.bindingOf(activity, earliest, windows, best)
    this.diary.book(best.crew, activity.placeNeed, best.room.segments, activity.step.id)
    this.keep(activity, best.room.segments, best.crew, binding, mends)
    const { start, finish } = best.room
    if (activity.splittable && finish - start > longGapMs && !isBonded(activity))
      this.long.push(activity)
    return true
  }

  /**
   * Short work that would wait for over a week fits in where a long step that may be left gives way for it. Books it
   * and lays the long step round it; null: nothing gives way without moving more than its own end by a few days.
   */
  private fitIn(
    activity: OpenStep,
    from: number,
    windows: readonly Interval[],
    { room: { start, finish } }: Room,
  ): Room | null {
    if (finish - start > shortMs || start - from < longGapMs || isBonded(activity)) return null
    for (const long of this.long) {
      const kept = this.placements.get(long.step.id)
      if (!kept || (kept.segments.at(-1)?.[1] ?? 0) <= from) continue
      if ((kept.segments[0]?.[0] ?? 0) >= start || !this.mayGiveWay(long, kept)) continue
      const found = this.roomFor(activity, from, 0, windows, start, long.step.id)
      if (!found || found.room.start > start - longGapMs) continue
      if (this.layRound(long, kept, activity, found)) return found
    }
    return null
  }

  /** True for long work that may be left and that nothing placed yet waits for. */
  private mayGiveWay(long: OpenStep, kept: Placement): boolean {
    const launched = this.ownAshore.get(long.holds?.haulOut.id ?? '')
    return (
      long.splittable &&
      !isBonded(long) &&
      kept.mends === undefined &&
      (launched?.launchAt ?? Infinity) === Infinity &&
      long.after.every((arc) => !this.placements.has(arc.to))
    )
  }

  /** Books short work in the time of a long step and lays that anew with its own crew; undone where it ends too late. */
  private layRound(long: OpenStep, kept: Placement, short: OpenStep, found: Room): boolean {
    const people = kept.personIds.map((id) => this.sites.people.findIndex((one) => one.id === id))
    const finish = (kept.segments.at(-1) as Interval)[1]
    const latest = this.input.bounds.get(long.step.id)?.latestFinish ?? Infinity
    const giveUpAt = Math.max(finish, Math.min(latest, finish + longGapMs))
    this.diary.release(people, kept.segments, long.step.id)
    this.diary.book(found.crew, short.placeNeed, found.room.segments, short.step.id)
    const again = this.diary.find({
      crew: people,
      place: long.placeNeed,
      windows: this.windowsOf(long),
      from: (kept.segments[0] as Interval)[0],
      workMs: kept.segments.reduce((sum, [a, b]) => sum + b - a, 0),
      splittable: true,
      giveUpAt,
    })
    if (again && again.finish <= giveUpAt) {
      this.diary.book(people, long.placeNeed, again.segments, long.step.id)
      this.placements.set(long.step.id, {
        ...kept,
        segments: again.segments,
        readyAt: waitOver(long.step, again.finish, this.compiled.rows),
      })
      return true
    }
    this.diary.release(found.crew, found.room.segments, short.step.id)
    this.diary.book(people, long.placeNeed, kept.segments, long.step.id)
    return false
  }

  /** Earliest room for any crew; the one that finishes first, small crews before large. */
  private roomFor(
    activity: OpenStep,
    from: number,
    extraMs: number,
    windows: readonly Interval[],
    giveUpAt = Infinity,
    ignoring?: string,
  ): Room | null {
    let best: Room | null = null
    for (const crew of crewsOf(activity)) {
      const room = this.diary.find({
        crew,
        place: activity.placeNeed,
        windows,
        from,
        workMs: durationMs({ workMs: activity.workMs + extraMs }, crew.length),
        splittable: activity.splittable,
        giveUpAt: Math.min(giveUpAt, best?.room.finish ?? Infinity),
        ...(ignoring === undefined ? {} : { ignoring }),
      })
      if (room && (best === null || room.finish < best.room.finish)) best = { crew, room }
    }
    return best
  }

  /** The longest stretch that each crew is ever there together. */
  private stretchesOf(activity: OpenStep): CrewStretch[] {
    const today = this.compiled.clock.dayOf(this.compiled.now)
    return crewsOf(activity).map((crew) => ({
      size: crew.length,
      longestMs: this.hours.longestTogether(crew, activity.placeNeed, today),
    }))
  }

  private neverFits(activity: OpenStep): boolean {
    const key = `${activity.placeNeed} ${activity.crewMin} ${activity.crewMax} ${activity.wanted} ${activity.capable.join()} ${activity.splittable ? '' : activity.workMs}`
    let never = this.never.get(key)
    if (never === undefined) {
      never = neverFits(activity, this.stretchesOf(activity))
      this.never.set(key, never)
    }
    return never
  }

  private refuse(activity: OpenStep): void {
    const crews = activity.workMs > 0 ? this.stretchesOf(activity) : []
    this.barred.add(activity.step.id)
    this.remarks.push(
      notPlaced(activity, this.compiled.rows, this.ashore, crews, this.compiled.clock),
    )
  }

  private bindingOf(
    activity: OpenStep,
    earliest: Earliest,
    windows: readonly Interval[],
    { crew, room }: Room,
  ): Binding {
    const { start, finish } = room
    if (start <= earliest.at) return earliest.binding
    const hours = this.hours.of(activity)
    const length = activity.splittable ? 1 : durationMs(activity, crew.length)
    const { clock } = this.compiled
    const free = workForward(hours, windows, earliest.at, length, activity.splittable, clock)
    if (free && free.start < start) {
      const busy = this.busyWith(activity, earliest.at, [free.start, start, finish], windows)
      if (busy) return busy
    }
    const window = windows.find(([from, to]) => from <= start && start < to)
    if (window && window[0] > earliest.at) {
      const opens = [activity.season, this.inWarmth.has(activity.step.id) ? activity.warm : null]
      const isSeason = opens.some((spans) => spans?.some(([from]) => from === window[0]))
      return isSeason ? { kind: 'season', until: window[0] } : this.hullBinding(activity, window[0])
    }
    if (earliest.binding.kind === 'now' || start - earliest.at > longGapMs)
      return { kind: 'calendar', until: start }
    return earliest.binding
  }

  /** The step that keeps those it needs from it: the latest without which it could be earlier, where that is asked. */
  private busyWith(
    activity: OpenStep,
    from: number,
    [freeAt, start, finish]: readonly [number, number, number],
    windows: readonly Interval[],
  ): Binding | null {
    const all = this.diary.busyBetween(activity.capable, freeAt, start)
    const last = all[0]
    if (!last) return null
    const told = (one: typeof last, among: boolean): Binding => ({
      kind: 'people',
      stepId: one.stepId,
      personIds: [this.sites.people[one.person]?.id ?? ''],
      ...(among ? { among: true } : {}),
    })
    if (!this.options.explained) return told(last, false)
    const holds = all.slice(0, mostAsked).find((one) => {
      const without = this.roomFor(activity, from, 0, windows, finish, one.stepId)
      return without !== null && without.room.start < start
    })
    return told(holds ?? last, holds === undefined)
  }

  private hullBinding(activity: OpenStep, from: number): Binding {
    const launched = this.ashore.filter((one) => one.launchAt <= from).at(-1)
    if (activity.step.hullNeed === 'afloat' && launched)
      return { kind: 'launch', haulOutId: launched.haulOut.id }
    return { kind: 'liftOut', haulOutId: activity.ashore?.haulOut.id ?? '' }
  }

  private launch(phase: Phase): PlannedGate & { haulOutId: string } {
    const own = this.ownAshore.get(phase.launch?.haulOut.id ?? '') as Ashore
    const { now } = this.compiled
    // She is not lifted while people work aboard, also where work without a place made the launch look later.
    let ready = Math.max(now, own.from, this.aboardUntil)
    let binding: Binding =
      own.from > now ? { kind: 'liftOut', haulOutId: own.haulOut.id } : { kind: 'now' }
    const later = (stepId: string, readyAt: number, finish: number) => {
      if (readyAt <= ready) return
      ready = readyAt
      binding =
        readyAt > finish ? { kind: 'wait', stepId, until: readyAt } : { kind: 'after', stepId }
    }
    for (const activity of phase.activities) {
      const placed = this.placements.get(activity.step.id)
      const finish = placed?.segments.at(-1)?.[1] ?? 0
      // What only leads to a step that holds it is done before it too, also where that step found no place.
      if (placed)
        later(placed.stepId, activity.holds === phase.launch ? placed.readyAt : finish, finish)
    }
    for (const stepId of this.compiled.doneHolding.get(own.haulOut.id) ?? [])
      later(stepId, this.compiled.readyAfterDone.get(stepId) ?? 0, 0)
    const watches = [...this.compiled.activities.values()].filter((one) => isInSlings(one, own))
    for (const watch of watches)
      for (const arc of watch.before) {
        const placed = this.placements.get(arc.from)
        const readyAt = placed?.readyAt ?? this.compiled.readyAfterDone.get(arc.from)
        if (readyAt !== undefined)
          later(
            arc.from,
            readyAt + arc.minWaitHours * hourMs,
            placed?.segments.at(-1)?.[1] ?? readyAt,
          )
      }
    const day = launchDay(own, ready, binding, this.compiled.clock, this.whoLaunches(own, watches))
    own.launchAt = day.at
    this.waiting.placed()
    keepApart(this.ashore, this.ashore.indexOf(own), this.compiled.clock)
    const { sites, hours } = this.compiled.laidOut(this.ashore)
    this.sites = sites
    this.hours = hours
    this.diary.goOnWith(sites)
    this.never.clear()
    this.windows.clear()
    this.watchInSlings(watches)
    const gate = this.compiled.rows.gate.find(
      (one) => one.kind === 'launch' && one.haulOutId === own.haulOut.id,
    )
    return {
      gateId: gate?.id ?? '',
      haulOutId: own.haulOut.id,
      at: day.at,
      readyAt: ready,
      binding: day.binding,
    }
  }

  /** Whether those who are wanted at a launch are there anyway on a day, or at least can come. */
  private whoLaunches(own: Ashore, watches: readonly OpenStep[]): WhoLaunches {
    const { sites, diary, compiled } = this
    const liftAt = (day: number) => liftOn(own, dateOf(day), compiled.clock)
    const free = (person: number, day: number) =>
      diary.isFree(person, 'boat', liftAt(day), liftAt(day) + slingMs)
    const isThere = (person: number, day: number) =>
      sites
        .presence(person, 'boat', day)
        .some(([from, to]) => from < liftAt(day) + slingMs && to > liftAt(day))
    // People come for a day that is booked with the yard.
    const isSetDay = own.haulOut.launchBooked !== null
    const somebody = (day: number) => sites.people.some((_, person) => isThere(person, day))
    return {
      areThere: (day) =>
        (isSetDay || own.yard?.launchesWithoutYou === true || somebody(day)) &&
        watches.every((one) =>
          enoughCome(
            one,
            day,
            sites,
            (person) => (isSetDay || isThere(person, day)) && free(person, day),
          ),
        ),
      canCome: (day) =>
        watches.every((one) => enoughCome(one, day, sites, (person) => free(person, day))),
    }
  }

  /** What happens in the slings is placed with its launch, before anybody's day fills up; one after the other. */
  private watchInSlings(watches: readonly OpenStep[]): void {
    let left = watches
    for (let before = Infinity; left.length < before;) {
      before = left.length
      const waiting = new Set(left.map((one) => one.step.id))
      for (const watch of left)
        if (watch.before.every((arc) => !waiting.has(arc.from))) this.place(watch)
      left = left.filter((one) => !this.placements.has(one.step.id))
    }
  }
}

/** True for steps that follow or are followed within a bond window. */
const isBonded = ({ before, after }: OpenStep): boolean =>
  [...before, ...after].some((arc) => arc.maxWaitHours !== null)

/** The step behind a binding; null: none. */
function heldBy(binding: Binding): string | null {
  if (binding.kind === 'after' || binding.kind === 'wait') return binding.stepId
  return binding.kind === 'weather' ? binding.after : null
}
