import { isLocated } from '../bags/bags'
import type { Job, Step } from '../model/entities'
import type { Mend, Placement, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId } from '../model/refit'
import type { PlaceNeed } from '../model/words'
import type { WeatherHour } from '../cure/dewPoint'
import { cautionOf, factsOf } from '../plan/facts'
import { arcsOf } from '../plan/network'
import { isOpen, plannedHours } from '../plan/planned'
import { dayNumber, minuteMs, hourMs } from '../time/civil'
import { clockTimeOf } from '../time/say'
import type { ZoneClock } from '../time/zone'
import { fitWindows, usualMinC } from './fitWindow'

/** A line of the day sheet. */
export interface DayLine {
  readonly kind: 'setUp' | 'work' | 'packUp'
  readonly from: number
  readonly to: number
  /** Null for set-up and pack-up. */
  readonly step: Step | null
  readonly job: Job | null
  readonly personIds: readonly string[]
  /** Goes on another day. */
  readonly continues: boolean
  readonly caution: string
  /** "done by 16:30: dew" or null: when it must be finished and why. */
  readonly limit: { readonly at: number; readonly why: string; readonly missed: boolean } | null
  /** End of the wait after it when that is after the work; null: none. */
  readonly waitUntil: number | null
  /** What is done besides because a bond window shuts. */
  readonly mends: readonly Mend[]
}

/** Something to take along that is not at the place. */
export interface TakeLine {
  readonly id: string
  readonly what: string
  readonly amount: string
  readonly kind: string
  readonly at: string
  readonly stepTitle: string
}

export interface DaySheet {
  readonly lines: readonly DayLine[]
  /** What is left to cure overnight. */
  readonly overnight: readonly DayLine[]
  /** Small open steps for the same place while it cures. */
  readonly whileItCures: readonly Step[]
  readonly take: readonly TakeLine[]
  /** Steps to keep for a day with more hands, and why. */
  readonly forHelpers: readonly { readonly step: Step; readonly why: string }[]
  readonly placeNeed: PlaceNeed
}

/** Whom and what the day has. */
export interface DayFrame {
  readonly on: string
  readonly placeNeed: PlaceNeed
  readonly personIds: readonly string[]
  readonly weather: readonly WeatherHour[]
}

/** Longest job worth offering while something cures, hours. */
const shortWorkHours = 2
const mostOffered = 2
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
  const work = plan.placements
    .flatMap((placement) => {
      const step = steps.get(placement.stepId)
      if (!step || step.placeNeed !== frame.placeNeed) return []
      return placement.segments
        .filter(([from, to]) => from >= start && from < end && to > from)
        .map((segment) =>
          lineOf(step, jobs.get(step.jobId) ?? null, placement, segment, frame, clock),
        )
    })
    .sort((a, b) => a.from - b.from || a.to - b.to)
  const lines = [...framed(rows, work, frame), ...work].sort((a, b) => a.from - b.from)
  const onSheet = new Set(work.map((line) => line.step?.id))
  return {
    lines,
    overnight: work.filter((line) => (line.waitUntil ?? 0) > end),
    whileItCures: offered(rows, plan, frame, work, onSheet),
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
  frame: DayFrame,
  clock: ZoneClock,
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
    caution: cautionOf(step),
    limit: limitOf(step, from, to, frame.weather, clock),
    waitUntil: last && placement.readyAt > to ? placement.readyAt : null,
    mends: placement.mends ?? [],
  }
}

/** When coating and laminating must be finished: the end of the hours that suit it. */
function limitOf(
  step: Step,
  from: number,
  to: number,
  weather: readonly WeatherHour[],
  clock: ZoneClock,
): DayLine['limit'] {
  const facts = factsOf(step.operation)
  const wet = facts.coats || step.operation === 'laminate' || step.operation === 'fill'
  if (!(wet || step.minTempC !== null || step.needsDry) || weather.length === 0) return null
  const minTempC = step.minTempC ?? (wet ? usualMinC : -50)
  const windows = fitWindows(weather, minTempC, step.needsDry)
  const window = windows.find(([a, b]) => a < to && b > from)
  if (!window) {
    const next = windows.find(([a]) => a > from)
    return {
      at: from,
      why: next
        ? `not before ${clockTimeOf(next[0], clock)}: too cold, too damp or wet until then`
        : 'not today: too cold, too damp or wet',
      missed: true,
    }
  }
  const why = reasonAt(weather, window[1], minTempC)
  if (window[0] > from)
    return {
      at: window[0],
      why: `not before ${clockTimeOf(window[0], clock)}: ${reasonAt(weather, window[0] - hourMs, minTempC)}`,
      missed: true,
    }
  return {
    at: window[1],
    why: `done by ${clockTimeOf(window[1], clock)}: ${why}`,
    missed: window[1] < to,
  }
}

function reasonAt(weather: readonly WeatherHour[], at: number, minTempC: number): string {
  const hour = weather.find((one) => one.at <= at && at < one.at + hourMs)
  if (!hour) return 'the forecast ends'
  if (hour.tempC < minTempC) return `under ${minTempC} °C`
  if (hour.rain) return 'rain'
  return 'dew'
}

