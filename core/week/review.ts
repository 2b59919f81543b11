import type { Finding, Job, Step } from '../model/entities'
import type { SnapshotFigures, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { byId, groupBy } from '../model/refit'
import { plannedHours } from '../plan/planned'
import type { Derived } from '../progress/derive'
import { liveHours } from '../progress/derive'
import { addDays, dayNumber, daysBetween } from '../time/civil'
import { sayDay } from '../time/say'
import { formatHours } from '../units/hours'

/** One gate that moved in a week, and why as far as the figures tell. */
export interface Moved {
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
  return {
    monday,
    closed: closed.map((step) => ({ step, job: jobs.get(step.jobId) ?? null })),
    earnedIn: closed.reduce((all, step) => all + (step.earnedIn ?? 0), 0),
    hoursLogged: sum(ofWeek),
    hoursPlannedOfClosed: closed.reduce((all, step) => all + plannedHours(step), 0),
    hoursLoggedOnClosed: sum(hours.filter((entry) => closedIds.has(entry.stepId ?? ''))),
    found: rows.finding.filter((finding) => within(finding.foundAt)),
    moved: before ? movedGates(before, derived) : [],
    why: before ? reasons(before, rows, derived, monday) : [],
    next: comingSteps(rows, plan, end),
  }
}

/** The last snapshot taken in an earlier week. */
const snapshotBefore = (rows: RefitRows, monday: string): SnapshotFigures | null =>
  [...rows.weekSnapshot]
    .filter((one) => one.week < monday)
    .sort((a, b) => (a.week < b.week ? -1 : 1))
    .at(-1)?.figures ?? null

function movedGates(before: SnapshotFigures, derived: Derived): Moved[] {
  return derived.gates.flatMap(({ gate, plannedOn }): Moved[] => {
    const was = before.gateAt[gate.id]
    if (was === undefined || plannedOn === null) return []
    const from = derived.clock.dateOf(was)
    const days = daysBetween(from, plannedOn)
    return days === 0 ? [] : [{ gateId: gate.id, name: gate.name, days, from, to: plannedOn }]
  })
}

function reasons(
  before: SnapshotFigures,
  rows: RefitRows,
  derived: Derived,
  monday: string,
): string[] {
  const said: string[] = []
  for (const job of rows.job) {
    const was = before.jobHoursOpen[job.id]
    const now = derived.jobs.get(job.id)?.hoursOpen ?? 0
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
    .filter((day) => day.kind === 'cannotCome' && day.on >= monday)
    .sort((a, b) => (a.on < b.on ? -1 : 1))
  for (const [personId, days] of groupBy(away, (day) => day.personId))
    said.push(
      `${people.get(personId)?.name ?? 'Somebody'} cannot come on ${days.map((day) => sayDay(day.on)).join(', ')}.`,
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
