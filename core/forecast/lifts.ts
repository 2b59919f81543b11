/** Which lift to book: the days on which she can be lifted in, the chance that all is ready, and what booking each comes to. */
import type { LiftCost, LiftDate, LiftOdds } from '../model/odds'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { berthsOf } from '../money/berth'
import type { Berths } from '../money/berth'
import { daysMinor, noticeDaysOf, tariffOf } from '../money/yard'
import type { Tariff } from '../money/yard'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { Ashore } from '../plan/schedule/haulOuts'
import { makeSites } from '../plan/schedule/sites'
import { dateOf, dayMs, dayNumber } from '../time/civil'
import { dayMemo } from '../time/dayMemo'
import type { ZoneClock } from '../time/zone'
import { percentile } from './normal'

/** Days that are weighed, at the most; and the chances of which the first day that has them is shown. */
const mostDates = 400
const shownShares = [0.05, 0.2, 0.35, 0.5, 0.65, 0.8, 0.9, 0.95]
/** Lifts that come too soon are told of from so long before those that may do. */
const earlyMs = 120 * dayMs
/** With no lift for longer than this the day before it is the last for a while. */
const longGapDays = 15

/** The days on which she can be lifted in, from when she may go until she almost surely can. */
function liftDays(lifts: Ashore['lifts'], from: number, until: number, clock: ZoneClock): number[] {
  const days: number[] = []
  for (let at = lifts.next(from); days.length < mostDates;) {
    const day = clock.dayOf(at)
    days.push(day)
    if (at >= until) break
    at = lifts.next(clock.at(day + 1, 0))
  }
  return days
}

/** When a launch was in each run, and when all for it was ready, UTC ms. */
interface LaunchRuns {
  readonly at: readonly number[]
  readonly readyAt: readonly number[]
}

/** What a launch on a local day comes to, minor units: days ashore until then, and the berth she does not need meanwhile. */
function costOn(
  tariff: Tariff,
  berths: Berths,
  one: Ashore,
  { clock, loaM, now }: { readonly clock: ZoneClock; readonly loaM: number; readonly now: number },
) {
  const lifted = dayNumber(one.haulOut.liftOutActual ?? clock.dateOf(one.from - slingMs))
  const today = clock.dayOf(now)
  // Asked for each lift in each run: of few days, many times.
  return dayMemo((day) => ({
    yard: daysMinor(tariff, 1, Math.max(0, day - lifted), loaM),
    berth: berths.minor(today + 1, day),
  }))
}

/**
 * A day that is missed costs the change fee, and she goes in on the first lift after she is ready that can be had with
 * the yard's notice. Lifts for which too few of the boat are there are left out, unless the yard launches her alone. Source: handbook-2 H2.
 */
