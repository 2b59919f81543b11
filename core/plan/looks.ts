/** Things of a laid plan that hold but want a look. */
import { namedStep } from '../model/namedStep'
import type { Remark } from '../model/stored'
import { byId } from '../model/refit'
import { dateOf, dayNumber } from '../time/civil'
import { sayFullDate } from '../time/say'
import { formatTemp } from '../units/quantity'
import { meanAirC } from './planned'
import { openings } from './openings'
import { openWhenWanted } from './wanted'
import { forecastUntil } from './weatherAllowance'
import { isUnconfirmed, slingMs } from './schedule/haulOuts'
import type { OpenStep, OpenWork } from './schedule/openWork'
import type { Pass } from './schedule/pass'

const about = ({ step, job }: OpenStep) => ({ jobIds: [job.id], stepIds: [step.id] })
const named = ({ step, job }: OpenStep): string => namedStep(step, job)

/** Steps after a gate whose last day is over before they are done. */
export function lateAfterGate({ activities, clock }: OpenWork, pass: Pass): Remark[] {
  return [...activities.values()].flatMap((activity): Remark[] => {
    const { afterGate, dueBy } = activity.step
    const finish = pass.placements.get(activity.step.id)?.segments.at(-1)?.[1]
    if (!afterGate || dueBy === null || finish === undefined) return []
    if (finish <= clock.at(dayNumber(dueBy) + 1, 0)) return []
    return [
      {
        kind: 'deadline',
        message: `${named(activity)} is to be done by ${sayFullDate(dueBy)} and is planned for ${sayFullDate(clock.dateOf(finish))}.`,
        ...about(activity),
      },
    ]
  })
}

/** Steps out of doors planned into a month whose mean air is under their lowest temperature. */
export function coldSteps({ activities, clock, rows, now, waits }: OpenWork, pass: Pass): Remark[] {
  const means = rows.refit[0]?.monthMeanC ?? []
  const temp = (tempC: number) => formatTemp(tempC, rows.refit[0]?.units ?? 'metric')
  return [...activities.values()].flatMap((activity): Remark[] => {
    const { minTempC, placeNeed } = activity.step
    const start = pass.placements.get(activity.step.id)?.segments[0]?.[0]
    if (minTempC === null || placeNeed !== 'boat' || start === undefined) return []
    const airC = meanAirC(start, means)
    if (airC === null || airC >= minTempC) return []
    // Nearer than that the forecast speaks for itself, where one comes.
    if (waits.weather.until > now && start < forecastUntil(waits.weather, now)) return []
    return [
      {
        kind: 'cold',
        message: `${named(activity)} wants ${temp(minTempC)} and is planned for ${sayFullDate(clock.dateOf(start))}, when the air is about ${temp(airC)}. Heat and cover it, or let it wait for warmer days.`,
        ...about(activity),
      },
    ]
  })
}

/** People planned for the slings on a day on which they are not usually there. */
export function comeForLaunch(compiled: OpenWork, pass: Pass): Remark[] {
  const people = byId(compiled.rows.person)
  const index = new Map(compiled.sites.people.map((person, at) => [person.id, at]))
  return [...compiled.activities.values()].flatMap((activity): Remark[] => {
    const placed = pass.placements.get(activity.step.id)
    if (activity.step.hullNeed !== 'slings' || !placed) return []
    const [from, to] = placed.segments[0] ?? [0, 0]
    const day = compiled.clock.dayOf(from)
    const special = placed.personIds.filter(
      (id) =>
        !compiled.sites
          .presence(index.get(id) ?? -1, 'boat', day)
          .some(([a, b]) => a <= from && to <= b),
    )
    if (special.length === 0) return []
    const names = special.map((id) => people.get(id)?.name ?? '').join(' and ')
    return [
      {
        kind: 'comeFor',
        message: `${names} ${special.length > 1 ? 'have' : 'has'} to be there on ${sayFullDate(dateOf(day))} for the launch: ${named(activity)}. Those are not usual hours.`,
        ...about(activity),
      },
    ]
  })
}

/** Lift-outs whose day is over and of which nobody said that they happened. */
export function unconfirmedLifts({ clock, now }: OpenWork, pass: Pass): Remark[] {
  return pass.ashore
    .filter((one) => isUnconfirmed(one.haulOut, now, clock))
    .map(({ haulOut, from }) => ({
      kind: 'liftOut',
      message: `Was she lifted out for ${haulOut.name} on ${sayFullDate(haulOut.liftOutBooked ?? haulOut.liftOutAimed)}? Nobody said so. Until somebody does, it is planned as if she came out on ${sayFullDate(clock.dateOf(from - slingMs))}.`,
      jobIds: [],
      stepIds: [],
    }))
}

/** What stands open, or would, on days on which she is wanted whole. */
export function leftOpen({ rows, clock }: OpenWork, pass: Pass): Remark[] {
  return openWhenWanted(rows, openings(rows, pass.placements), clock).map(
    ({ opening: { job, step, isBegun }, wanted }): Remark => ({
      kind: 'leftOpen',
      message: `${namedStep(step, job)} ${isBegun ? 'stands open' : 'would stand open'}, and nothing shuts it and is cured before ${sayFullDate(wanted.from)}, when ${whyWanted[wanted.why]}.`,
      jobIds: [job.id],
      stepIds: [step.id],
    }),
  )
}

const whyWanted = {
  sails: 'she sails',
  let: 'she is let',
  livedOn: 'she is lived on',
} as const

/** Steps pinned to a day on which they do not begin. One under way was begun when it was. */
export function offTheirPins({ activities, clock }: OpenWork, pass: Pass): Remark[] {
  return [...activities.values()].flatMap((activity): Remark[] => {
    const { pinnedOn, state } = activity.step
    const start = pass.placements.get(activity.step.id)?.segments[0]?.[0]
    if (pinnedOn === null || state === 'doing' || start === undefined) return []
    const on = clock.dateOf(start)
    if (on === pinnedOn) return []
    return [
      {
        kind: 'pin',
        message: `${named(activity)} is pinned to ${sayFullDate(pinnedOn)} and begins on ${sayFullDate(on)}: on the day itself it cannot.`,
        ...about(activity),
      },
    ]
  })
}
