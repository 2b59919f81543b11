import type { PlaceNeed } from '../../model/words'
import { placeNeeds } from '../../model/words'
import type { ZoneClock } from '../../time/zone'
import { horizonDays } from './openHours'
import type { Sites } from './sites'
import { intersect, without } from '../../time/intervals'
import { WorkDays } from './workDays'
import type { DayRoom } from './workDays'
import type { Interval } from '../../time/intervals'

interface DiaryDay {
  readonly place: PlaceNeed
  /** In time order, apart from each other. */
  readonly engagements: { readonly from: number; readonly to: number; readonly stepId: string }[]
  /** What is left of the person's hours at that place. */
  free: readonly Interval[]
}

/** Work found room for: its stretches. */
export interface WorkStretches {
  readonly segments: readonly Interval[]
  readonly start: number
  readonly finish: number
}

/** A step and one of the people it keeps busy. */
interface Busy {
  readonly stepId: string
  readonly person: number
}

/** What is looked for. */
export interface Wanted {
  readonly crew: readonly number[]
  readonly place: PlaceNeed
  readonly windows: readonly Interval[]
  /** Not before, UTC ms. */
  readonly from: number
  /** Clock time of the work, ms. */
  readonly workMs: number
  readonly splittable: boolean
  /** A finish after this is of no use. */
  readonly giveUpAt: number
  /** A step whose time counts as free; for asking what it keeps from being done. */
  readonly ignoring?: string | undefined
}

/** Shortest stretch worth unpacking for; the last of the work may be shorter. */
const leastStretchMs = 60 * 60_000
/** No work is begun for so little (or a quarter of it) before so long a pause: it starts after the pause. */
const scrapMs = 2 * 3_600_000
const longPauseMs = 7 * 86_400_000
/** Who was busy is looked for so far back. */
const mostDaysBack = 120
const none: readonly Interval[] = []

/** Who is where doing what, as the schedule fills it. A person is at one kind of place a day. */
export class Diary {
  private readonly days: Map<number, DiaryDay>[]
  private workDays: Map<PlaceNeed, WorkDays>[]
  private readonly firstDay: number

  constructor(
    private sites: Sites,
    private readonly clock: ZoneClock,
    now: number,
  ) {
    this.days = sites.people.map(() => new Map())
    this.workDays = sites.people.map(() => new Map())
    this.firstDay = clock.dayOf(now)
  }

  /** She lies elsewhere from some day on, so that the hours at her are others. */
  goOnWith(sites: Sites): void {
    this.sites = sites
    this.workDays = sites.people.map(() => new Map())
  }

  /** Writes a crew's stretches in. Precondition: they were found by `find` for the same crew. */
  book(
    crew: readonly number[],
    place: PlaceNeed,
    segments: readonly Interval[],
    stepId: string,
  ): void {
    for (const person of crew)
      for (const [from, to] of segments) this.engage(person, place, from, to, stepId)
  }

  /** Takes a crew's stretches for a step out again. */
  release(crew: readonly number[], segments: readonly Interval[], stepId: string): void {
    for (const person of crew) {
      const days = this.days[person] as Map<number, DiaryDay>
      for (const day of new Set(segments.map(([from]) => this.clock.dayOf(from)))) {
        const entry = days.get(day)
        if (!entry) continue
        const left = entry.engagements.filter((one) => one.stepId !== stepId)
        days.delete(day)
        for (const one of left) this.engage(person, entry.place, one.from, one.to, one.stepId)
        for (const place of placeNeeds)
          this.workDays[person]?.get(place)?.reopen(day, this.roomOn(person, place, day))
      }
    }
  }

  /**
   * Earliest room for work. Work in one go fits one open stretch; other work pauses where the crew is not there,
   * and gives way to other steps for some days. Null: none within the horizon or before giving up.
   */
  find(wanted: Wanted): WorkStretches | null {
    const reach = this.reachOf(wanted)
    if (!reach) return null
    const search = new RoomSearch(wanted)
    const lead = this.workDaysOf(wanted.crew[0] as number, wanted.place)
    for (let position = lead.positionOf(reach.first, reach.last); ; position++) {
      if (wanted.ignoring === undefined) position = lead.nextFree(position, search.wantsStretch)
      const day = lead.dayAt(position, reach.last)
      if (day === undefined || day > reach.last) return null
      const found = search.takeDay(this.freeOn(wanted, day))
      if (found) return found
    }
  }

  /** The same on the days of some stretches only, which are in order. */
  findWithin(wanted: Wanted, stretches: readonly Interval[]): WorkStretches | null {
    const reach = this.reachOf(wanted)
    if (!reach) return null
    const search = new RoomSearch(wanted)
    let before = -Infinity
    for (const [from] of stretches) {
      const day = this.clock.dayOf(from)
      if (day === before || day < reach.first) continue
      if (day > reach.last) return null
      const found = search.takeDay(this.freeOn(wanted, day))
      if (found) return found
      before = day
    }
    return null
  }

  /** The days on which work can be by its windows; null: none. */
  private reachOf(wanted: Wanted): { readonly first: number; readonly last: number } | null {
    const from = Math.max(wanted.from, wanted.windows[0]?.[0] ?? Infinity)
    const until = Math.min(wanted.giveUpAt, wanted.windows.at(-1)?.[1] ?? -Infinity)
    if (from >= until) return null
    const first = this.clock.dayOf(from)
    const usefulDay = until === Infinity ? Infinity : this.clock.dayOf(until)
    return { first, last: Math.min(first + horizonDays, usefulDay) }
  }

