import type { Gate } from '../../model/entities'
import { placeNeeds } from '../../model/words'
import type { PlaceNeed } from '../../model/words'
import { dayNumber, hourMs } from '../../time/civil'
import { gateDeadline } from '../haulOutOf'
import { weatherAllowance } from '../weatherAllowance'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import { hullWindows } from './hullWindows'
import type { Activity, Arc, Deadline, Problem, Resource } from './kernel/problem'
import type { Phase } from './phases'
import type { Pass } from './pass'
import { makeSites, stays } from './sites'
import { slingMs } from './haulOuts'
import { tickMs as tick } from './tick'
import type { Ashore } from './haulOuts'
import type { Interval } from '../../time/intervals'

/** Crews of a step offered to the kernel. */
const mostCrews = 4
/** Days past the end of the pass that the kernel may use. */
const spareDays = 21

const placesOn = (days: Map<string, Set<PlaceNeed>>, key: string): Set<PlaceNeed> => {
  const known = days.get(key) ?? new Set()
  days.set(key, known)
  return known
}

/**
 * A refit as a kernel problem, round a pass that is known: a resource for every person at every kind
 * of place, open on the days on which the pass has them there (days on which it has them nowhere are
 * days at the boat); a mode for every crew; launches as milestones on lift days; waits as lags. What
 * it cannot say (weather, one place a day beyond what the pass chose) the pass that reads the order
 * back says again.
 */
