import type { Finding, Job, Step } from '../model/entities'
import type { SnapshotFigures, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import { plannedHours } from '../plan/planned'
import type { Derived } from '../progress/derive'
import { liveHours } from '../plan/liveHours'
import { addDays, dayNumber, daysBetween, mondayOf } from '../time/civil'
import { sayDay } from '../time/say'
import { formatHours } from '../units/hours'

/** One gate that moved in a week, and why as far as the figures tell. */
interface Moved {
  readonly gateId: string
  readonly name: string
  /** Days later; negative when earlier. */
  readonly days: number
  readonly from: string
  readonly to: string
}

export interface WeekReview {
  readonly monday: string
  readonly closed: readonly { readonly step: Step; readonly job: Job | null }[]
  readonly earnedIn: number
  readonly hoursLogged: number
  /** Planned hours of the steps closed, to set against what was logged on them. */
  readonly hoursPlannedOfClosed: number
  readonly hoursLoggedOnClosed: number
  readonly found: readonly Finding[]
  readonly moved: readonly Moved[]
  /** False: no figures were kept to compare the week with. */
  readonly compared: boolean
  /** What lies behind the moves, in sentences. */
  readonly why: readonly string[]
  readonly next: readonly { readonly step: Step; readonly job: Job | null; readonly at: number }[]
}

const mostNext = 8

/** What a week from a Monday brought, and what the next one holds. */
export function weekReview(
  rows: RefitRows,
  plan: StoredPlan | null,
  derived: Derived,
  monday: string,
): WeekReview {
  const { clock } = derived
  const [start, end] = [clock.at(dayNumber(monday), 0), clock.at(dayNumber(monday) + 7, 0)]
  const jobs = byId(rows.job)
  const within = (at: number | null) => at !== null && at >= start && at < end
  const closed = rows.step
    .filter((step) => step.state === 'done' && within(step.doneAt))
    .sort((a, b) => (a.doneAt ?? 0) - (b.doneAt ?? 0))
  const closedIds = new Set(closed.map((step) => step.id))
  const hours = liveHours(rows)
  const ofWeek = hours.filter((entry) => entry.on >= monday && entry.on < addDays(monday, 7))
  const sum = (list: readonly { readonly hours: number }[]) =>
    list.reduce((all, entry) => all + entry.hours, 0)
  const before = snapshotBefore(rows, monday)
  const after =
    monday >= mondayOf(derived.today) ? standingNow(rows, derived) : snapshotOf(rows, monday)
  return {
    monday,
    closed: closed.map((step) => ({ step, job: jobs.get(step.jobId) ?? null })),
    earnedIn: closed.reduce((all, step) => all + (step.earnedIn ?? 0), 0),
    hoursLogged: sum(ofWeek),
    hoursPlannedOfClosed: closed.reduce((all, step) => all + plannedHours(step), 0),
    hoursLoggedOnClosed: sum(hours.filter((entry) => closedIds.has(entry.stepId ?? ''))),
    found: rows.finding.filter((finding) => within(finding.foundAt)),
    compared: before !== null && after !== null,
    moved: before && after ? movedGates(before, after, rows, derived) : [],
    why: before && after ? reasons(before, after, rows, monday, derived.today) : [],
    // What came after a week gone by is no plan any more.
    next: end > clock.at(dayNumber(derived.today), 0) ? comingSteps(rows, plan, end) : [],
  }
}

/** What two ends of a week are compared by. */
type Standing = Pick<SnapshotFigures, 'gateAt' | 'jobHoursOpen'>

/** Figures as they stand now, for the week that runs. */
const standingNow = (rows: RefitRows, derived: Derived): Standing => ({
  gateAt: Object.fromEntries(
    derived.gates.flatMap(({ gate, plannedOn }) =>
      plannedOn === null ? [] : [[gate.id, derived.clock.at(dayNumber(plannedOn), 720)]],
    ),
  ),
  jobHoursOpen: Object.fromEntries(
    rows.job.map((job) => [job.id, derived.jobs.get(job.id)?.hoursOpen ?? 0]),
  ),
})

/** The figures a week ended with; null: none were kept. */
const snapshotOf = (rows: RefitRows, monday: string): SnapshotFigures | null =>
  rows.weekSnapshot.find((one) => one.week === monday)?.figures ?? null

/** The figures the last week before this one ended with. */
const snapshotBefore = (rows: RefitRows, monday: string): SnapshotFigures | null =>
  [...rows.weekSnapshot]
    .filter((one) => one.week < monday)
    .sort((a, b) => (a.week < b.week ? -1 : 1))
    .at(-1)?.figures ?? null

function movedGates(
  before: Standing,
  after: Standing,
  rows: RefitRows,
  { clock }: Derived,
): Moved[] {
  return rows.gate.flatMap((gate): Moved[] => {
    const [was, is] = [before.gateAt[gate.id], after.gateAt[gate.id]]
    if (was === undefined || is === undefined) return []
    const [from, to] = [clock.dateOf(was), clock.dateOf(is)]
    const days = daysBetween(from, to)
    return days === 0 ? [] : [{ gateId: gate.id, name: gate.name, days, from, to }]
  })
}

function reasons(
  before: Standing,
  after: Standing,
  rows: RefitRows,
  monday: string,
  today: string,
): string[] {
  const said: string[] = []
  for (const job of rows.job) {
    const was = before.jobHoursOpen[job.id]
    const now = after.jobHoursOpen[job.id] ?? 0
    if (was === undefined && now > 0)
      said.push(
        job.parentJobId === null
          ? `${job.title} is new: ${formatHours(now)}.`
          : `${job.title} was found on the way: ${formatHours(now)}.`,
      )
    else if (was !== undefined && now > was + 0.01)
      said.push(`${job.title} grew by ${formatHours(now - was)}.`)
  }
  const people = byId(rows.person)
  const away = rows.personDay
    .filter((day) => day.kind === 'cannotCome' && day.on >= monday && day.on < addDays(monday, 7))
    .sort((a, b) => (a.on < b.on ? -1 : 1))
  for (const [personId, days] of groupBy(away, (day) => day.personId))
    said.push(
      `${people.get(personId)?.name ?? 'Somebody'} ${days.some((day) => day.on >= today) ? 'cannot' : 'could not'} come on ${days.map((day) => `${sayDay(day.on)}${day.wholeDay ? '' : ` ${day.from}–${day.to}`}`).join(', ')}.`,
    )
  return said
}

function comingSteps(rows: RefitRows, plan: StoredPlan | null, from: number): WeekReview['next'] {
  const steps = byId(rows.step)
  const jobs = byId(rows.job)
  return (plan?.placements ?? [])
    .flatMap((one) => {
      const step = steps.get(one.stepId)
      const at = one.segments[0]?.[0] ?? 0
      return step && at >= from ? [{ step, job: jobs.get(step.jobId) ?? null, at }] : []
    })
    .sort((a, b) => a.at - b.at)
    .slice(0, mostNext)
}

/** The figures kept at a week's end. */
export function snapshotFigures(
  rows: RefitRows,
  plan: StoredPlan,
  derived: Derived,
): SnapshotFigures {
  return {
    earnedIn: derived.earnedIn,
    hoursOpen: derived.hoursOpen,
    hoursDonePlanned: derived.hoursDone,
    hoursLogged: derived.hoursLogged,
    gateAt: Object.fromEntries(plan.gates.map((gate) => [gate.gateId, gate.at])),
    jobHoursOpen: Object.fromEntries(
      rows.job.map((job) => [job.id, derived.jobs.get(job.id)?.hoursOpen ?? 0]),
    ),
    jobTitles: Object.fromEntries(rows.job.map((job) => [job.id, job.title])),
  }
}
