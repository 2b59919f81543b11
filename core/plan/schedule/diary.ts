import type { PlaceNeed } from '../../model/words'
import { placeNeeds } from '../../model/words'
import type { ZoneClock } from '../../time/zone'
import { horizonDays } from './openHours'
import type { Sites } from './sites'
import { intersect, without } from '../../time/intervals'
import { WorkDays } from './workDays'
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
}

/** Shortest first stretch worth unpacking for; shorter work may still have it. */
const leastStretchMs = 30 * 60_000
const none: readonly Interval[] = []

/** Who is where doing what, as the schedule fills it. A person is at one kind of place a day. */
export class Diary {
  private readonly days: Map<number, DiaryDay>[]
  private workDays = new Map<string, WorkDays>()
  private readonly firstDay: number

  constructor(
    private readonly sites: Sites,
    private readonly clock: ZoneClock,
    now: number,
  ) {
    this.days = sites.people.map(() => new Map())
    this.firstDay = clock.dayOf(now)
  }

  /** Hours at the boat have changed: forget what was laid out from them. */
  forget(): void {
    this.workDays = new Map()
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

  /**
   * Earliest room for work. Work in one go fits one open stretch; other work pauses only where the
   * crew is not there, never for another step. Null: none within the horizon or before giving up.
   */
  find(wanted: Wanted): WorkStretches | null {
    const search = new RoomSearch(wanted)
    const first = this.clock.dayOf(wanted.from)
    const usefulDay = wanted.giveUpAt === Infinity ? Infinity : this.clock.dayOf(wanted.giveUpAt)
    const lastDay = Math.min(first + horizonDays, usefulDay)
    const lead = this.workDaysOf(wanted.crew[0] as number, wanted.place)
    for (let position = lead.positionOf(first, lastDay); ; position++) {
      if (!search.underWay) position = lead.nextFree(position)
      const day = lead.dayAt(position, lastDay)
      if (day === undefined || day > lastDay) return null
      const free = this.freeOn(wanted, day)
      // Nothing free and nothing begun: the day is passed over.
      if (free.length === 0 && !search.underWay) continue
      const found = search.takeDay(this.openOn(wanted, day), free)
      if (found) return found
    }
  }

  /** True when nothing keeps a person from being at a place for a stretch, their usual hours aside. */
  isFree(person: number, place: PlaceNeed, from: number, to: number): boolean {
    const entry = this.days[person]?.get(this.clock.dayOf(from))
    return (
      !entry ||
      (entry.place === place && entry.engagements.every((one) => one.to <= from || one.from >= to))
    )
  }

  /** The step that last kept one of the crew busy before `at`, not further back than eight weeks. */
  lastBefore(crew: readonly number[], at: number): { stepId: string; person: number } | null {
    const day = this.clock.dayOf(at)
    for (let back = 0; back < 56; back++) {
      let last: { stepId: string; person: number; to: number } | null = null
      for (const person of crew)
        for (const one of this.days[person]?.get(day - back)?.engagements ?? [])
          if (one.to <= at && (last === null || one.to > last.to))
            last = { stepId: one.stepId, person, to: one.to }
      if (last) return last
    }
    return null
  }

  /** When the whole crew is there. */
  private openOn(wanted: Wanted, day: number): readonly Interval[] {
    const [first, ...others] = wanted.crew
    let open = this.sites.presence(first as number, wanted.place, day)
    for (const person of others) {
      if (open.length === 0) return none
      open = intersect(open, this.sites.presence(person, wanted.place, day))
    }
    return open
  }

  /** When the whole crew is there and not busy. */
  private freeOn(wanted: Wanted, day: number): readonly Interval[] {
    let free: readonly Interval[] | null = null
    for (const person of wanted.crew) {
      const entry = this.days[person]?.get(day)
      const left: readonly Interval[] = !entry
        ? this.sites.presence(person, wanted.place, day)
        : entry.place === wanted.place
          ? entry.free
          : none
      if (left.length === 0) return none
      free = free === null ? left : intersect(free, left)
    }
    return free ?? none
  }

  private engage(person: number, place: PlaceNeed, from: number, to: number, stepId: string): void {
    const day = this.clock.dayOf(from)
    const days = this.days[person] as Map<number, DiaryDay>
    let entry = days.get(day)
    if (!entry) {
      entry = { place, engagements: [], free: this.sites.presence(person, place, day) }
      days.set(day, entry)
      for (const other of placeNeeds)
        if (other !== place) this.workDays.get(`${person} ${other}`)?.fill(day)
    }
    entry.engagements.push({ from, to, stepId })
    entry.engagements.sort((a, b) => a.from - b.from)
    entry.free = without(entry.free, from, to)
    if (entry.free.length === 0) this.workDays.get(`${person} ${place}`)?.fill(day)
  }

  private workDaysOf(person: number, place: PlaceNeed): WorkDays {
    const key = `${person} ${place}`
    let days = this.workDays.get(key)
    if (!days) {
      days = new WorkDays(
        this.firstDay,
        (day) => this.sites.presence(person, place, day),
        (day) => {
          const entry = this.days[person]?.get(day)
          return entry !== undefined && (entry.place !== place || entry.free.length === 0)
        },
      )
      this.workDays.set(key, days)
    }
    return days
  }
}

/** Gathers stretches day by day until the work is done. */
class RoomSearch {
  private segments: Interval[] = []
  private left: number

  constructor(private readonly wanted: Wanted) {
    this.left = wanted.workMs
  }

  get underWay(): boolean {
    return this.segments.length > 0
  }

  takeDay(open: readonly Interval[], free: readonly Interval[]): WorkStretches | null {
    for (const span of open)
      for (const window of this.wanted.windows) {
        const a = Math.max(span[0], window[0], this.wanted.from)
        const b = Math.min(span[1], window[1])
        if (b <= a) continue
        const found = this.takeStretch(a, b, free)
        if (found) return found
      }
    return null
  }

  /** Takes what is free of one open stretch; busy time in it means starting afresh after it. */
  private takeStretch(a: number, b: number, free: readonly Interval[]): WorkStretches | null {
    const { workMs, splittable } = this.wanted
    let cursor = a
    for (const piece of free) {
      const p = Math.max(piece[0], a)
      const q = Math.min(piece[1], b)
      if (q <= p) continue
      if (p > cursor) this.startAfresh()
      cursor = q
      if (!splittable) {
        if (q - p >= workMs) return stretches([[p, p + workMs]])
        continue
      }
      if (!this.underWay && q - p < Math.min(leastStretchMs, this.left)) continue
      if (q - p >= this.left) return stretches([...this.segments, [p, p + this.left]])
      this.segments.push([p, q])
      this.left -= q - p
    }
    if (cursor < b) this.startAfresh()
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
