/** A refit as it may come out: laid again for one draw of what is not known, without preparing it anew. */
import type { Prepared } from './prepare'
import type { DaysLost } from './weatherAllowance'
import type { OpenStep, OpenWork } from './schedule/openWork'
import type { Pass, PassInput } from './schedule/pass'
import { refitPass } from './schedule/refitPass'
import { stays } from './schedule/sites'
import type { Sites } from './schedule/sites'
import { ceilTick } from './schedule/tick'
import { dayMs, minuteMs } from '../time/civil'
import type { Interval } from '../time/intervals'
import type { ZoneClock } from '../time/zone'
import { urgency } from './urgency'
import type { Order } from './urgency'

/** One draw. What is not named stays as planned. */
export interface Sample {
  /** Hours of work for one person still to do on a step, by its id; trades' hours too. More than 0. */
  readonly workHours?: ReadonlyMap<string, number>
  /** Hours of the wait after a step, by its id; a cure's at its reference temperature. */
  readonly waitHours?: ReadonlyMap<string, number>
  /** Instant from which a step can begin by its parts and dates, by its id, UTC ms. */
  readonly releases?: ReadonlyMap<string, number>
  /** True: a person (by id) does not come on a local day. */
  readonly isAway?: (personId: string, day: number) => boolean
  /** Days by which a trade comes late to a step, by its id; a booking goes with whole ones. */
  readonly tradesLate?: ReadonlyMap<string, number>
  /** Days lost before a day that suits work in the open. */
  readonly daysLost?: DaysLost
}

/**
 * Lays draw after draw in one order. What was worked out for the refit is used again; the urgency of the steps and
 * what is sure about launches stay as planned. Work in one go that came out too long for any day runs over.
 */
export function samplePasses(prepared: Prepared, order: Order): (sample: Sample) => Pass {
  const rankOf = urgency(prepared.standing, order)
  return (sample) => refitPass(drawn(prepared, sample), rankOf, { runsOver: true })
}

function drawn(prepared: Prepared, sample: Sample): PassInput {
  const { compiled } = prepared
  const activities = new Map<string, OpenStep>()
  for (const [id, one] of compiled.activities)
    activities.set(id, late(drawnStep(one, sample), sample, compiled.clock))
  const of = (one: OpenStep) => activities.get(one.step.id) ?? one
  return {
    ...prepared,
    compiled: {
      ...compiled,
      activities,
      ...(sample.daysLost ? { daysLost: sample.daysLost } : {}),
      ...(sample.isAway ? away(compiled, sample.isAway) : {}),
    },
    phases: prepared.phases.map((phase) => ({ ...phase, activities: phase.activities.map(of) })),
  }
}

function drawnStep(one: OpenStep, { workHours, waitHours, releases }: Sample): OpenStep {
  const { id } = one.step
  const work = workHours?.get(id)
  const wait = waitHours?.get(id)
  const release = releases?.get(id)
  if (work === undefined && wait === undefined && release === undefined) return one
  const workMs = work === undefined ? 0 : Math.round(work * 3600) * 1000
  return {
    ...one,
    ...(wait === undefined ? {} : { step: { ...one.step, waitHours: wait } }),
    ...(workMs > 0 && one.workMs > 0 ? { workMs } : {}),
    ...(workMs > 0 && one.tradeMs > 0 ? { tradeMs: ceilTick(workMs / one.step.crewMin) } : {}),
    ...(release === undefined ? {} : { releases: released(one, release) }),
  }
}

/** A step whose trade comes later than it was booked for, or than it could begin. */
function late(one: OpenStep, { tradesLate }: Sample, clock: ZoneClock): OpenStep {
  const days = tradesLate?.get(one.step.id) ?? 0
  if (days <= 0) return one
  const { booking } = one
  if (!booking) return { ...one, tradeLateMs: days * dayMs }
  const moved = (at: number) => {
    const day = clock.dayOf(at)
    return clock.at(day + Math.round(days), Math.round((at - clock.at(day, 0)) / minuteMs))
  }
  return { ...one, booking: { ...booking, from: moved(booking.from), to: moved(booking.to) } }
}

/** The releases of a step with another instant: what names them stays. */
function released({ releases }: OpenStep, at: number): OpenStep['releases'] {
  const latest = [...releases].sort((a, b) => b.at - a.at)[0]
  return [{ at, binding: latest?.binding ?? { kind: 'calendar', until: at } }]
}

/** Calendars in which some people stay away on some days. Who stays away is asked for once a person and day. */
function away(
  { sites, laidOut, clock, now }: OpenWork,
  isAway: NonNullable<Sample['isAway']>,
): Pick<OpenWork, 'sites' | 'laidOut'> {
  const today = clock.dayOf(now)
  const ids = sites.people.map((one) => one.id)
  const known = ids.map(() => new Uint8Array(mostDaysKept))
  const isGone = (person: number, day: number): boolean => {
    const memo = known[person]
    const id = ids[person]
    if (!memo || id === undefined) return false
    const at = day - today
    if (at < 0 || at >= mostDaysKept) return isAway(id, day)
    const value = memo[at]
    if (value) return value === goneMark
    const found = isAway(id, day)
    memo[at] = found ? goneMark : comesMark
    return found
  }
  const less = (some: Sites): Sites => ({
    ...some,
    whole: some,
    away: (person, day) => some.away(person, day) || isGone(person, day),
    presence: (person, placeNeed, day, ends) =>
      isGone(person, day) ? none : some.presence(person, placeNeed, day, ends),
    ends(person, day) {
      const ends = some.ends(person, day)
      if (ends === stays.notAtAll || isGone(person, day)) return stays.notAtAll
      const gone =
        (isGone(person, day - 1) ? stays.sinceYesterday : 0) |
        (isGone(person, day + 1) ? stays.untilTomorrow : 0)
      return ends & ~gone
    },
  })
  return {
    sites: less(sites),
    laidOut: (ashore) => {
      const found = laidOut(ashore)
      return { ...found, sites: less(found.sites) }
    },
  }
}

const none: readonly Interval[] = []

/** Days from now for which who comes is remembered, and the marks they are kept as. */
const mostDaysKept = 4000
const [comesMark, goneMark] = [1, 2] as const
