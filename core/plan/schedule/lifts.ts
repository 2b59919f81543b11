/** On which days and when a yard can lift: its weekdays, its closed dates, the water at its slip. */
import type { HaulOut, Place } from '../../model/entities'
import type { RefitRows } from '../../model/refit'
import { slipOf } from '../../tide/slip'
import type { Slip } from '../../tide/slip'
import { dayNumber, minutesOf, weekdayOf } from '../../time/civil'
import type { ZoneClock } from '../../time/zone'

/** Lift days looked through for one with water: a slip that has none in so many has none at all. */
const mostDryDays = 400

export class Lifts {
  private readonly weekdays: readonly number[]
  private readonly closed: readonly (readonly [from: number, to: number])[]
  private readonly firstMin: number
  private readonly booked: { readonly day: number; readonly minutes: number } | null
  readonly slip: Slip | null

  /** `haulOut`: its own booking says when on its day; null: nothing is booked. */
  constructor(
    rows: Pick<RefitRows, 'refit' | 'tideStation'>,
    yard: Place | null,
    haulOut: HaulOut | null,
    private readonly clock: ZoneClock,
  ) {
    // A yard that names no day of the week lifts on any.
    this.weekdays = (yard?.liftWeekdays ?? []).filter((one) => one >= 1 && one <= 7)
    this.closed = (yard?.noLifts ?? []).map((one) => [dayNumber(one.from), dayNumber(one.to)])
    this.firstMin = minutesOf(yard?.liftFrom ?? '09:00')
    const [on, time] = [haulOut?.launchBooked ?? null, haulOut?.launchTime ?? null]
    this.booked =
      on === null || time === null ? null : { day: dayNumber(on), minutes: minutesOf(time) }
    this.slip = slipOf(rows, yard, clock)
  }

  /** UTC ms at which the slings go on, on a local day: as the water comes where it is asked for, else the yard's first hour. */
  at(day: number): number {
    if (this.booked?.day === day) return this.clock.at(day, this.booked.minutes)
    return this.slip?.lift(day)?.liftAt ?? this.clock.at(day, this.firstMin)
  }

  /** Whether the yard lifts on a local day, and the water is there. */
  isOn(day: number): boolean {
    return !this.isClosed(day) && this.isWeekday(day) && this.hasWater(day)
  }

  /** The first lift at or after an instant. A slip that never has the water is taken as if it asked for none. */
  next(from: number): number {
    let dry: number | null = null
    let dryDays = 0
    for (let day = this.clock.dayOf(from); ; day++) {
      if (this.isClosed(day) || !this.isWeekday(day) || this.at(day) < from) continue
      if (this.hasWater(day)) return this.at(day)
      dry ??= this.at(day)
      if (++dryDays >= mostDryDays) return dry
    }
  }

  /** Days on which a yard lifts nothing. Source: handbook-2 H2. */
  isClosed(day: number): boolean {
    return this.closed.some(([from, to]) => from <= day && day <= to)
  }

  isWeekday(day: number): boolean {
    return this.weekdays.length === 0 || this.weekdays.includes(weekdayOf(day))
  }

  /** True where nothing is known of the water, and on the day that is booked: somebody has looked. */
  private hasWater(day: number): boolean {
    const { slip, booked } = this
    return !slip || booked?.day === day || slip.lift(day) !== null || !slip.isKnown(day)
  }
}
