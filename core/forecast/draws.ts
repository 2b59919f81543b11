/** One way in which a refit may come out: everything that is not known drawn at once. What is drawn how: docs/forecast.md. */
import type { Step } from '../model/entities'
import type { Doubt } from '../model/odds'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { foundBefore, growthOf } from '../found/growth'
import { factsOf } from '../plan/facts'
import type { Prepared } from '../plan/prepare'
import type { Sample } from '../plan/sample'
import type { OpenStep } from '../plan/schedule/openWork'
import { needsWeather, workableShare } from '../plan/weatherAllowance'
import { doneTwice } from '../progress/rework'
import { createRandom, hashOf, seedFor } from '../random'
import type { Random } from '../random'
import { dayMs, dayNumber, dayOnWeekday, hourMs } from '../time/civil'
import { actingOn, calibrations, doubtOf, forecastFactors } from './calibration'
import { normal } from './normal'

/** Low and high where nobody gave them, read as 10 and 90 %. Source: handbook 5. */
const [usualLow, usualHigh] = [0.8, 2.5]
/** Between the 10 and the 90 % value of a normal distribution, in standard deviations. */
const tenToNinety = 2.563
/** Spread of a delivery or a trade about its median, of the logarithm. Source: handbook 5. */
const leadSpread = 0.35
/**
 * What a good or bad season does to everything at once, of the logarithm a standard deviation; to days in the open, of the
 * odds that one suits. Assumed.
 */
const season = { hours: 0.08, leads: 0.1, weather: 0.3 } as const
/** Days by which a trade is called before it comes, where nobody asked. Assumed. */
const usualNoticeDays = 14
/** Days that are counted to tell a dry season from a wet one. */
const daysOfSeason = 120
/** Found jobs that the hours stand for which nobody has found yet; how much one differs from another, of the variance. Assumed. */
const [foundJobsBefore, foundUneven] = [4, 0.8]
/** However little is known, found work strays no further, of the logarithm. Assumed. */
const mostFoundSpread = 0.8
/** A day on which somebody who should come does not: the share of them, and what a bad season makes of it. Assumed. */
const [awayShare, awaySeason] = [0.06, 0.5]
/** Hours done again that stand for experience nobody has yet: 3 of 60. Assumed. */
const [againBefore, workBefore] = [3, 60]
/** How far a reading's wait strays, of the logarithm. Assumed. */
const drySpread = 0.3

/** The weather's own stream; and a wait is no longer than this, whatever the share of days. */
const [weatherKey, mostDaysLost] = [hashOf('weather'), 120]

/** Something that differs from run to run, under its own name. */
export type Driver = Pick<Doubt, 'kind' | 'of'>

interface Draw {
  readonly sample: Sample
  /** How each driver came out, in the order of `drivers`. */
  readonly values: readonly number[]
  /** What is found in this run ÷ what is expected to be. */
  readonly foundFactor: number
}

interface Draws {
  readonly drivers: readonly Driver[]
  /**
   * Takes its numbers from `random`, so that a seed gives the same again. A kind of work and a step have a stream each,
   * by their name: a step more, as a change may bring, leaves the luck of all others as it was.
   */
  readonly draw: (random: Random) => Draw
}

/** Spread of a step's own hours, of the logarithm; 0 where low is high. */
export function stepSpread(step: Pick<Step, 'hoursLow' | 'hoursLikely' | 'hoursHigh'>): number {
  const low = step.hoursLow ?? usualLow * step.hoursLikely
  const high = step.hoursHigh ?? usualHigh * step.hoursLikely
  return high > low && low > 0 ? Math.log(high / low) / tenToNinety : 0
}

/** Rounds that a group takes: as likely or one fewer as often as not, each more half as likely as the one before. */
function roundsDrawn({ roundsLikely, roundsMost }: Step, random: Random): number {
  if (roundsMost <= roundsLikely) return roundsLikely
  let rounds = random() < 0.25 ? Math.max(1, roundsLikely - 1) : roundsLikely
  while (rounds >= roundsLikely && rounds < roundsMost && random() < 1 / 3) rounds++
  return rounds
}

/** A number from 0 to 1 for a person, or the weather, and a day of one run, the same however often it is asked for. */
const chanceOf = (seed: number, who: number, day: number): number =>
  seedFor(seed ^ Math.imul(day, 0x9e3779b1), who) / 4_294_967_296

