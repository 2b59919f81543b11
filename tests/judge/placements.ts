/** One placed step by itself: its length, its crew, the hours they come, what it waits for from outside. */
import type { Step } from '../../core/model/entities'
import type { Placement, StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import type { Days } from './stays'
import { cureAir } from './weather'
import { hour, instantOf, minute, tick, wallClock } from './wallClock'
import type { Wall } from './wallClock'

export const reach = { open: 1, awkward: 1.3, cramped: 1.7, blind: 2.2 } as const

const goneBy = ['buy', 'contract', 'launch', 'lift', 'move']

const inOneGo = [
  'fill',
  'laminate',
  'prime',
  'barrier',
  'antifoul',
  'paint',
  'varnish',
  'bed',
  'launch',
  'lift',
  'move',
]

const canBeLeft = (step: Step): boolean => step.splittable ?? !inOneGo.includes(step.operation)

export function shape(step: Step, one: Placement, plan: StoredPlan, rows: RefitRows): string[] {
  const faults: string[] = []
  let last = plan.now
  for (const [from, to] of one.segments) {
    if (from < last) faults.push('starts before now or before its own earlier stretch')
    if (to < from) faults.push('ends before it starts')
    if (from % tick !== 0) faults.push('does not lie on the five-minute grid')
    last = to
  }
  if (!booked(step, rows) && isTrades(step, rows)) {
    const given = one.segments.reduce((sum, [from, to]) => sum + to - from, 0) / hour
    const logged = liveWork(step, rows)
    const want = wanted(step, logged)
    if (one.personIds.length > 0) faults.push('is given to our own people')
    if (given < want / step.crewMin - 0.01) faults.push('gives its trade too little time')
    return faults
  }
  if (booked(step, rows) || goneBy.includes(step.operation) || step.hoursLikely === 0) return faults
  const crew = one.personIds.length
  if (crew < step.crewMin || crew > Math.max(step.crewMin, step.crewMax))
    faults.push(`has a crew of ${crew}`)
  if (new Set(one.personIds).size !== crew) faults.push('names a person twice')
  for (const id of one.personIds) {
    const person = rows.person.find((row) => row.id === id)
    if (!person || person.gone) faults.push('is given to somebody who is gone')
  }
  const lacking = rows.person.filter(
    (row) =>
      one.personIds.includes(row.id) &&
      step.skill !== 'general' &&
      !row.skills.includes(step.skill),
  )
  // One who has the skill leads; who lacks it only makes up the fewest that are wanted.
  const hasLead = lacking.length < crew
  if (lacking.length > 0 && (!hasLead || crew > step.crewMin))
    for (const person of lacking) faults.push(`is given to ${person.name}, who lacks ${step.skill}`)
  const logged = liveWork(step, rows)
  const mending = (one.mends ?? []).reduce((sum, mend) => sum + mend.hours, 0)
  const want = wanted(step, logged) + mending
  const given = one.segments.reduce((sum, [from, to]) => sum + to - from, 0) / hour
  if (given * crew < want - 0.01) faults.push(`gets ${given * crew} of ${want} person-hours`)
  if (given > want / crew + 5.1 / 60) faults.push('is given more time than it takes')
  const oneGo = !canBeLeft(step)
  if (oneGo && one.segments.length > 1) faults.push('is broken up and must be done in one go')
  const wait = waitHours(step, one.segments.at(-1)?.[1] ?? 0, rows)
  if (one.readyAt < (one.segments.at(-1)?.[1] ?? 0) + wait * hour - 1)
    faults.push('has its wait cut short')
  return faults
}

/** Person-hours a step still asks for: rounds to come, units to come at the pace of those done, or what is not logged yet. */
function wanted(step: Step, logged: number): number {
  const round = step.hoursLikely * reach[step.access]
  const rounds = Math.max(1, step.roundsLikely - step.round + 1)
  if (step.unitCount !== null && step.unitsDone > 0) {
    const isPaced = step.unitsDone >= 3 && logged > 0
    const each = isPaced ? logged / step.unitsDone : (round * step.roundsLikely) / step.unitCount
    return Math.max(each / 4, each * Math.max(0, step.unitCount - step.unitsDone))
  }
  if (step.state !== 'doing' || step.round > 1) return round * rounds
  return Math.max(round / 4, round * rounds - logged)
}

/** Hours of work logged on a step, those put right left out. */
const liveWork = (step: Step, rows: RefitRows): number =>
  rows.hoursEntry
    .filter(
      (entry) =>
        entry.stepId === step.id &&
        entry.kind === 'work' &&
        !rows.hoursEntry.some((other) => other.correctsId === entry.id),
    )
    .reduce((sum, entry) => sum + entry.hours, 0)

/** A trade does it: by contract, because the job is theirs, because they came before, or by the law of the place. */
function isTrades(step: Step, rows: RefitRows): boolean {
  const job = rows.job.find((one) => one.id === step.jobId)
  const licensed =
    step.licensedKind !== null &&
    job?.doBy !== 'own' &&
    rows.refit[0]?.licensedHere.includes(step.licensedKind as never) === true
  const came = rows.tradeBooking.some((one) => one.stepId === step.id && one.state === 'came')
  return step.operation === 'contract' || job?.doBy === 'trade' || licensed || came
}

const booked = (step: Step, rows: RefitRows) =>
  rows.tradeBooking.find((row) => row.stepId === step.id && row.state === 'booked')

/** Hours of the sheet until a bed is so far; where it says none, the whole wait. Moisture goes in with the root of the days. */
function sheetHours(step: Step, rows: RefitRows, once: Step['beginsOnce']): number {
  const whole = step.waitKind === 'none' ? 0 : step.waitHours
  const sheet = rows.product.find((one) => one.id === step.productId)
  if (!sheet) return whole
  const deep =
    sheet.firstDayMm !== null && step.bedDepthMm !== null
      ? 24 * Math.pow(step.bedDepthMm / sheet.firstDayMm, 2)
      : null
  if (once === 'cured') return Math.max(whole, deep ?? 0)
  const said = { skin: sheet.skinH, light: sheet.lightH, load: sheet.loadH, water: sheet.waterH }
  return said[once] ?? (once === 'load' ? deep : null) ?? whole
}

/** Hours from a finish until a wait is over: a cure counted minute by minute at the mean of its month. */
export function waitHours(
  step: Step,
  finish: number,
  rows: RefitRows,
  once: Step['beginsOnce'] = 'cured',
): number {
  const again = step.state === 'done' ? 1 : Math.max(1, step.roundsLikely - step.round + 1)
  const whole = sheetHours(step, rows, 'cured')
  const hours = whole * (again - 1) + sheetHours(step, rows, once)
  if (step.waitKind !== 'chem') return hours
  const { waitRefC, waitMinC } = step
  const shed = rows.place.find((one) => one.kind === 'shed')
  const means =
    (step.placeNeed === 'shed' ? shed?.monthMeanC : null) ?? rows.refit[0]?.monthMeanC ?? []
  const wall = wallClock(rows.refit[0]?.zone ?? 'UTC')
  const air = perTick((at) =>
    cureAir(step, at, (month) => means[month] ?? waitRefC, waitMinC, rows, wall),
  )
  return (cureMinutes(finish, hours, waitRefC, air) ?? 0) / 60
}

/** The same for all minutes of a tick: whatever changes in the air changes at the start of one. */
function perTick(airAt: (at: number) => number | null): (at: number) => number | null {
  let [known, air]: [number, number | null] = [-1, null]
  return (at) => {
    const tick = Math.floor(at / (5 * minute))
    if (tick !== known) [known, air] = [tick, airAt(tick * 5 * minute)]
    return air
  }
}

/** Minutes until a cure is over, counted one by one; null: not in 400 days. */
function cureMinutes(
  from: number,
  hours: number,
  refC: number,
  airAt: (at: number) => number | null,
): number | null {
  let left = hours * 60
  const most = 400 * 24 * 60
  for (let passed = 0; passed < most; passed++) {
    if (left <= 1e-6) return passed - 1
    const air = airAt(from + passed * minute)
    if (air !== null) left -= Math.pow(2, (air - refC) / 10)
  }
  return null
}

/**
 * When readings of a drying step say that it is dry: the reading that passes, else the day on which the line through the
 * logs meets the limit, by the normal equations. Null: they say nothing.
 */
function dryAt(step: Step, rows: RefitRows): number | null {
  const { readHigh, readDry } = step
  if (step.waitKind !== 'dry' || readHigh === null) return null
  const wall = wallClock(rows.refit[0]?.zone ?? 'UTC')
  const own = rows.reading.filter((one) => one.stepId === step.id).sort((a, b) => a.at - b.at)
  const last = own.at(-1)
  if (!last) return null
  // Still wet, and no line through it: half of the guessed wait again, a day at least, and never before the guess.
  const guess = Math.max(
    last.at + Math.max(24, step.waitHours / 2) * hour,
    (step.doneAt ?? 0) + step.waitHours * hour,
  )
  const passes = last.value <= readHigh && (step.readLow === null || last.value >= step.readLow)
  if (passes) return last.at
  if (readDry === null || readDry >= readHigh) return guess
  const day = (date: string) => Date.parse(`${date}T00:00Z`) / 86_400_000
  const points = own
    .filter((one) => one.value > readDry)
    .map((one) => [day(wall(one.at).date), Math.log(one.value - readDry)] as const)
  if (points.length < 3) return guess
  const sum = (of: (x: number, y: number) => number) =>
    points.reduce((total, [x, y]) => total + of(x, y), 0)
  const n = points.length
  const [x, y, xx, xy] = [sum((a) => a), sum((_, b) => b), sum((a) => a * a), sum((a, b) => a * b)]
  const slope = (n * xy - x * y) / (n * xx - x * x)
  if (!(slope < 0) || !Number.isFinite(slope)) return guess
  const meets = (Math.log(readHigh - readDry) - (y - slope * x) / n) / slope
  const first = points[0]?.[0] ?? 0
  if (meets - first > 3650) return guess
  const date = new Date(Math.round(meets) * 86_400_000).toISOString().slice(0, 10)
  return Math.max(last.at, instantOf(date, 0, rows.refit[0]?.zone ?? 'UTC'))
}

/** When a finished step lets the next begin: by its running clock, else by its wait. */
export function readyAfter(
  step: Step,
  rows: RefitRows,
  once: Step['beginsOnce'] = 'cured',
): number {
  const clock = rows.clock.find(
    (one) => one.stepId === step.id && one.endedAt === null && one.kind !== 'pot',
  )
  const doneAt = step.doneAt ?? 0
  const dried = dryAt(step, rows)
  if (dried !== null) return Math.max(doneAt, dried)
  if (once !== 'cured') {
    const since = clock?.startedAt ?? doneAt
    return since + waitHours(step, since, rows, once) * hour
  }
  if (!clock || clock.opensH === null) return doneAt + waitHours(step, doneAt, rows) * hour
  const from = clock.startedAt
  const wall = wallClock(rows.refit[0]?.zone ?? 'UTC')
  const { minC, maxC, assumedC } = clock
  const air = (at: number) => {
    const felt = cureAir(step, at, () => assumedC, null, rows, wall, false, true)
    const capped = felt === null ? null : Math.min(felt, maxC ?? Infinity)
    return capped !== null && minC !== null && capped < minC ? null : capped
  }
  const passed = cureMinutes(from, clock.opensH, clock.refC, air)
  return passed === null ? from + waitHours(step, from, rows) * hour : from + passed * minute
}

export function attendance(
  step: Step,
  one: Placement,
  rows: RefitRows,
  days: Days,
  wall: (at: number) => Wall,
): string[] {
  const faults: string[] = []
  for (const id of one.personIds)
    for (const [from, to] of one.segments) {
      const start = wall(from)
      const end = start.minutes + (to - from) / minute
      if (step.hullNeed === 'slings') {
        const away = rows.personDay.some(
          (row) =>
            row.personId === id &&
            row.on === start.date &&
            row.kind === 'cannotCome' &&
            row.wholeDay,
        )
        if (away) faults.push(`is placed on ${start.date} when ${id} cannot come`)
        continue
      }
      if (canBeLeft(step) && days.pauses(id, from, to))
        faults.push(`goes on on ${start.date} while ${id} pauses`)
      const nights =
        step.placeNeed === 'boat' ? days.nights(id, start.date) : { before: false, after: false }
      const hours = days.hours(id, step.placeNeed, start.date, nights)
      if (!hours.some(([a, b]) => a <= start.minutes && end <= b))
        faults.push(`is placed on ${start.date} when ${id} is not there`)
    }
  return faults
}

export function releases(
  step: Step,
  one: Placement,
  rows: RefitRows,
  wall: (at: number) => Wall,
): string[] {
  const start = one.segments[0]?.[0] ?? 0
  const faults: string[] = []
  if (step.notBefore !== null && wall(start).date < step.notBefore)
    faults.push('starts before its own date')
  if (step.pinnedOn !== null && wall(start).date < step.pinnedOn)
    faults.push('starts before the day it is pinned to')
  for (const part of rows.part)
    if (part.neededByStepId === step.id && part.state === 'ordered' && part.arrivesOn !== null)
      if (wall(start).date <= part.arrivesOn) faults.push(`starts before ${part.name} arrives`)
  const month = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
  for (const [from, to] of one.segments) {
    const in12 = month[Number(wall(from).date.slice(5, 7)) - 1] as never
    if (step.months.length > 0 && !step.months.includes(in12))
      faults.push('is done out of its months')
    if (step.notAfter !== null && wall(Math.max(from, to - 1)).date > step.notAfter)
      faults.push('is done after its last day')
  }
  const trade = booked(step, rows)
  if (trade && wall(start).date < trade.from) faults.push('starts before its trade comes')
  return faults
}
