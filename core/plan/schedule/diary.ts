import type { PlaceNeed } from '../../model/words'
import { placeNeeds } from '../../model/words'
import type { ZoneClock } from '../../time/zone'
import { horizonDays } from './openHours'
import { stays as nights, widest } from './sites'
import type { Sites } from './sites'
import { intersect, lengthOf, without } from '../../time/intervals'
import { leastStretchMs, RoomSearch } from './roomSearch'
import type { Wanted, WorkStretches } from './roomSearch'
import { ComingDays, longestOf, WorkDays } from './workDays'
import type { Interval } from '../../time/intervals'

/** Something that keeps a person busy for a while. */
interface Engagement {
  readonly from: number
  readonly to: number
  readonly stepId: string
}

/** What a person does at one place on one day. */
interface Stay {
  readonly place: PlaceNeed
  /** In time order, apart from each other. */
  readonly engagements: readonly Engagement[]
  /** What is left of the person's hours there. */
  readonly free: readonly Interval[]
}

/** A day of a person: one stay, or two in the order in which they came about. */
interface DiaryDay {
  readonly stays: readonly Stay[]
  /** Ends of it that go on into the night at the boat. */
  readonly ends: number
}

/** A step and one of the people it keeps busy. */
interface Busy {
  readonly stepId: string
  readonly person: number
}

/** Who was busy is looked for so far back. */
const mostDaysBack = 120
const none: readonly Interval[] = []

/** Days on which people come, by the calendar in which nobody is ill: kept as long as that is. */
const known = new WeakMap<Sites, Map<string, ComingDays>>()

function comingDays(sites: Sites, person: number, place: PlaceNeed, firstDay: number): ComingDays {
  const whole = sites.whole ?? sites
  const ofSites = known.get(whole) ?? new Map<string, ComingDays>()
  known.set(whole, ofSites)
  const key = `${person} ${place} ${firstDay}`
  let days = ofSites.get(key)
  if (!days) {
    days = new ComingDays(firstDay, (day) => widest(whole, person, place, day))
    ofSites.set(key, days)
  }
  return days
}

/**
 * Who is where doing what, as the schedule fills it. A person is at one kind of place a day, or goes on to a second one
 * where that pays; nights at the boat between two days there make one trip of them.
 */
export class Diary {
  private readonly days: Map<number, DiaryDay>[]
  private workDays: Map<PlaceNeed, WorkDays>[]
  private readonly firstDay: number

  constructor(
    private sites: Sites,
    private readonly clock: ZoneClock,
    private readonly now: number,
    from?: Diary,
  ) {
    this.days = sites.people.map((_, person) => new Map(from?.days[person]))
    this.workDays = sites.people.map(
      (_, person) =>
        new Map(
          [...(from?.workDays[person] ?? [])].map(([place, days]) => [place, days.copy()] as const),
        ),
    )
    this.firstDay = clock.dayOf(now)
  }

  /** The same diary, to be written in on its own from now on. */
  copy(): Diary {
    return new Diary(this.sites, this.clock, this.now, this)
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
    for (const person of crew) for (const span of segments) this.engage(person, place, span, stepId)
  }

  /** False where somebody would be left at another place on a day whose night counts on the boat. */
  canRelease(crew: readonly number[], segments: readonly Interval[], stepId: string): boolean {
    return crew.every((person) =>
      segments.every(([from]) => {
        const day = this.clock.dayOf(from)
        const { stays } = this.days[person]?.get(day) ?? { stays: [] }
        const left = stays.filter((stay) => stay.engagements.some((one) => one.stepId !== stepId))
        return (
          left.length === 0 ||
          left.some((stay) => stay.place === 'boat') ||
          !this.isSleptOn(person, day)
        )
      }),
    )
  }