/** Unpacking before the first and packing up after the last work. */
function framed(rows: RefitRows, work: readonly DayLine[], frame: DayFrame): DayLine[] {
  const [first] = work
  if (!first) return []
  const kind = frame.placeNeed === 'shed' ? 'shed' : 'yard'
  const place = rows.place.find((one) => one.kind === kind)
  const base = {
    step: null,
    job: null,
    personIds: frame.personIds,
    continues: false,
    caution: '',
    limit: null,
    waitUntil: null,
    mends: [],
  }
  const last = Math.max(...work.map((line) => line.to))
  const lines: DayLine[] = []
  if (place && place.setUpMin > 0)
    lines.push({
      ...base,
      kind: 'setUp',
      from: first.from - place.setUpMin * minuteMs,
      to: first.from,
    })
  if (place && place.packUpMin > 0)
    lines.push({ ...base, kind: 'packUp', from: last, to: last + place.packUpMin * minuteMs })
  return lines
}

/** Short open steps whose turn has come, at the place, for people who are there; no dust over wet work. */
function offered(
  rows: RefitRows,
  plan: StoredPlan,
  frame: DayFrame,
  work: readonly DayLine[],
  onSheet: ReadonlySet<string | undefined>,
): Step[] {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  const people = rows.person.filter((person) => frame.personIds.includes(person.id))
  const blocked = new Set(
    arcsOf(rows)
      .filter((arc) => steps.get(arc.from)?.state !== 'done')
      .map((arc) => arc.to),
  )
  const wetZones = new Set(
    work.filter((line) => line.waitUntil !== null).map((line) => line.job?.zoneId),
  )
  const unfit = isAshore(rows, frame.on) ? 'afloat' : 'ashore'
  const planned = new Set(plan.placements.map((one) => one.stepId))
  return rows.step
    .filter((step) => {
      const job = jobs.get(step.jobId)
      if (!job || job.decision !== 'plan' || !isOpen(step) || onSheet.has(step.id)) return false
      if (step.placeNeed !== frame.placeNeed || blocked.has(step.id)) return false
      if (step.hoursLikely <= 0 || plannedHours(step) > shortWorkHours) return false
      if (step.crewMin > people.length) return false
      if (step.skill !== 'general' && !people.some((one) => one.skills.includes(step.skill)))
        return false
      if (factsOf(step.operation).dusty && wetZones.has(job.zoneId)) return false
      return step.hullNeed !== unfit && planned.has(step.id)
    })
    .sort((a, b) => plannedHours(a) - plannedHours(b) || (a.id < b.id ? -1 : 1))
    .slice(0, mostOffered)
}

/** True when she is out of the water on a date, as far as what happened says. */
const isAshore = (rows: RefitRows, on: string): boolean =>
  rows.haulOut.some(
    (haul) =>
      haul.liftOutActual !== null && haul.liftOutActual <= on && (haul.launchActual ?? '9999') > on,
  )

const placeWord: Readonly<Record<string, string>> = {
  boat: 'at the boat',
  shed: 'in the shed',
  home: 'at home',
  toBuy: 'to buy',
}

/** Bring lines and strip-out bags of the day's steps that are not where the work is. */
function takeWith(rows: RefitRows, work: readonly DayLine[], frame: DayFrame): TakeLine[] {
  const steps = new Map(work.map((line) => [line.step?.id, line.step]))
  const lines = rows.bringLine
    .filter((line) => steps.has(line.stepId) && line.at !== frame.placeNeed)
    .map((line) => ({
      id: line.id,
      what: line.what,
      amount: line.amount,
      kind: line.kind,
      at: placeWord[line.at] ?? line.at,
      stepTitle: steps.get(line.stepId)?.title ?? '',
    }))
  const bags = rows.bag
    .filter((bag) => bag.state !== 'fitted' && steps.has(bag.wantedByStepId ?? ''))
    .map((bag) => ({
      id: bag.id,
      what: `Bag ${bag.code}, ${bag.what}`,
      amount: '',
      kind: 'bag',
      at: isLocated(bag) ? bag.storedAt : 'nobody knows where',
      stepTitle: steps.get(bag.wantedByStepId ?? '')?.title ?? '',
    }))
  const parts = rows.part
    .filter((part) => part.state !== 'returned' && part.state !== 'fitted')
    .filter((part) => steps.has(part.neededByStepId ?? ''))
    .map((part) => ({
      id: part.id,
      what: part.name,
      amount: [Number(part.quantity.toFixed(2)), part.unit === 'pieces' ? '' : part.unit]
        .join(' ')
        .trim(),
      kind: 'part',
      at: partWord[part.state] ?? part.state,
      stepTitle: steps.get(part.neededByStepId ?? '')?.title ?? '',
    }))
  return [...bags, ...lines, ...parts]
}

/** Where a part of a state is to be had from. */
const partWord: Readonly<Record<string, string>> = {
  wanted: 'to buy',
  specified: 'to buy',
  quoted: 'to buy',
  ordered: 'ordered, not here yet',
  arrived: 'bought',
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
      if (step.crewMin > frame.personIds.length)
        return [{ step, why: `needs ${step.crewMin} at once` }]
      return step.forHelpers && !helperHere ? [{ step, why: 'good for a helper' }] : []
    })
    .slice(0, mostKept)
}
