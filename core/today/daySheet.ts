import type { Job, Step } from '../model/entities'
import type { Placement, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import type { PlaceNeed } from '../model/words'
import { cautionsOf } from '../plan/facts'
import { isOpen } from '../plan/planned'
import type { Waits } from '../plan/waits'
import { liveHours } from '../plan/liveHours'
import { dayNumber, minuteMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { curingDuring } from './curing'
import type { Curing } from './curing'
import { bareLine } from './dayLine'
import type { DayFrame, DayLine } from './dayLine'
import { movesOn, nightsAround } from './dayStays'
import type { DayNights } from './dayStays'
import { offeredWhile } from './offered'
import type { Offered } from './offered'
import { otherPlace } from './otherPlace'
import type { OtherPlace } from './otherPlace'
import { placeOn } from './placeOn'
import { weatherSayer } from './sayWeather'
import type { WeatherSayer } from './sayWeather'
import { takeWith } from './takeWith'
import type { TakeLine } from './takeWith'

/** A step finished on the day, with what was logged on it. */
interface DoneLine {
  readonly step: Step
  readonly job: Job | null
  readonly at: number
  readonly hoursLogged: number
}

/** A step that the day's weather leaves no room for, and when it is planned instead. */
interface NotToday {
  readonly step: Step
  readonly job: Job | null
  /** UTC ms. */
  readonly at: number
  readonly why: string
}

export interface DaySheet {
  readonly lines: readonly DayLine[]
  /** What would be done on the day but for its weather. */
  readonly notToday: readonly NotToday[]
  readonly done: readonly DoneLine[]
  /** What cures when the day is over, whenever it was laid. */
  readonly overnight: readonly Curing[]
  /** Small open steps for the same place while something cures. */
  readonly whileItCures: readonly Offered[]
  /** Short work at the other place while something cures; null: none. */
  readonly otherPlace: OtherPlace | null
  readonly take: readonly TakeLine[]
  /** Steps to keep for a day with more hands, and why. */
  readonly forHelpers: readonly {
    readonly step: Step
    readonly job: Job | null
    readonly why: string
  }[]
  readonly placeNeed: PlaceNeed
  /** How the nights round the day are spent. */
  readonly nights: DayNights
}

const mostKept = 4

/**
 * The day sheet of one date, read from the plan. Work at another place that day is left out, but where the same people
 * go on from one place to the other.
 */
export function daySheet(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  waits: Waits,
  clock: ZoneClock,
): DaySheet {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const day = dayNumber(frame.on)
  const [start, end] = [clock.at(day, 0), clock.at(day + 1, 0)]
  const say = weatherSayer(waits.weather, clock, rows.refit[0]?.units ?? 'metric')
  const alsoAt = peopleOf(rows, plan, frame, start, end)
  const isOnSheet = (step: Step, { personIds }: Placement) =>
    step.placeNeed === frame.placeNeed || personIds.some((id) => alsoAt.has(id))
  const work = plan.placements
    .flatMap((placement) => {
      const step = steps.get(placement.stepId)
      if (!step || !isOpen(step) || !isOnSheet(step, placement)) return []
      return placement.segments
        .filter(([from, to]) => from >= start && from < end && to > from)
        .map((segment) => lineOf(step, jobs.get(step.jobId) ?? null, placement, segment, say))
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
  const curing = curingDuring(rows, plan.placements, start, end, waits)
  const onSheet = new Set(work.map((line) => line.step?.id))
  const workers = new Set(work.flatMap((line) => line.personIds))
  const nights =
    frame.placeNeed === 'boat'
      ? nightsAround(rows, plan, frame.on, [...workers], clock)
      : { before: null, after: null }
  return {
    lines: [
      ...framed(rows, plan, work, frame, nights, clock),
      ...(alsoAt.size > 0 ? movesOn(rows, plan, work, frame.on, clock) : []),
      ...work,
    ].sort((a, b) => a.from - b.from),
    nights,
    notToday: notToday(rows, plan, frame, clock, say),
    done: doneOn(rows, frame.placeNeed, start, end),
    overnight: curing.filter((one) => one.until > end),
    whileItCures: offeredWhile(rows, plan, frame, curing, onSheet, waits, clock, start),
    otherPlace: otherPlace(rows, plan, frame, curing, onSheet, waits, clock),
    take: takeWith(rows, work, frame),
    forHelpers: keptForHelpers(rows, frame, onSheet),
    placeNeed: frame.placeNeed,
  }
}

function lineOf(
  step: Step,
  job: Job | null,
  placement: Placement,
  [from, to]: readonly [number, number],
  say: WeatherSayer,
): DayLine {
  const last = placement.segments.at(-1)?.[1] === to
  return {
    kind: 'work',
    what: '',
    from,
    to,
    wholeMs: placement.segments.reduce((sum, [begins, ends]) => sum + ends - begins, 0),
    step,
    job,
    personIds: placement.personIds,
    continues: !last,
    caution: cautionsOf(step),
    limit: say.limit(step, from, to),
    waitUntil: last && placement.readyAt > to ? placement.readyAt : null,
    mends: placement.mends ?? [],
    against: say.against(step, from),
  }
}

/** Steps that would be done on the day but for its weather, and when they are planned instead. */
function notToday(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  clock: ZoneClock,
  say: WeatherSayer,
): NotToday[] {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const day = dayNumber(frame.on)
  return plan.placements.flatMap((placement): NotToday[] => {
    const { binding, segments } = placement
    const step = steps.get(placement.stepId)
    if (binding.kind !== 'forecast' || !step || !isOpen(step)) return []
    if (step.placeNeed !== frame.placeNeed || clock.dayOf(binding.from) !== day) return []
    const at = segments[0]?.[0] ?? binding.until
    if (clock.dayOf(at) === day) return []
    return [{ step, job: jobs.get(step.jobId) ?? null, at, why: say.notOn(step, binding.from) }]
  })
}

/** Steps finished on the day at the place. */
function doneOn(rows: RefitRows, placeNeed: PlaceNeed, start: number, end: number): DoneLine[] {
  const jobs = byId(rows.job)
  const logged = groupBy(liveHours(rows), (entry) => entry.stepId)
  return rows.step
    .filter(
      (step) =>
        step.state === 'done' &&
        step.placeNeed === placeNeed &&
        step.doneAt !== null &&
        step.doneAt >= start &&
        step.doneAt < end,
    )
    .sort((a, b) => (a.doneAt ?? 0) - (b.doneAt ?? 0))
    .map((step) => ({
      step,
      job: jobs.get(step.jobId) ?? null,
      at: step.doneAt ?? start,
      hoursLogged: (logged.get(step.id) ?? []).reduce((sum, entry) => sum + entry.hours, 0),
    }))
}

/** Unpacking before the first and packing up after the last work, as the place where she lies asks. */
function framed(
  rows: RefitRows,
  plan: StoredPlan,
  work: readonly DayLine[],
  frame: DayFrame,
  nights: DayNights,
  clock: ZoneClock,
): DayLine[] {
  const [first] = work
  const end = work.reduce<DayLine | undefined>((a, b) => (a && a.to >= b.to ? a : b), undefined)
  if (!first || !end) return []
  const placeOf = (line: DayLine) =>
    placeOn(rows, plan, frame.on, line.step?.placeNeed ?? frame.placeNeed, clock)
  const base = { ...bareLine, personIds: frame.personIds }
  const last = end.to
  const setUp = nights.before ? 0 : (placeOf(first)?.setUpMin ?? 0) * minuteMs
  const packUp = nights.after ? 0 : (placeOf(end)?.packUpMin ?? 0) * minuteMs
  const leaving =
    end.step?.placeNeed === 'boat' ? 'Leave her: shut, covered, clocks set' : 'Pack up'
  return [
    ...(setUp > 0
      ? [
          {
            ...base,
            kind: 'setUp' as const,
            what: 'Unpack, set up',
            from: first.from - setUp,
            to: first.from,
          },
        ]
      : []),
    ...(packUp > 0
      ? [{ ...base, kind: 'packUp' as const, what: leaving, from: last, to: last + packUp }]
      : []),
  ]
}

/** People who go on from the place of the sheet to another one, or come from there, that day. */
function peopleOf(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  start: number,
  end: number,
): ReadonlySet<string> {
  if (!rows.refit[0]?.twoPlaces || rows.dayPlan.some((one) => one.on === frame.on)) return nobody
  const needs = new Map(rows.step.map((step) => [step.id, step.placeNeed]))
  const there = new Set<string>()
  for (const one of plan.placements)
    if (
      needs.get(one.stepId) === frame.placeNeed &&
      one.segments.some(([from]) => from >= start && from < end)
    )
      for (const id of one.personIds) there.add(id)
  return there
}
const nobody: ReadonlySet<string> = new Set()

function keptForHelpers(
  rows: RefitRows,
  frame: DayFrame,
  onSheet: ReadonlySet<string | undefined>,
): DaySheet['forHelpers'] {
  const jobs = byId(rows.job)
  const helperHere = rows.person.some(
    (person) => person.role === 'helper' && frame.personIds.includes(person.id),
  )
  return rows.step
    .filter(
      (step) => isOpen(step) && jobs.get(step.jobId)?.decision === 'plan' && !onSheet.has(step.id),
    )
    .flatMap((step) => {
      const job = jobs.get(step.jobId) ?? null
      if (step.crewMin > frame.personIds.length)
        return [{ step, job, why: `needs ${step.crewMin} at once` }]
      return step.forHelpers && !helperHere ? [{ step, job, why: 'good for a helper' }] : []
    })
    .slice(0, mostKept)
}
