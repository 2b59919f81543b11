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
import type { DayFrame, DayLine } from './dayLine'
import { offeredWhile } from './offered'
import type { Offered } from './offered'
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
  readonly take: readonly TakeLine[]
  /** Steps to keep for a day with more hands, and why. */
  readonly forHelpers: readonly {
    readonly step: Step
    readonly job: Job | null
    readonly why: string
  }[]
  readonly placeNeed: PlaceNeed
}

const mostKept = 4

/** The day sheet of one date, read from the plan. Work at another place that day is left out. */
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
  const work = plan.placements
    .flatMap((placement) => {
      const step = steps.get(placement.stepId)
      if (!step || !isOpen(step) || step.placeNeed !== frame.placeNeed) return []
      return placement.segments
        .filter(([from, to]) => from >= start && from < end && to > from)
        .map((segment) => lineOf(step, jobs.get(step.jobId) ?? null, placement, segment, say))
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
  const curing = curingDuring(rows, plan.placements, start, end, waits)
  const onSheet = new Set(work.map((line) => line.step?.id))
  return {
    lines: [...framed(rows, plan, work, frame, clock), ...work].sort((a, b) => a.from - b.from),
    notToday: notToday(rows, plan, frame, clock, say),
    done: doneOn(rows, frame.placeNeed, start, end),
    overnight: curing.filter((one) => one.until > end),
    whileItCures: offeredWhile(rows, plan, frame, curing, onSheet, waits, clock, start),
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
    from,
    to,
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
  clock: ZoneClock,
): DayLine[] {
  const [first] = work
  if (!first) return []
  const place = placeOn(rows, plan, frame.on, frame.placeNeed, clock)
  const base = {
    step: null,
    job: null,
    personIds: frame.personIds,
    continues: false,
    caution: '',
    limit: null,
    waitUntil: null,
    mends: [],
    against: '',
  }
  const last = Math.max(...work.map((line) => line.to))
  const setUp = (place?.setUpMin ?? 0) * minuteMs
  const packUp = (place?.packUpMin ?? 0) * minuteMs
  return [
    ...(setUp > 0
      ? [{ ...base, kind: 'setUp' as const, from: first.from - setUp, to: first.from }]
      : []),
    ...(packUp > 0 ? [{ ...base, kind: 'packUp' as const, from: last, to: last + packUp }] : []),
  ]
}

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
