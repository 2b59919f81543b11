/** Days as chains of stays, worked out again from the rows: nights away, opening hours, two places in a day. */
import type { Place, Step } from '../../core/model/entities'
import type { Placement, StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { opens, shuts } from './does'
import type { Haul } from './hulls'
import { hhmm, hour, instantOf, minute, mondays } from './wallClock'
import type { Wall } from './wallClock'

type Need = Step['placeNeed']
type Span = [number, number]

/** Which ends of a day are spent at the boat overnight. */
export interface Nights {
  readonly before: boolean
  readonly after: boolean
}
const byDay: Nights = { before: false, after: false }
const both: Nights = { before: true, after: true }

const shift = (date: string, days: number): string =>
  new Date(Date.parse(`${date}T00:00:00Z`) + days * 24 * hour).toISOString().slice(0, 10)
const weekday = (date: string): number => ((new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7) + 1

export class Days {
  /** What each person does on each date: place and span, in order of time. */
  private readonly did = new Map<string, { need: Need; from: number; to: number }[]>()

  constructor(
    private readonly rows: RefitRows,
    plan: StoredPlan,
    private readonly hauls: readonly Haul[],
    stepOf: ReadonlyMap<string, Step>,
    private readonly wall: (at: number) => Wall,
    private readonly zone: string,
  ) {
    for (const one of plan.placements)
      for (const person of one.personIds)
        for (const [from, to] of one.segments) {
          const key = `${person} ${wall(from).date}`
          const need = stepOf.get(one.stepId)?.placeNeed ?? 'boat'
          this.did.set(key, [...(this.did.get(key) ?? []), { need, from, to }])
        }
    for (const list of this.did.values()) list.sort((a, b) => a.from - b.from || a.to - b.to)
  }

  placeOn(need: Need, date: string): Place | undefined {
    if (need === 'away') return undefined
    const first = (kind: Place['kind']) =>
      [...this.rows.place]
        .sort((a, b) => (`${a.order} ${a.id}` < `${b.order} ${b.id}` ? -1 : 1))
        .find((one) => one.kind === kind)
    if (need === 'shed') return first('shed')
    const dawn = instantOf(date, 0, this.zone)
    const ashore = this.hauls.find((one) => dawn >= one.out && dawn < one.launch)
    if (ashore) return ashore.yard
    const said = this.rows.lying.find((one) => one.from <= date && date <= one.to)
    return (
      this.rows.place.find((one) => one.id === said?.placeId) ??
      first('berth') ??
      this.hauls[0]?.yard
    )
  }

  /** Minutes of a date in which a person can work at a place. */
  hours(personId: string, need: Need, date: string, nights: Nights = byDay): Span[] {
    const { rows } = this
    const place = this.placeOn(need, date)
    const gone = rows.wantedDays.some(
      (one) => one.why !== 'livedOn' && one.from <= date && date <= one.to,
    )
    if (gone && need === 'boat') return []
    if (place?.shutWeekdays.includes(weekday(date))) return []
    const own = rows.personDay.filter((row) => row.personId === personId && row.on === date)
    if (own.some((row) => row.kind === 'cannotCome' && row.wholeDay)) return []
    const absent = own.filter((row) => row.kind === 'cannotCome')
    const open: Span = [
      hhmm(place?.opensAt ?? '00:00'),
      place?.shutsAt ? hhmm(place.shutsAt) : 1440,
    ]
    const setUp = place?.setUpMin ?? 0
    const packUp = place?.packUpMin ?? 0
    const plan = rows.dayPlan.find((row) => row.on === date)
    if (plan) {
      if (plan.placeNeed !== need || !plan.personIds.includes(personId)) return []
      const from = Math.max(hhmm(plan.from), open[0]) + (nights.before ? 0 : setUp)
      const to = Math.min(hhmm(plan.to), open[1]) - (nights.after ? 0 : packUp)
      return less([[from, to]], absent)
    }
    const spans = rows.weekSlot
      .filter(
        (row) =>
          row.personId === personId &&
          row.weekday === weekday(date) &&
          Math.abs(mondays(date) - (row.anchor ? mondays(row.anchor) : 0)) % row.everyWeeks === 0,
      )
      .map((row): Span => [hhmm(row.from), hhmm(row.to)])
    for (const row of own) if (row.kind === 'extraDay') spans.push([hhmm(row.from), hhmm(row.to)])
    const there = less(joined(spans), absent)
    const travel = place?.travelMin ?? 0
    return there
      .map(([from, to], at): Span => {
        const slept = nights.before && at === 0
        const sleeps = nights.after && at === there.length - 1
        return [
          Math.max(from + (slept ? 0 : travel), open[0]) + (slept ? 0 : setUp),
          Math.min(to - (sleeps ? 0 : travel), open[1]) - (sleeps ? 0 : packUp),
        ]
      })
      .filter(([from, to]) => to > from)
  }

  /** The nights that a person may spend at the boat before and after a date, as the plan has the days beside it. */
  nights(personId: string, date: string): Nights {
    return {
      before:
        this.sleeps(personId, shift(date, -1)) &&
        this.placeOn('boat', shift(date, -1)) === this.placeOn('boat', date),
      after: this.sleeps(personId, date),
    }
  }

  /** True when a person can be at the boat at the end of a date, sleep there and begin the next day there. */
  private sleeps(personId: string, date: string): boolean {
    const person = this.rows.person.find((one) => one.id === personId)
    const place = this.placeOn('boat', date)
    if (!person?.staysNights || !place || place.nights === 'none') return false
    if (place.nightsFrom !== null && date < place.nightsFrom) return false
    const comes = (on: string) => this.hours(personId, 'boat', on, both).length > 0
    const [last, first] = [
      this.did.get(`${personId} ${date}`)?.at(-1),
      this.did.get(`${personId} ${shift(date, 1)}`)?.[0],
    ]
    return (
      comes(date) &&
      comes(shift(date, 1)) &&
      (last?.need ?? 'boat') === 'boat' &&
      (first?.need ?? 'boat') === 'boat'
    )
  }

  /** True when a person has something to do at another place on a date, or keeps a free one for a night at the boat. */
  isElsewhere(personId: string, date: string, need: Need): boolean {
    const on = (day: number) => this.did.get(`${personId} ${shift(date, day)}`) ?? []
    if (on(0).length > 0) return on(0).some((one) => one.need !== need)
    if (need === 'boat') return false
    return (
      (on(-1).at(-1)?.need === 'boat' && this.sleeps(personId, shift(date, -1))) ||
      (on(1)[0]?.need === 'boat' && this.sleeps(personId, date))
    )
  }

  /** True when a person pauses in the five minutes from an instant on. */
  pauses(personId: string, at: number, to: number): boolean {
    const person = this.rows.person.find((one) => one.id === personId)
    if (!person?.breakFrom) return false
    const start = instantOf(this.wall(at).date, hhmm(person.breakFrom), this.zone)
    return at < start + person.breakMin * minute && to > start
  }

  /** Jobs that are opened and not shut and cured before days on which she is wanted. */
  openFaults(placed: ReadonlyMap<string, Placement>): string[] {
    const { rows, zone } = this
    return rows.job.flatMap((job) => {
      const steps = rows.step
        .filter((one) => one.jobId === job.id && one.placeNeed === 'boat')
        .filter((one) => one.state !== 'dropped')
        .sort((a, b) => (a.order < b.order ? -1 : 1))
      return steps.flatMap((step, at) => {
        const start = placed.get(step.id)?.segments[0]?.[0]
        if (!opens(step) || step.state !== 'open' || start === undefined) return []
        // What was open before is shut by the same.
        const last = steps.slice(0, at).findLast((one) => opens(one) || shuts(one))
        const shut = steps.slice(at + 1).find(shuts)
        if (!shut || (last && opens(last))) return []
        const ready = placed.get(shut.id)?.readyAt ?? Infinity
        return rows.wantedDays
          .filter(
            (one) =>
              start < instantOf(shift(one.to, 1), 0, zone) && ready > instantOf(one.from, 0, zone),
          )
          .map((one) => `${step.title} stands open on ${one.from}, when she is wanted`)
      })
    })
  }

  /** Days on which somebody is at two places without the time to get from one to the other, or where they are not wanted. */
  faults(): string[] {
    return [...this.did].flatMap(([key, list]): string[] => {
      const [person = '', date = ''] = key.split(' ')
      const moves = list.slice(1).filter((one, at) => one.need !== list[at]?.need)
      if (moves.length === 0) return []
      if (!this.rows.refit[0]?.twoPlaces) return [`${key}: at two places on one day`]
      if (moves.length > 1) return [`${key}: goes to and fro`]
      const second = list.findIndex((one, at) => at > 0 && one.need !== list[at - 1]?.need)
      const [a, b] = [list[second - 1], list[second]]
      if (!a || !b) return []
      const [from, to] = [this.placeOn(a.need, date), this.placeOn(b.need, date)]
      if (!from || !to) return [`${person} goes to a place that is none on ${date}`]
      const way =
        this.rows.drive.find(
          (one) =>
            [one.fromPlaceId, one.toPlaceId].includes(from.id) &&
            [one.fromPlaceId, one.toPlaceId].includes(to.id),
        )?.minutes ?? from.travelMin + to.travelMin
      const need = (from.packUpMin + way + to.setUpMin) * minute
      return b.from - a.to < need ? [`${person} is at two places too soon on ${date}`] : []
    })
  }
}

const less = (
  spans: readonly Span[],
  absent: readonly { readonly from: string; readonly to: string }[],
): Span[] =>
  absent
    .reduce<Span[]>(
      (left, row) =>
        left.flatMap(([a, b]): Span[] => [
          [a, Math.min(b, hhmm(row.from))],
          [Math.max(a, hhmm(row.to)), b],
        ]),
      [...spans],
    )
    .filter(([from, to]) => to > from)

function joined(spans: readonly Span[]): Span[] {
  const result: Span[] = []
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = result.at(-1)
    if (last && from <= last[1]) last[1] = Math.max(last[1], to)
    else result.push([from, to])
  }
  return result
}