  /** True when nothing keeps a person from being at a place for a stretch, their usual hours aside. */
  isFree(person: number, place: PlaceNeed, from: number, to: number): boolean {
    const entry = this.days[person]?.get(this.clock.dayOf(from))
    return (
      !entry ||
      (entry.place === place && entry.engagements.every((one) => one.to <= from || one.from >= to))
    )
  }

  /** Steps that keep some of these people busy between two instants, the latest first, each named once. */
  busyBetween(people: readonly number[], from: number, to: number): Busy[] {
    const found: (Busy & { to: number })[] = []
    const first = Math.max(this.clock.dayOf(from), this.clock.dayOf(to) - mostDaysBack)
    for (let day = this.clock.dayOf(to); day >= first; day--)
      for (const person of people)
        for (const one of this.days[person]?.get(day)?.engagements ?? [])
          if (one.from < to && one.to > from) found.push({ stepId: one.stepId, person, to: one.to })
    found.sort((a, b) => b.to - a.to)
    return found.filter((one, at) => found.findIndex((x) => x.stepId === one.stepId) === at)
  }

  /** When the whole crew is there and not busy. */
  private freeOn(wanted: Wanted, day: number): readonly Interval[] {
    let free: readonly Interval[] | null = null
    for (const person of wanted.crew) {
      const left = this.leftOf(person, wanted, day)
      if (left.length === 0) return none
      free = free === null ? left : intersect(free, left)
    }
    return free ?? none
  }

  private leftOf(person: number, { place, ignoring }: Wanted, day: number): readonly Interval[] {
    const entry = this.days[person]?.get(day)
    if (!entry) return this.sites.presence(person, place, day)
    if (ignoring !== undefined && entry.engagements.some((one) => one.stepId === ignoring)) {
      const others = entry.engagements.filter((one) => one.stepId !== ignoring)
      if (others.length === 0 || entry.place === place)
        return others.reduce<readonly Interval[]>(
          (free, one) => without(free, one.from, one.to),
          this.sites.presence(person, place, day),
        )
    }
    return entry.place === place ? entry.free : none
  }

  private engage(person: number, place: PlaceNeed, from: number, to: number, stepId: string): void {
    const day = this.clock.dayOf(from)
    const days = this.days[person] as Map<number, DiaryDay>
    let entry = days.get(day)
    if (!entry) {
      entry = { place, engagements: [], free: this.sites.presence(person, place, day) }
      days.set(day, entry)
      for (const other of placeNeeds)
        if (other !== place) this.workDays[person]?.get(other)?.mark(day, 'full')
    }
    entry.engagements.push({ from, to, stepId })
    entry.engagements.sort((a, b) => a.from - b.from)
    entry.free = without(entry.free, from, to)
    this.workDays[person]?.get(place)?.mark(day, roomIn(entry.free))
  }

  private roomOn(person: number, place: PlaceNeed, day: number): DayRoom {
    const entry = this.days[person]?.get(day)
    if (entry === undefined) return 'roomy'
    return entry.place === place ? roomIn(entry.free) : 'full'
  }

  private workDaysOf(person: number, place: PlaceNeed): WorkDays {
    const byPlace = this.workDays[person] as Map<PlaceNeed, WorkDays>
    let days = byPlace.get(place)
    if (!days) {
      days = new WorkDays(
        this.firstDay,
        (day) => this.sites.presence(person, place, day),
        (day) => this.roomOn(person, place, day),
      )
      byPlace.set(place, days)
    }
    return days
  }
}

const roomIn = (free: readonly Interval[]): DayRoom =>
  free.length === 0
    ? 'full'
    : free.some(([from, to]) => to - from >= leastStretchMs)
      ? 'roomy'
      : 'crowded'

/** Gathers stretches day by day until the work is done. */
class RoomSearch {
  private segments: Interval[] = []
  private left: number
  /** So little of the work is no beginning before a long pause. */
  private readonly scrap: number
  /** Windows that closed before the days looked at so far. */
  private closed = 0

  constructor(private readonly wanted: Wanted) {
    this.left = wanted.workMs
    this.scrap = Math.max(scrapMs, wanted.workMs / 4)
  }

  /** True while stretches of less than an hour are of no use. */
  get wantsStretch(): boolean {
    return this.left >= leastStretchMs
  }

  /** Days come in order. */
  takeDay(free: readonly Interval[]): WorkStretches | null {
    const { windows } = this.wanted
    const begin = free[0]?.[0] ?? -Infinity
    while ((windows[this.closed]?.[1] ?? Infinity) <= begin) this.closed++
    for (const span of free)
      for (let at = this.closed; at < windows.length; at++) {
        const window = windows[at] as Interval
        if (window[0] >= span[1]) break
        const from = Math.max(span[0], window[0], this.wanted.from)
        const to = Math.min(span[1], window[1])
        if (to <= from) continue
        const found = this.wanted.splittable ? this.take(from, to) : this.takeWhole(from, to)
        if (found) return found
      }
    return null
  }

  private takeWhole(from: number, to: number): WorkStretches | null {
    const { workMs } = this.wanted
    return to - from >= workMs ? stretches([[from, from + workMs]]) : null
  }

  private take(from: number, to: number): WorkStretches | null {
    const last = this.segments.at(-1)
    const done = this.wanted.workMs - this.left
    if (last && from - last[1] > longPauseMs && done <= this.scrap) this.startAfresh()
    if (to - from < Math.min(leastStretchMs, this.left)) return null
    if (to - from >= this.left) return stretches([...this.segments, [from, from + this.left]])
    this.segments.push([from, to])
    this.left -= to - from
    return null
  }

  private startAfresh(): void {
    this.segments = []
    this.left = this.wanted.workMs
  }
}

const stretches = (segments: readonly Interval[]): WorkStretches => ({
  segments,
  start: (segments[0] as Interval)[0],
  finish: (segments.at(-1) as Interval)[1],
})