  /** Takes a crew's stretches for a step out again. Precondition: `canRelease`. */
  release(crew: readonly number[], segments: readonly Interval[], stepId: string): void {
    for (const person of crew) {
      const days = this.days[person] as Map<number, DiaryDay>
      for (const day of new Set(segments.map(([from]) => this.clock.dayOf(from)))) {
        const entry = days.get(day)
        if (!entry) continue
        const left = withoutStep(entry.stays, stepId)
        // Without anything at the boat no night there is counted on any more.
        const ends = left.some((stay) => stay.place === 'boat') ? entry.ends : nights.notAtAll
        if (left.length > 0) days.set(day, this.withRoom(person, day, left, ends))
        else if (this.isSleptOn(person, day)) days.set(day, atHer)
        else days.delete(day)
        const near = entry.ends === nights.notAtAll ? [] : [day - 1, day + 1]
        for (const on of near) {
          const other = days.get(on)
          if (other && isBare(other) && !this.isSleptOn(person, on)) days.delete(on)
        }
        for (const on of [day, ...near])
          for (const place of placeNeeds)
            this.workDays[person]?.get(place)?.reopen(on, this.roomOn(person, place, on))
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
    let patience = (wanted.splittable ? null : wanted.patienceDays) ?? Infinity
    for (let position = lead.positionOf(reach.first, reach.last); ; position++) {
      if (wanted.ignoring === undefined) position = lead.nextFree(position, search.stretchMs)
      const day = lead.dayAt(position, reach.last)
      if (day === undefined || day > reach.last) return null
      const free = this.freeOn(wanted, day)
      const found = search.takeDay(free)
      if (found) return found
      if (free.length > 0 && day >= reach.first && --patience <= 0) return null
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
      entry.stays.every(
        (stay) =>
          stay.place === place && stay.engagements.every((one) => one.to <= from || one.from >= to),
      )
    )
  }

  /** The `most` last steps that keep some of these people busy between two instants, the latest first, each named once. */
  busyBetween(people: readonly number[], from: number, to: number, most: number): Busy[] {
    const found: (Busy & { to: number })[] = []
    const steps = new Set<string>()
    const first = Math.max(this.clock.dayOf(from), this.clock.dayOf(to) - mostDaysBack)
    for (let day = this.clock.dayOf(to), left = 2; day >= first && left > 0; day--) {
      for (const person of people)
        for (const stay of this.days[person]?.get(day)?.stays ?? [])
          for (const one of stay.engagements)
            if (one.from < to && one.to > from) {
              found.push({ stepId: one.stepId, person, to: one.to })
              steps.add(one.stepId)
            }
      // What began the day before may go on through the night.
      if (steps.size >= most) left--
    }
    found.sort((a, b) => b.to - a.to)
    steps.clear()
    const isNew = ({ stepId }: Busy) => !steps.has(stepId) && steps.add(stepId)
    return found.filter(isNew).slice(0, most)
  }

  /** When the whole crew is there and not busy. Work that may be left leaves their pauses free. */
  private freeOn(wanted: Wanted, day: number): readonly Interval[] {
    let free: readonly Interval[] | null = null
    for (const person of wanted.crew) {
      let left = this.leftOf(person, wanted, day)
      if (left.length === 0) return none
      const pause = wanted.splittable ? this.sites.pauseOn(person, day) : null
      if (pause) left = without(left, pause[0], pause[1])
      free = free === null ? left : intersect(free, left)
    }
    return free ?? none
  }

  private leftOf(person: number, wanted: Wanted, day: number): readonly Interval[] {
    const { place, ignoring } = wanted
    const entry = this.days[person]?.get(day)
    if (!entry) return this.sites.presence(person, place, day, this.endsOf(person, place, day))
    if (isBare(entry)) return this.roomOnBare(person, place, day)
    if (ignoring !== undefined) {
      const others = withoutStep(entry.stays, ignoring)
      if (others !== entry.stays) {
        if (others.length === 0 && place !== 'boat' && this.isSleptOn(person, day)) return none
        return this.roomIn(person, day, others, place, entry.ends, wanted.workMs)
      }
    }
    for (const stay of entry.stays) if (stay.place === place) return stay.free
    return this.roomIn(person, day, entry.stays, place, entry.ends, wanted.workMs)
  }

  /**
   * What stays leave of a day for a place. At a second place there is room before the first thing at the other and after
   * its last, the way between them taken off; what is less than that way is not gone there for.
   */
  private roomIn(
    person: number,
    day: number,
    stays: readonly Stay[],
    place: PlaceNeed,
    ends: number,
    workMs: number,
  ): readonly Interval[] {
    const own = stays.find((stay) => stay.place === place)
    const other = stays.find((stay) => stay.place !== place)
    const move = !other || stays.length > 2 ? null : this.sites.move(other.place, place, day)
    if (other && (move === null || (!own && workMs < move))) return none
    let free = this.sites.presence(person, place, day, place === 'boat' ? ends : nights.notAtAll)
    for (const one of own?.engagements ?? []) free = without(free, one.from, one.to)
    if (!other || move === null) return free
    const there = hullOf(other)
    const mine = own ? hullOf(own) : null
    // Who slept at the boat begins the day there; who sleeps there tonight ends it there.
    const [notFirst, notSecond] =
      place === 'boat'
        ? [nights.untilTomorrow, nights.sinceYesterday]
        : [nights.sinceYesterday, nights.untilTomorrow]
    const before =
      (ends & notFirst) !== 0 || (mine && mine[0] > there[0])
        ? -Infinity
        : there[0] - (this.sites.move(place, other.place, day) ?? Infinity)
    const after =
      (ends & notSecond) !== 0 || (mine && mine[0] < there[0]) ? Infinity : there[1] + move
    const left = without(free, before, after)
    return own ? left : oneSide(left, there[0], Math.max(move, leastStretchMs), workMs)
  }

  /** Ends of a day for a place that can go on into the night: nothing elsewhere the day before or after. */
  private endsOf(person: number, place: PlaceNeed, day: number): number {
    if (place !== 'boat') return nights.notAtAll
    const { sinceYesterday, untilTomorrow } = nights
    let ends = this.sites.ends(person, day)
    // The day beside it may go on elsewhere, as long as it begins or ends with the night there.
    if (ends & sinceYesterday && !this.mayBeAtHer(person, day - 1, untilTomorrow))
      ends &= ~sinceYesterday
    if (ends & untilTomorrow && !this.mayBeAtHer(person, day + 1, sinceYesterday))
      ends &= ~untilTomorrow
    return ends
  }

  /** True when a day has nothing elsewhere, or counts on a night at the boat at that end of it. */
  private mayBeAtHer(person: number, day: number, end: number): boolean {
    const stays = this.days[person]?.get(day)?.stays
    return !stays || stays.every((stay) => stay.place === 'boat') || this.countsOn(person, day, end)
  }

  /** True when a day with something to do counts on a night at the boat at that end of it. */
  private countsOn(person: number, day: number, end: number): boolean {
    const entry = this.days[person]?.get(day)
    return entry !== undefined && !isBare(entry) && (entry.ends & end) !== 0
  }

  /** True when the day before or after counts on the person being at the boat on this day. */
  private isSleptOn(person: number, day: number): boolean {
    return (
      this.countsOn(person, day - 1, nights.untilTomorrow) ||
      this.countsOn(person, day + 1, nights.sinceYesterday)
    )
  }

  /** Stays with what is left of the hours at each. */
  private withRoom(person: number, day: number, stays: readonly Stay[], ends: number): DiaryDay {
    return {
      ends,
      stays: stays.map(({ place, engagements }) => ({
        place,
        engagements,
        free: this.roomIn(person, day, stays, place, ends, Infinity),
      })),
    }
  }

  private engage(person: number, place: PlaceNeed, span: Interval, stepId: string): void {
    const [from, to] = span
    const day = this.clock.dayOf(from)
    const days = this.days[person] as Map<number, DiaryDay>
    const before = days.get(day)
    // A person is nowhere else on a day at the boat that goes on into the night.
    const ends = before && !isBare(before) ? before.ends : this.endsOf(person, place, day)
    const kept = before && !isBare(before) ? before.stays : []
    const own = kept.find((stay) => stay.place === place)
    const engagements = inOrder(own?.engagements, { from, to, stepId })
    const stay: Stay = { place, engagements, free: none }
    const others = own ? kept.filter((one) => one !== own) : kept
    days.set(day, this.withRoom(person, day, [...others, stay], ends))
    if (ends & nights.sinceYesterday) this.keepFor(person, day - 1, nights.untilTomorrow)
    if (ends & nights.untilTomorrow) this.keepFor(person, day + 1, nights.sinceYesterday)
    this.mark(person, day)
  }

  /** Keeps a day for the boat at the end of it that goes on into the night there. */
  private keepFor(person: number, day: number, end: number): void {
    const days = this.days[person] as Map<number, DiaryDay>
    const entry = days.get(day)
    if (!entry) {
      days.set(day, atHer)
      this.mark(person, day)
    } else if (!isBare(entry) && !(entry.ends & end)) {
      // It was booked as a day trip; now it begins or ends there.
      days.set(day, this.withRoom(person, day, entry.stays, entry.ends | end))
      this.workDays[person]?.get('boat')?.reopen(day, this.roomOn(person, 'boat', day))
    }
  }

  /** Nights before or after are spent at the boat, so the person is nowhere else. */
  private roomOnBare(person: number, place: PlaceNeed, day: number): readonly Interval[] {
    return place === 'boat'
      ? this.sites.presence(person, place, day, this.endsOf(person, place, day))
      : none
  }

  /** Says how much room there is left on a day. */
  private mark(person: number, day: number): void {
    for (const [place, workDays] of this.workDays[person] ?? [])
      workDays.mark(day, this.roomOn(person, place, day))
  }

  /** The longest stretch that a day has left for a place, ms; Infinity: not known, and long enough to look. */
  private roomOn(person: number, place: PlaceNeed, day: number): number {
    const entry = this.days[person]?.get(day)
    if (entry === undefined) return Infinity
    if (isBare(entry)) return longestOf(this.roomOnBare(person, place, day))
    const own = entry.stays.find((stay) => stay.place === place)
    if (own) return longestOf(own.free)
    const left = longestOf(this.roomIn(person, day, entry.stays, place, entry.ends, Infinity))
    // On which side of the other place there is room depends on the work.
    return left < leastStretchMs ? left : Infinity
  }

  private workDaysOf(person: number, place: PlaceNeed): WorkDays {
    const byPlace = this.workDays[person] as Map<PlaceNeed, WorkDays>
    let days = byPlace.get(place)
    if (!days) {
      days = new WorkDays(comingDays(this.sites, person, place, this.firstDay))
      for (const day of this.days[person]?.keys() ?? [])
        days.mark(day, this.roomOn(person, place, day))
      byPlace.set(place, days)
    }
    return days
  }
}

/**
 * A second place is gone to before the other or after it, never both: the first side that is long enough for the work,
 * else the longer. Spans of less than `leastMs` are none.
 */
function oneSide(
  free: readonly Interval[],
  between: number,
  leastMs: number,
  workMs: number,
): readonly Interval[] {
  const long = free.filter(([from, to]) => to - from >= leastMs)
  const before = long.filter(([from]) => from < between)
  const after = long.filter(([from]) => from >= between)
  const [early, late] = [lengthOf(before, null), lengthOf(after, null)]
  return early >= workMs || (early >= late && late < workMs) ? before : after
}

/** True for a day kept for the boat on which nothing is done. */
const isBare = (entry: DiaryDay): boolean => entry === atHer

/** Stays without a step, those with nothing else left out; the same stays where the step is in none of them. */
function withoutStep(stays: readonly Stay[], stepId: string): readonly Stay[] {
  if (!stays.some((stay) => stay.engagements.some((one) => one.stepId === stepId))) return stays
  return stays
    .map((stay) => ({
      ...stay,
      engagements: stay.engagements.filter((one) => one.stepId !== stepId),
    }))
    .filter((stay) => stay.engagements.length > 0)
}

/** Engagements in time order with one more among them. */
function inOrder(kept: readonly Engagement[] | undefined, one: Engagement): readonly Engagement[] {
  if (!kept) return [one]
  const at = kept.findIndex((other) => other.from > one.from)
  return at < 0 ? [...kept, one] : [...kept.slice(0, at), one, ...kept.slice(at)]
}

/** A day kept for the boat, as the night before or after it is spent there. */
const atHer: DiaryDay = {
  stays: [{ place: 'boat', engagements: [], free: none }],
  ends: nights.notAtAll,
}

/** From the first thing at a place to the last. */
const hullOf = ({ engagements }: Stay): Interval => [
  engagements[0]?.from ?? Infinity,
  engagements.at(-1)?.to ?? -Infinity,
]