/** What is drawn for a refit made ready. */
export function drawsOf(prepared: Prepared): Draws {
  const { rows } = prepared
  const factorOf = forecastFactors(rows)
  const stepsOf = new Map(calibrations(rows).map((one) => [one.operation, one.steps]))
  const growth = growthOf(rows).perHour
  const foundSpread = foundSpreadOf(rows)
  const twice = doneTwice(rows)
  const again = (againBefore + twice.againHours) / (workBefore + twice.workHours)
  const found = foundJobs(rows)
  const { now, clock, waits } = prepared.compiled
  const today = clock.dayOf(now)
  const open = [...prepared.compiled.activities.values()].sort((a, b) =>
    a.step.id < b.step.id ? -1 : 1,
  )
  const working = open.filter((one) => one.workMs > 0)
  const plannedMs = working.reduce((sum, one) => sum + one.workMs, 0)
  const kinds = [...new Set(working.map((one) => one.step.operation))].sort()
  const kindKeys = kinds.map(hashOf)
  const stepKeys = open.map((one) => hashOf(one.step.id))
  const personKeys = new Map(rows.person.map((one) => [one.id, hashOf(one.id)]))
  const coming = open.filter(waitsForPart)
  const trades = tradesOf(open, rows)
  const isInTheOpen = open.some(({ step }) => needsWeather(step, waits.weather))
  const drivers: readonly Driver[] = [
    { kind: 'season', of: '' },
    ...(isInTheOpen ? [{ kind: 'weather' as const, of: '' }] : []),
    { kind: 'found', of: '' },
    { kind: 'steps', of: '' },
    { kind: 'again', of: '' },
    ...kinds.map((of) => ({ kind: 'kind' as const, of })),
    ...coming.map(({ step }) => ({ kind: 'part' as const, of: step.id })),
    ...[...trades.keys()].map((of) => ({ kind: 'trade' as const, of })),
  ]

  function draw(random: Random): Draw {
    const bad = normal(random)
    const foundValue = normal(random)
    const foundFactor = Math.exp(foundSpread * foundValue - foundSpread ** 2 / 2)
    const more = growth * foundFactor
    const luck = Math.floor(random() * 2 ** 32)
    const streamOf = (key: number) => createRandom(seedFor(luck, key))
    const kindValues = kindKeys.map((key) => normal(streamOf(key)))
    const factor = new Map(
      kinds.map((operation, at) => [
        operation,
        factorOf(operation) *
          Math.exp(doubtOf(stepsOf.get(operation) ?? 0) * (kindValues[at] as number)),
      ]),
    )
    let [ownMs, againMs] = [0, 0]
    const workHours = new Map<string, number>()
    const waitHours = new Map<string, number>()
    const releases = new Map<string, number>()
    const partValues: number[] = []
    const tradesLate = new Map<string, number>()
    const tradeValues: number[] = []
    for (const [at, one] of open.entries()) {
      const { step } = one
      const own = streamOf(stepKeys[at] as number)
      if (one.workMs > 0) {
        const hours =
          Math.exp(stepSpread(step) * normal(own)) * (roundsDrawn(step, own) / step.roundsLikely)
        const twiceHours = own() < again ? 1 + own() : 1
        ownMs += hours * one.workMs
        againMs += (twiceHours - 1) * one.workMs
        const grows = found.has(step.jobId) ? 1 : 1 + more
        const times =
          ((factor.get(step.operation) ?? 1) / actingOn(step)) *
          Math.exp(season.hours * bad) *
          hours *
          twiceHours *
          grows
        workHours.set(step.id, (one.workMs / hourMs) * times)
      }
      const wait = waitDrawn(step, bad, own)
      if (wait !== null) waitHours.set(step.id, wait)
      const comes = trades.get(step.id)
      if (comes) {
        const late = leadSpread * normal(own)
        tradeValues.push(late)
        tradesLate.set(step.id, daysLate(comes, late + season.leads * bad))
      }
      if (!waitsForPart(one)) continue
      const late = leadSpread * normal(own)
      partValues.push(late)
      releases.set(step.id, releaseDrawn(one, now, late + season.leads * bad))
    }
    const worse = Math.exp(season.weather * bad)
    const suits = (day: number, share: number) =>
      chanceOf(luck, weatherKey, day) < share / (share + (1 - share) * worse)
    const share = Math.min(0.5, awayShare * Math.exp(awaySeason * bad))
    return {
      sample: {
        workHours,
        waitHours,
        releases,
        tradesLate,
        daysLost: (at, share) => {
          const from = clock.dayOf(at)
          let day = from
          while (day < from + mostDaysLost && !suits(day, share)) day++
          return day - from
        },
        isAway: (personId, day) => chanceOf(luck, personKeys.get(personId) ?? 0, day) < share,
      },
      foundFactor,
      values: [
        bad,
        ...(isInTheOpen
          ? [daysThatSuit(today, (day) => suits(day, workableShare(rows, day * dayMs)))]
          : []),
        foundValue,
        plannedMs > 0 ? ownMs / plannedMs : 0,
        plannedMs > 0 ? againMs / plannedMs : 0,
        ...kindValues,
        ...partValues,
        ...tradeValues,
      ],
    }
  }
  return { drivers, draw }
}

