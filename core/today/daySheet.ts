import type { Job, Step } from '../model/entities'
import type { Placement, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import type { PlaceNeed } from '../model/words'
import { cautionsOf } from '../plan/facts'
import { arcsOf } from '../plan/network'
import { isOpen } from '../plan/planned'
import { readyAfterDone } from '../plan/waits'
import { liveHours } from '../plan/liveHours'
import { dayNumber, hourMs, minuteMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { curingDuring } from './curing'
import type { Curing } from './curing'
import type { DayFrame, DayLine } from './dayLine'
import { offeredWhile } from './offered'
import type { Offered } from './offered'
import { placeOn } from './placeOn'
import { retime } from './retime'
import type { NotToday } from './retime'
import { takeWith } from './takeWith'
import type { TakeLine } from './takeWith'

/** A step finished on the day, with what was logged on it. */
interface DoneLine {
  readonly step: Step
  readonly job: Job | null
  readonly at: number
  readonly hoursLogged: number
}

export interface DaySheet {
  readonly lines: readonly DayLine[]
  /** Planned for the day, and the day's weather leaves no room for it. */
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
  clock: ZoneClock,
): DaySheet {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const day = dayNumber(frame.on)
  const [start, end] = [clock.at(day, 0), clock.at(day + 1, 0)]
  const planned = plan.placements
    .flatMap((placement) => {
      const step = steps.get(placement.stepId)
      if (!step || !isOpen(step) || step.placeNeed !== frame.placeNeed) return []
      return placement.segments
        .filter(([from, to]) => from >= start && from < end && to > from)
        .map((segment) => lineOf(step, jobs.get(step.jobId) ?? null, placement, segment))
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
  const { lines: work, notToday } = retime(
    planned,
    frame.weather,
    frame.until,
    ...waitsOf(rows, plan, planned),
    clock,
    rows.refit[0]?.units ?? 'metric',
  )
  const cutShort = new Set(notToday.map((one) => one.line.step?.id))
  const asTimed = timedPlacements(plan.placements, planned, work, cutShort)
  const curing = curingDuring(rows, asTimed, start, end)
  const onSheet = new Set(planned.map((line) => line.step?.id))
  return {
    lines: [...framed(rows, plan, work, frame, clock), ...work].sort((a, b) => a.from - b.from),
    notToday,
    done: doneOn(rows, frame.placeNeed, start, end),
    overnight: curing.filter((one) => one.until > end),
    whileItCures: offeredWhile(rows, plan, frame, curing, onSheet, clock, start),
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
    limit: null,
    waitUntil: last && placement.readyAt > to ? placement.readyAt : null,
    mends: placement.mends ?? [],
    moved: false,
  }
}

/** When what a line waits for outside the sheet is over, and which steps of the sheet it follows. */
function waitsOf(
  rows: RefitRows,
  plan: StoredPlan,
  planned: readonly DayLine[],
): [(line: DayLine) => number, (line: DayLine) => string[]] {
  const arcs = groupBy(arcsOf(rows), (arc) => arc.to)
  const steps = byId(rows.step)
  const placed = new Map(plan.placements.map((one) => [one.stepId, one]))
  const here = new Set(planned.map((line) => line.step?.id))
  const readyFrom = (line: DayLine): number => {
    const binding = placed.get(line.step?.id ?? '')?.binding.kind
    // What a part, a date, a trade or the hull holds cannot come forward.
    const held = !['now', 'after', 'wait', 'people', 'weather', 'bondWindow'].includes(
      binding ?? '',
    )
    let at = held ? line.from : -Infinity
    for (const arc of arcs.get(line.step?.id ?? '') ?? []) {
      if (here.has(arc.from)) continue
      const from = steps.get(arc.from)
      const ready =
        placed.get(arc.from)?.readyAt ??
        (from?.state === 'done' ? readyAfterDone(from, rows, 0) : undefined)
      if (ready !== undefined) at = Math.max(at, ready + arc.minWaitHours * hourMs)
    }
    return at
  }
  const before = (line: DayLine) =>
    (arcs.get(line.step?.id ?? '') ?? []).map((arc) => arc.from).filter((id) => here.has(id))
  return [readyFrom, before]
}

/** Placements with the day's lines where the sheet puts them, so that cures run from there. */
function timedPlacements(
  placements: readonly Placement[],
  planned: readonly DayLine[],
  work: readonly DayLine[],
  lost: ReadonlySet<string | undefined>,
): Placement[] {
  const moved = new Map(work.filter((line) => line.moved).map((line) => [line.step?.id, line]))
  const was = new Map(planned.map((line) => [line.step?.id, line]))
  return placements.flatMap((one) => {
    if (lost.has(one.stepId)) return []
    const [line, old] = [moved.get(one.stepId), was.get(one.stepId)]
    if (!line || !old || line.continues) return [one]
    const by = line.to - old.to
    const segments = one.segments.map(([from, to]) =>
      to === old.to ? ([from + by, to + by] as const) : ([from, to] as const),
    )
    return [{ ...one, segments, readyAt: one.readyAt + by }]
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
    moved: false,
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
