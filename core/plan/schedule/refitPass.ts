import { actingOn } from '../../forecast/calibration'
import type { Mend, Remark } from '../../model/stored'
import { hourMs } from '../../time/civil'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import { usualFacts } from '../facts'
import { weatherAllowance } from '../weatherAllowance'
import type { Binding } from './binding'
import { BondWindows } from './bondWindows'
import type { Ahead } from './bondWindows'
import { openAfterWanted } from './afterWanted'
import type { GivingWay } from './givingWay'
import { keepApart, slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'
import { crewInSlings, notInSlings } from './inSlings'
import { laidLaunch, watchesOf } from './launching'
import type { Laying, Room } from './laying'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import type { LaidLaunch, Pass, PassInput, PassOptions } from './pass'
import { beginning } from './passState'
import type { PassState } from './passState'
import type { Phase } from './phases'
import { crewBinding, heldBy, hullBinding } from './reasons'
import type { Earliest } from './reasons'
import { overrun } from './runningOver'
import { ceilTick } from './tick'
import { inLaterHaulOut, notPlaced } from './unplaced'
import type { WaitingLaunches } from './waitingLaunches'
import { tradeStretches, yardTime } from './yardTime'

/** Where work in one go may run over it is not put off for the one long day of a year: so many shorter ones are enough. */
const patienceDays = 12

/**
 * Serial schedule generation: of all steps whose predecessors are placed the most urgent one goes to the earliest
 * room for a crew; each launch is placed when the last of what it waits for is. `rankOf`: place of each step by
 * urgency, by its index. Deterministic; mutates nothing given to it.
 */
export const refitPass = (
  input: PassInput,
  rankOf: ArrayLike<number>,
  options: PassOptions = {},
): Pass =>
  openAfterWanted(input.compiled, options, (given) => {
    const state = beginning(input, rankOf, given.runsOver ? patienceDays : null)
    return layOn(input, state, given)
  })

/** Who looks on while a pass is laid. */
export interface Onlooker {
  /** The next step or launch is taken up. */
  readonly turn: (state: PassState) => void
  /** It was asked whether something else is supposed of a step. */
  readonly asked: (stepId: string) => void
}

/** Lays what a pass has still to lay. The state is that of the finished pass afterwards. */
export const layOn = (
  input: PassInput,
  state: PassState,
  options: PassOptions,
  onlooker?: Onlooker,
): Pass => new RefitPass(input, state, options, onlooker).run()

class RefitPass {
  private readonly compiled: OpenWork
  private readonly laying: Laying
  private readonly remarks: Remark[]
  private readonly barred: Set<string>
  private readonly bonds: BondWindows
  private readonly waiting: WaitingLaunches
  private readonly givingWay: GivingWay

  constructor(
    private readonly input: PassInput,
    private readonly state: PassState,
    private readonly options: PassOptions,
    private readonly onlooker?: Onlooker,
  ) {
    this.compiled = input.compiled
    this.laying = state.laying
    this.remarks = state.remarks
    this.barred = state.barred
    this.waiting = state.waiting
    this.givingWay = state.givingWay
    this.bonds = new BondWindows(input.compiled, state.laying.placements)
  }

  run(): Pass {
    const { queue, launches } = this.state
    for (;;) {
      this.onlooker?.turn(this.state)
      const phase = this.waiting.ready
      const activity = phase ? undefined : queue.next()
      if (activity) {
        if (this.place(activity) === 'notYet') this.state.later.push(activity)
        else {
          queue.release(activity)
          this.waiting.deal(activity.step.id, this.surelyTakes(activity))
        }
        continue
      }
      const next = phase ?? this.waiting.next
      if (!next) break
      launches.push(this.launch(next))
      for (const one of this.state.later) queue.push(one)
      this.state.later = []
    }
    const { placements, ashore } = this.laying
    return { placements, launches, remarks: this.remarks, ashore }
  }

  /** Places a step, or says why it has no place. Not yet: it may depend on a launch that is not known. */
  private place(activity: OpenStep): 'dealt' | 'notYet' {
    const id = activity.step.id
    const orphan = activity.before.some(
      (arc) => this.compiled.activities.has(arc.from) && !this.laying.placements.has(arc.from),
    )
    if (orphan || this.barred.has(id) || this.laying.placements.has(id)) return 'dealt'
    this.onlooker?.asked(id)
    if (this.options.dropped?.has(id)) return this.skip(activity)
    const isHung = activity.step.hullNeed === 'slings' && activity.ashore !== null
    const own = this.laying.own(activity.ashore)
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
    const finish = this.laying.placements.get(id)?.segments.at(-1)?.[1] ?? 0
    if (until < Infinity && (activity.placeNeed === 'boat' || activity.step.hullNeed !== 'either'))
      this.state.aboardUntil = Math.max(this.state.aboardUntil, finish)
    if (found) return 'dealt'
    if (until < Infinity) return 'notYet'
    this.refuse(activity)
    return 'dealt'
  }

  /** Until when a step surely keeps her ashore; null: it has no place. What follows may begin before it is cured through. */
  private surelyTakes({ step, holds, after }: OpenStep): number | null {
    const placed = this.laying.placements.get(step.id)
    if (!placed) return null
    const isWhole = holds !== null || after.every((arc) => arc.once === 'cured')
    return isWhole ? placed.readyAt : (placed.segments.at(-1)?.[1] ?? null)
  }

  /** As if it took no time: its place keeps the order and holds nothing. */
  private skip(activity: OpenStep): 'dealt' {
    const at = Math.max(
      this.compiled.now,
      ...activity.before.map(
        (arc) =>
          this.compiled.readyBy(arc, this.laying.placements.get(arc.from)) ?? this.compiled.now,
      ),
    )
    this.laying.placements.set(activity.step.id, {
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
    this.onlooker?.asked(activity.step.id)
    const delayed = this.options.delayed?.get(activity.step.id)
    if (delayed !== undefined) later(delayed, { kind: 'calendar', until: delayed })
    const putOff = this.options.putOff?.get(activity.step.id)
    if (putOff !== undefined) later(putOff, { kind: 'wanted', until: putOff })
    for (const arc of activity.before) {
      const placed = this.laying.placements.get(arc.from)
      const ready = this.compiled.readyBy(arc, placed)
      if (ready === undefined) continue
      const at = ready + arc.minWaitHours * hourMs
      const finish = placed?.segments.at(-1)?.[1] ?? 0
      later(
        at,
        at > finish
          ? {
              kind: 'wait',
              stepId: arc.from,
              until: at,
              ...(arc.once === 'cured' ? {} : { once: arc.once }),
            }
          : { kind: 'after', stepId: arc.from },
      )
    }
    if (activity.tradeLateMs > 0)
      earliest = { ...earliest, at: ceilTick(earliest.at + activity.tradeLateMs) }
    const allowance = activity.startsSpell
      ? weatherAllowance(
          activity.step,
          earliest.at,
          this.compiled.rows,
          this.compiled.now,
          this.compiled.waits.weather,
          this.compiled.daysLost,
        )
      : null
    if (!allowance) return earliest
    return {
      at: earliest.at + allowance.ms,
      binding: { kind: 'weather', ...allowance, after: heldBy(earliest.binding) },
    }
  }

  /** True when a step finds room in warm months without its gate moving; else it is done in the cold, which is said. */
  private waitsForWarmth(activity: OpenStep, from: number, until: number): boolean {
    if (!activity.warm) return false
    const latest = this.input.bounds.get(activity.step.id)?.latestFinish ?? Infinity
    const windows = intersect(this.laying.windowsOf(activity, from), activity.warm)
    const room = this.laying.roomFor(activity, from, windows, {
      giveUpAt: Math.min(until, latest),
    })
    return room !== null && room.room.finish <= Math.min(until, latest)
  }

  /** On the days it is booked for; once she is as it needs her where that comes later. */
  private placeBooked(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const booking = activity.booking as NonNullable<OpenStep['booking']>
    const wanted = Math.max(earliest.at, booking.from)
    const length = (start: number) => Math.max(start, booking.to) - start
    const window = this.laying.windowsOf(activity, wanted).find(([from, to]) => {
      const start = Math.max(from, wanted)
      return start + length(start) <= to
    })
    const start = Math.max(wanted, window?.[0] ?? wanted)
    if (!window || start + length(start) > until) return false
    const binding: Binding =
      start > wanted
        ? hullBinding(this.laying, activity, start)
        : booking.from > earliest.at
          ? { kind: 'trade', bookingId: booking.id }
          : earliest.binding
    this.laying.keep(
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
    const own = this.laying.own(activity.ashore) as Ashore
    const length = durationMs(activity, activity.crewMin)
    const from = Math.max(earliest.at, own.launchAt)
    const { sites, diary, compiled } = this.laying
    const span: Interval = [from, own.launchAt + slingMs]
    if (activity.season && intersect(activity.season, [span]).length === 0) return false
    const found = crewInSlings(activity, span, length, sites, diary, compiled.clock)
    if (!found) {
      this.barred.add(activity.step.id)
      this.remarks.push(notInSlings(activity, own, this.compiled.clock))
      return true
    }
    diary.book(found.crew, activity.placeNeed, [found.span], activity.step.id)
    const mends = this.bonds.keyedAt(activity, found.span[0])
    const binding: Binding = { kind: 'launch', haulOutId: own.haulOut.id }
    this.laying.keep(activity, [found.span], found.crew, binding, mends)
    return true
  }

  /** A trade nobody booked: as if they came as soon as they can begin, in working hours. */
  private placeTrade(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const windows = this.laying.windowsOf(activity, earliest.at)
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
          : hullBinding(this.laying, activity, first[0])
    this.laying.keep(activity, segments, [], binding, this.bonds.keyedAt(activity, first[0]))
    return true
  }

  private placeAlone(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const { operation, placeNeed, hullNeed } = activity.step
    // In the slings the yard is there anyway.
    const isInHours =
      hullNeed !== 'slings' &&
      (usualFacts(operation).byYard || (operation === 'contract' && placeNeed === 'boat'))
    const inHours = (free: number) =>
      isInHours ? yardTime(free, activity.ashore?.yard ?? null, this.compiled.clock) : free
    const windows = this.laying.windowsOf(activity, earliest.at)
    const window = windows.find(([from, to]) => inHours(Math.max(earliest.at, from)) < to)
    const free = Math.max(earliest.at, window?.[0] ?? 0)
    if (!window || free > until) return false
    const at = inHours(free)
    const binding: Binding =
      at > free
        ? { kind: 'yardHours', after: heldBy(earliest.binding) }
        : at > earliest.at
          ? hullBinding(this.laying, activity, at)
          : earliest.binding
    this.laying.keep(activity, [[at, at]], [], binding, this.bonds.keyedAt(activity, at))
    return true
  }

  private placeCrew(activity: OpenStep, earliest: Earliest, until: number): boolean {
    const { laying } = this
    // Where she lies next the way may be shorter: what no launch waits for is asked again then.
    if (laying.neverFits(activity)) return this.placeOverrun(activity, earliest, until)
    const ahead: Ahead = {
      room: (one, from, extraMs, giveUpAt) =>
        laying.roomFor(one, from, laying.windowsOf(one, from), { extraMs, giveUpAt }),
      from: (one) => this.earliestOf(one).at,
    }
    if (this.waitsForWarmth(activity, earliest.at, until)) laying.inWarmth.add(activity.step.id)
    const windows = laying.windowsOf(activity, earliest.at)
    const { at, heldFor, extraMs, ...settled } = this.bonds.settle(activity, earliest.at, ahead)
    let { mends } = settled
    let best = laying.roomFor(activity, at, windows, { extraMs, giveUpAt: until })
    if (!best && mends.length > 0) {
      // No stretch is long enough for both: the mend goes within the step's own hours.
      mends = mends.map((mend) => ({ ...mend, hours: 0 }))
      best = laying.roomFor(activity, at, windows, { giveUpAt: until })
    }
    if (!best && this.options.runsOver && !activity.splittable)
      return this.placeOverrun(activity, earliest, until)
    if (!best || best.room.finish > until) return false
    const sooner =
      mends.length === 0 ? this.givingWay.fitIn(activity, earliest.at, windows, best) : null
    if (sooner) {
      laying.keep(activity, sooner.room.segments, sooner.crew, earliest.binding)
      return true
    }
    const binding = !this.options.explained
      ? earliest.binding
      : heldFor !== null && best.room.start > earliest.at
        ? ({ kind: 'bondWindow', stepId: heldFor, after: heldBy(earliest.binding) } as const)
        : crewBinding(laying, activity, earliest, windows, best)
    this.book(activity, best, binding, mends)
    this.givingWay.placed(activity, best.room)
    return true
  }

  /** Work in one go that is too long for any day, where it may run over. */
  private placeOverrun(activity: OpenStep, earliest: Earliest, until: number): boolean {
    if (!this.options.runsOver && !this.isLongByTruth(activity)) return false
    const windows = this.laying.windowsOf(activity, earliest.at)
    const found = overrun(this.laying, activity, earliest.at, windows)
    if (!found || found.room.finish > until) return false
    this.book(activity, found, earliest.binding)
    return true
  }

  /** It would fit a day as it was guessed: what such work really takes is no reason to give it no place at all. */
  private isLongByTruth(activity: OpenStep): boolean {
    const factor = actingOn(activity.step)
    const guessed = { ...activity, workMs: activity.workMs / factor }
    return factor > 1 && !this.laying.neverFits(guessed)
  }

  private book(
    activity: OpenStep,
    { crew, room }: Room,
    binding: Binding,
    mends: readonly Mend[] = [],
  ): void {
    this.laying.diary.book(crew, activity.placeNeed, room.segments, activity.step.id)
    this.laying.keep(activity, room.segments, crew, binding, mends)
  }

  private refuse(activity: OpenStep): void {
    const crews = activity.workMs > 0 ? this.laying.stretchesOf(activity) : []
    this.barred.add(activity.step.id)
    this.remarks.push(
      notPlaced(activity, this.compiled.rows, this.laying.ashore, crews, this.compiled.clock),
    )
  }

  private launch(phase: Phase): LaidLaunch {
    const { ashore } = this.laying
    const own = this.laying.own(phase.launch) as Ashore
    const launch = laidLaunch(this.laying, phase, own, this.state.aboardUntil)
    own.launchAt = launch.at
    this.waiting.placed()
    keepApart(ashore, ashore.indexOf(own))
    this.laying.launched()
    this.watchInSlings(watchesOf(this.laying, own))
    return launch
  }

  /** What happens in the slings is placed with its launch, before anybody's day fills up; one after the other. */
  private watchInSlings(watches: readonly OpenStep[]): void {
    let left = watches
    for (let before = Infinity; left.length < before;) {
      before = left.length
      const waiting = new Set(left.map((one) => one.step.id))
      for (const watch of left)
        if (watch.before.every((arc) => !waiting.has(arc.from))) this.place(watch)
      left = left.filter((one) => !this.laying.placements.has(one.step.id))
    }
  }
}