/**
 * How far found work strays from what is expected of it, of the logarithm: that of a count, of those found so far and of
 * those still to come.
 */
export const foundSpreadOf = (rows: Pick<RefitRows, 'job' | 'step'>): number =>
  Math.min(mostFoundSpread, Math.sqrt(foundUneven * foundVariance(rows)))

/** Variance of what is still to be found, where one found job's is 1: of those it is judged by, and of those to come. */
export function foundVariance(rows: Pick<RefitRows, 'job' | 'step'>): number {
  const { foundHours, expectedHours } = growthOf(rows)
  const known = foundJobsBefore + foundJobs(rows).size
  const toCome = (known * expectedHours) / (foundBefore + foundHours)
  return 1 / known + 1 / Math.max(1, toCome)
}

/** Jobs that were found: nothing more is reckoned to be found under them. */
const foundJobs = (rows: Pick<RefitRows, 'job'>): ReadonlySet<string> =>
  new Set(rows.job.filter((job) => job.parentJobId !== null).map((job) => job.id))

/** How a trade comes to a step: so long after its call, on those weekdays; `from`: booked from that local day. */
interface Comes {
  readonly noticeDays: number
  readonly weekdays: readonly number[]
  readonly from: number | null
}

/** Trades that come to the boat for an open step, by its id. What the yard itself does is there anyway. */
function tradesOf(open: readonly OpenStep[], rows: RefitRows): ReadonlyMap<string, Comes> {
  const bookings = groupBy(
    rows.tradeBooking.filter((one) => one.state !== 'cancelled'),
    (one) => one.stepId,
  )
  return new Map(
    open
      .filter(
        ({ step, tradeMs, booking }) =>
          (tradeMs > 0 || booking !== null) && step.placeNeed !== 'away' && !factsOf(step).byYard,
      )
      .map(({ step, booking }): [string, Comes] => {
        const own = bookings.get(step.id) ?? []
        const row = own.find((one) => one.id === booking?.id) ?? own[0]
        return [
          step.id,
          {
            noticeDays: row?.noticeDays ?? usualNoticeDays,
            weekdays: row?.comesOn ?? [],
            from: booking && row ? dayNumber(row.from) : null,
          },
        ]
      }),
  )
}

/** Days by which they come late: their notice strays as a delivery does, and no trade comes before its time. */
function daysLate({ noticeDays, weekdays, from }: Comes, late: number): number {
  const days = noticeDays * Math.max(0, Math.exp(late) - 1)
  if (from === null) return days
  const whole = Math.round(days)
  return whole === 0 ? 0 : dayOnWeekday(from + whole, weekdays) - from
}

/** How many of the days to come suit work in the open. */
function daysThatSuit(today: number, suits: (day: number) => boolean): number {
  let days = 0
  for (let day = today; day < today + daysOfSeason; day++) if (suits(day)) days++
  return days
}

function waitDrawn(step: Step, bad: number, random: Random): number | null {
  if (step.waitHours <= 0) return null
  if (step.waitKind === 'calendar')
    return step.waitHours * Math.exp(leadSpread * normal(random) + season.leads * bad)
  return step.waitKind === 'dry' ? step.waitHours * Math.exp(drySpread * normal(random)) : null
}

const waitsForPart = ({ releases }: OpenStep): boolean =>
  releases.some((one) => one.binding.kind === 'part')

/** When a step may begin by what it waits for from outside: parts under way come when they come. */
const releaseDrawn = ({ releases }: OpenStep, now: number, late: number): number =>
  Math.max(
    ...releases.map((one) =>
      one.binding.kind === 'part' && one.at > now ? now + (one.at - now) * Math.exp(late) : one.at,
    ),
  )