export function onKernel(
  compiled: OpenWork,
  phases: readonly Phase[],
  pass: Pass,
): { problem: Problem; stepIds: readonly string[] } {
  const { clock, rows } = compiled
  const base = Math.floor(compiled.now / tick) * tick
  const last = Math.max(base, ...[...pass.placements.values()].map((one) => one.readyAt))
  const firstDay = clock.dayOf(base)
  const lastDay = clock.dayOf(last) + spareDays
  const toTick = (at: number) => Math.max(0, Math.ceil((at - base) / tick))
  const horizon = toTick(clock.at(lastDay, 0))
  const sites = makeSites(rows, clock, pass.ashore, compiled.hours)
  const whereOn = placesByDay()

  const activities: Activity[] = []
  const arcs: Arc[] = []
  const deadlines: Deadline[] = []
  const placed = [...compiled.activities.values()].filter((one) => pass.placements.has(one.step.id))
  for (const activity of placed) addActivity(activity)
  for (const activity of placed) addArcs(activity)
  for (const gate of rows.gate) addGate(gate)
  for (const phase of phases) if (phase.launch) addLaunch(phase, phase.launch)
  return {
    problem: { horizon: null, resources: people(), activities, arcs, deadlines },
    stepIds: placed.map((one) => one.step.id),
  }

  /** Where the pass has each person on each day: "person day" → place. */
  function placesByDay(): Map<string, ReadonlySet<PlaceNeed>> {
    const found = new Map<string, Set<PlaceNeed>>()
    const index = new Map(sites.people.map((person, at) => [person.id, at]))
    for (const one of pass.placements.values()) {
      const place = compiled.activities.get(one.stepId)?.placeNeed ?? 'boat'
      for (const id of one.personIds)
        for (const [from] of one.segments)
          placesOn(found, `${index.get(id) ?? -1} ${clock.dayOf(from)}`).add(place)
    }
    return found
  }

  /** Ends of a day at the boat that go on into the night, as the pass has the days beside it. */
  function endsOf(person: number, day: number): number {
    const isAtHer = (on: number) => whereOn.get(`${person} ${on}`)?.has('boat') ?? true
    return (
      sites.ends(person, day) &
      ((isAtHer(day - 1) ? stays.sinceYesterday : 0) | (isAtHer(day + 1) ? stays.untilTomorrow : 0))
    )
  }

  function people(): Resource[] {
    return sites.people.flatMap((_, person) =>
      placeNeeds.map((place): Resource => {
        const profile: [number, number, number][] = []
        for (let day = firstDay; day <= lastDay; day++) {
          if (!(whereOn.get(`${person} ${day}`)?.has(place) ?? place === 'boat')) continue
          const ends = place === 'boat' ? endsOf(person, day) : stays.notAtAll
          for (const [from, to] of sites.presence(person, place, day, ends)) {
            const [a, b] = [toTick(from), Math.floor((to - base) / tick)]
            if (b > a) profile.push([a, b, 1])
          }
        }
        return { id: `${person}@${place}`, profile }
      }),
    )
  }

  function windowsOf(activity: OpenStep): Interval[] {
    const own = pass.ashore.find((one) => one.haulOut.id === activity.ashore?.haulOut.id) ?? null
    const spans =
      activity.step.hullNeed === 'ashore' && own
        ? [[own.from, Infinity] as const]
        : hullWindows({ ...activity, ashore: own }, pass.ashore, rows)
    const earliest = Math.max(
      base,
      ...activity.releases.map((one) => one.at),
      ...activity.before.flatMap((arc) => {
        const ready = compiled.activities.has(arc.from)
          ? undefined
          : compiled.readyBy(arc, undefined)
        return ready === undefined ? [] : [ready + arc.minWaitHours * hourMs]
      }),
    )
    return spans.flatMap(([from, to]): Interval[] => {
      const a = toTick(Math.max(from, earliest))
      const b = to === Infinity ? horizon : Math.floor((to - base) / tick)
      return b > a ? [[a, b]] : []
    })
  }

  function addActivity(activity: OpenStep): void {
    const { step, booking } = activity
    const found = pass.placements.get(step.id)
    const weight = 0
    const inSlings = step.hullNeed === 'slings' && activity.ashore !== null
    if (booking || inSlings || activity.workMs === 0) {
      const [from, to] = [found?.segments[0]?.[0] ?? base, found?.segments.at(-1)?.[1] ?? base]
      const duration = Math.max(0, toTick(to) - toTick(from))
      const windows: Interval[] | null = booking
        ? [[toTick(from), horizon]]
        : inSlings
          ? [[0, horizon]]
          : windowsOf(activity)
      activities.push({
        id: step.id,
        modes: [{ duration, demands: {} }],
        windows,
        splittable: false,
        weight,
      })
      return
    }
    const extra = (found?.mends ?? []).reduce((sum, mend) => sum + mend.hours, 0) * hourMs
    const modes = activity.crews.slice(0, mostCrews).map((crew) => ({
      duration: Math.max(1, durationMs({ workMs: activity.workMs + extra }, crew.length) / tick),
      demands: Object.fromEntries(crew.map((person) => [`${person}@${activity.placeNeed}`, 1])),
    }))
    activities.push({
      id: step.id,
      modes,
      windows: windowsOf(activity),
      splittable: activity.splittable,
      weight,
    })
  }

  /** A gate is as late as the last of its steps, however many of them are late. */
  function addGate(gate: Gate): void {
    const by = gate.kind === 'launch' ? null : gateDeadline(rows, gate, clock)
    if (by === null) return
    const id = `gate ${gate.id}`
    activities.push({
      id,
      modes: [{ duration: 0, demands: {} }],
      windows: null,
      splittable: false,
      weight: 0,
    })
    deadlines.push({ activity: id, at: toTick(by), weight: 1 })
    for (const activity of placed)
      if (activity.job.gateId === gate.id && !activity.step.afterGate)
        arcs.push({
          from: activity.step.id,
          to: id,
          minLag: waitTicks(activity, (at) => compiled.waits.over(activity.step, at)),
          maxLag: null,
          earliestAfter: null,
        })
  }

  /** Ticks from finish to readiness: what the pass found, by its month's mean air. */
  function waitTicks({ step }: OpenStep, over: (finish: number) => number): number {
    const finish = pass.placements.get(step.id)?.segments.at(-1)?.[1] ?? base
    return Math.ceil((over(finish) - finish) / tick)
  }

  function addArcs(activity: OpenStep): void {
    for (const arc of activity.after) {
      if (!pass.placements.has(arc.to)) continue
      const next = compiled.activities.get(arc.to)
      const finish = pass.placements.get(arc.from)?.segments.at(-1)?.[1] ?? base
      const weather = next?.startsSpell
        ? (weatherAllowance(next.step, finish, rows, compiled.now, compiled.waits.weather)?.ms ?? 0)
        : 0
      const over = (at: number) => compiled.waits.over(activity.step, at, arc.once)
      const minLag =
        waitTicks(activity, over) + Math.ceil((arc.minWaitHours * hourMs + weather) / tick)
      arcs.push({ from: arc.from, to: arc.to, minLag, maxLag: null, earliestAfter: null })
    }
  }

  function addLaunch(phase: Phase, launch: Ashore): void {
    const id = `launch ${launch.haulOut.id}`
    const { haulOut, lifts } = launch
    const aim = haulOut.launchBooked ?? haulOut.launchAimed
    const first = haulOut.launchWhen === 'asReady' ? firstDay : Math.max(firstDay, dayNumber(aim))
    const windows: Interval[] = []
    for (let day = first; day <= lastDay; day++) {
      if (!lifts.isOn(day)) continue
      const at = toTick(lifts.at(day))
      windows.push([at, at + 1])
    }
    activities.push({
      id,
      modes: [{ duration: 0, demands: {} }],
      windows,
      splittable: false,
      weight: 0,
    })
    // Late by the day, and every day ashore counts a little even when it is not late.
    deadlines.push({ activity: id, at: toTick(clock.at(dayNumber(aim) + 1, 0)), weight: 3 })
    for (const activity of phase.activities)
      if (activity.holds && pass.placements.has(activity.step.id))
        arcs.push({
          from: activity.step.id,
          to: id,
          minLag: waitTicks(activity, (at) => compiled.waits.forWater(activity.step, at)),
          maxLag: null,
          earliestAfter: null,
        })
    for (const activity of compiled.activities.values())
      if (
        (activity.step.hullNeed === 'afloat' || activity.step.hullNeed === 'slings') &&
        activity.ashore?.haulOut.id === haulOut.id &&
        pass.placements.has(activity.step.id)
      )
        arcs.push({
          from: id,
          to: activity.step.id,
          minLag: activity.step.hullNeed === 'slings' ? 0 : slingMs / tick,
          maxLag: null,
          earliestAfter: null,
        })
  }
}