function liftOdds(
  rows: RefitRows,
  one: Ashore,
  { at: launched, readyAt: ready }: LaunchRuns,
  now: number,
  clock: ZoneClock,
  isManned: (day: number, at: number) => boolean,
): LiftOdds {
  const { yard, lifts, haulOut } = one
  const loaM = rows.refit[0]?.loaM ?? 0
  const tariff = tariffOf(rows, haulOut)
  const noticeDays = noticeDaysOf(rows, haulOut)
  const sorted = [...launched].sort((a, b) => (a === b ? 0 : a - b))
  const [soon, late] = [percentile(sorted, 0.01), percentile(sorted, 0.97)]
  if (!Number.isFinite(soon)) return { haulOutId: haulOut.id, dates: [], bestDay: null }
  const cost = tariff && costOn(tariff, berthsOf(rows), one, { clock, loaM, now })
  const next = new Map<number, number>()
  /** The first lift after an instant that can be had when the booked day is missed. */
  const insteadOf = (missed: number, at: number): number => {
    const from = Math.max(at, clock.at(missed + noticeDays, 0))
    const key = clock.dayOf(from)
    const found = next.get(key) ?? clock.dayOf(lifts.next(clock.at(key, 0)))
    next.set(key, found)
    return lifts.at(found) >= from ? found : clock.dayOf(lifts.next(from))
  }
  const every = liftDays(lifts, Math.max(now, soon), late, clock)
  const manned = every.filter((day) => isManned(day, lifts.at(day)))
  // With nobody's hours written down every lift counts.
  const days = manned.length > 0 ? manned : every
  const weighed = days.map((day) => {
    const liftAt = lifts.at(day)
    /** The day she goes in, a run each. */
    const goes = ready.map((at) => {
      if (at <= liftAt) return day
      // What never was ready in a run is reckoned with the last of those that were.
      return insteadOf(day, Number.isFinite(at) ? at : Math.max(liftAt, lastFinite(sorted)))
    })
    const inTime = ready.filter((at) => at <= liftAt).length
    const mean = (of: (day: number) => number) => Math.round(meanOf(goes.map(of)))
    const parts: LiftCost = [
      mean((each) => cost?.(each).yard ?? 0),
      mean((each) => cost?.(each).berth ?? 0),
      Math.round(((tariff?.changeMinor ?? 0) * (ready.length - inTime)) / ready.length),
      mean((each) => each),
    ]
    return {
      day,
      share: inTime / ready.length,
      parts,
      // Of the rounded parts, so that a person who adds them up comes to the same.
      meanMinor: parts[0] - parts[1] + parts[2],
    }
  })
  const least = Math.min(...weighed.map((each) => each.meanMinor))
  const best = tariff ? weighed.find((each) => each.meanMinor === least) : undefined
  const booked = haulOut.launchBooked === null ? null : dayNumber(haulOut.launchBooked)
  const firstOf = (share: number) => weighed.find((each) => each.share >= share)?.day
  const shown = new Set([...shownShares.map(firstOf), best?.day, booked])
  const dates = weighed
    .filter((each) => shown.has(each.day))
    .map(({ day, share, meanMinor }): LiftDate => {
      const following = clock.dayOf(lifts.next(clock.at(day + 1, 0)))
      return {
        day,
        ready: Math.floor(share * 100),
        extraMinor: tariff ? meanMinor - least : null,
        freeUntil: day - noticeDays,
        lastBefore: following - day > longGapDays ? closedAfter(yard, day) : '',
      }
    })
  // Lifts before those are hardly ever reached: their chance is said, and nobody would book one for what it costs.
  const readyOn = (day: number) => ready.filter((at) => at <= lifts.at(day)).length / ready.length
  const early = liftDays(lifts, Math.max(now, soon - earlyMs), soon, clock)
    .filter(
      (day) => day < (days[0] ?? day) && (manned.length === 0 || isManned(day, lifts.at(day))),
    )
    .map((day) => [day, Math.floor(readyOn(day) * 100), null] as const)
  const all: LiftOdds['all'] = [
    ...early,
    ...weighed.map(({ day, share, meanMinor, parts }) => {
      const said = Math.floor(share * 100)
      return tariff
        ? ([day, said, meanMinor - least, parts] as const)
        : ([day, said, null] as const)
    }),
  ]
  return { haulOutId: haulOut.id, dates, bestDay: best?.day ?? null, all }
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length

const lastFinite = (sorted: readonly number[]): number =>
  sorted.findLast((one) => Number.isFinite(one)) ?? 0

/** Why a yard lifts nothing after a day; what it wrote, else that it does not. */
function closedAfter(yard: Ashore['yard'], day: number): string {
  const after = (yard?.noLifts ?? [])
    .filter((one) => one.to > dateOf(day))
    .sort((a, b) => (a.from < b.from ? -1 : 1))[0]
  return after?.why || 'no lifts after it for a while'
}

/** For each launch still to come; `runsOf` gives its runs by the id of its gate, null: it was not run. */
export function liftsAhead(
  rows: RefitRows,
  plan: StoredPlan,
  runsOf: (gateId: string) => LaunchRuns | null,
  clock: ZoneClock,
): LiftOdds[] {
  const ashore = haulOutsAsPlanned(rows, plan, clock)
  const sites = makeSites(rows, clock, ashore)
  /** So many of the boat are wanted while she hangs: by the work in the slings, and one to look in any case. */
  const handsAt = (gateId: string): number => {
    const jobs = new Set(rows.job.flatMap((job) => (job.gateId === gateId ? [job.id] : [])))
    const crews = rows.step.flatMap((step) =>
      step.state === 'open' && step.hullNeed === 'slings' && jobs.has(step.jobId)
        ? [step.crewMin]
        : [],
    )
    return Math.max(1, ...crews)
  }
  /** Whether enough of the boat are there for a lift, or the yard does without. */
  const isMannedAt = (one: Ashore, hands: number) => (day: number, at: number) =>
    one.yard?.launchesWithoutYou === true ||
    sites.people.filter((_, person) =>
      sites.presence(person, 'boat', day).some(([from, to]) => from < at + slingMs && to > at),
    ).length >= hands
  return ashore.flatMap((one) => {
    const gate = rows.gate.find(
      (each) => each.kind === 'launch' && each.haulOutId === one.haulOut.id,
    )
    const runs = gate ? runsOf(gate.id) : null
    if (one.haulOut.launchActual !== null || !runs || runs.at.length === 0) return []
    return [liftOdds(rows, one, runs, plan.now, clock, isMannedAt(one, handsAt(gate?.id ?? '')))]
  })
}
