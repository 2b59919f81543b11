/** One way in which a refit may come out: everything that is not known drawn at once. What is drawn how: docs/forecast.md. */
import type { Step } from '../model/entities'
import type { Doubt } from '../model/odds'
import type { RefitRows } from '../model/refit'
import { growthOf } from '../found/growth'
import type { Prepared } from '../plan/prepare'
import type { Sample } from '../plan/sample'
import type { OpenStep } from '../plan/schedule/openWork'
import { doneTwice } from '../progress/rework'
import { createRandom, hashOf, seedFor } from '../random'
import type { Random } from '../random'
import { hourMs } from '../time/civil'
import { actingOn, calibrations, doubtOf, forecastFactors } from './calibration'
import { normal } from './normal'

/** Low and high where nobody gave them, read as 10 and 90 %. Source: handbook 5. */
const [usualLow, usualHigh] = [0.8, 2.5]
/** Between the 10 and the 90 % value of a normal distribution, in standard deviations. */
const tenToNinety = 2.563
/** Spread of a delivery or a trade about its median, of the logarithm. Source: handbook 5. */
const leadSpread = 0.35
/** What a good or bad season does to everything at once, of the logarithm a standard deviation. Assumed. */
const season = { hours: 0.08, leads: 0.1, weather: 0.2 } as const
/** How far found work strays from what is expected of it, of the logarithm. Assumed. */
const foundSpread = 0.4
/** A day on which somebody who should come does not: the share of them, and what a bad season makes of it. Assumed. */
const [awayShare, awaySeason] = [0.06, 0.5]
/** Hours done again that stand for experience nobody has yet: 3 of 60. Assumed. */
const [againBefore, workBefore] = [3, 60]
/** How far a reading's wait strays, of the logarithm. Assumed. */
const drySpread = 0.3

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

/** A number from 0 to 1 for a person and a day of one run, the same however often it is asked for. */
const chanceOf = (seed: number, person: number, day: number): number =>
  seedFor(seed ^ Math.imul(day, 0x9e3779b1), person) / 4_294_967_296

/** What is drawn for a refit made ready. */
export function drawsOf(prepared: Prepared): Draws {
  const { rows } = prepared
  const factorOf = forecastFactors(rows)
  const stepsOf = new Map(calibrations(rows).map((one) => [one.operation, one.steps]))
  const growth = growthOf(rows).perHour
  const twice = doneTwice(rows)
  const again = (againBefore + twice.againHours) / (workBefore + twice.workHours)
  const found = foundJobs(rows)
  const { now } = prepared.compiled
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
  const drivers: readonly Driver[] = [
    { kind: 'season', of: '' },
    { kind: 'found', of: '' },
    { kind: 'steps', of: '' },
    { kind: 'again', of: '' },
    ...kinds.map((of) => ({ kind: 'kind' as const, of })),
    ...coming.map(({ step }) => ({ kind: 'part' as const, of: step.id })),
  ]

  function draw(random: Random): Draw {
    const bad = normal(random)
    const weather = Math.max(1, Math.exp(season.weather * bad))
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
          grows *
          (step.needsDry ? weather : 1)
        workHours.set(step.id, (one.workMs / hourMs) * times)
      }
      const wait = waitDrawn(step, bad, own)
      if (wait !== null) waitHours.set(step.id, wait)
      if (!waitsForPart(one)) continue
      const late = leadSpread * normal(own)
      partValues.push(late)
      releases.set(step.id, releaseDrawn(one, now, late + season.leads * bad))
    }
    const share = Math.min(0.5, awayShare * Math.exp(awaySeason * bad))
    return {
      sample: {
        workHours,
        waitHours,
        releases,
        isAway: (personId, day) => chanceOf(luck, personKeys.get(personId) ?? 0, day) < share,
      },
      foundFactor,
      values: [
        bad,
        foundValue,
        plannedMs > 0 ? ownMs / plannedMs : 0,
        plannedMs > 0 ? againMs / plannedMs : 0,
        ...kindValues,
        ...partValues,
      ],
    }
  }
  return { drivers, draw }
}

/** Jobs that were found: nothing more is reckoned to be found under them. */
const foundJobs = (rows: Pick<RefitRows, 'job'>): ReadonlySet<string> =>
  new Set(rows.job.filter((job) => job.parentJobId !== null).map((job) => job.id))

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
