/**
 * How well the bands hold: made-up histories, each half lived when it is forecast, and then lived on. The lives are drawn
 * here, by other rules than the forecast draws by, so that it is not measured with itself. docs/forecast.md
 */
import { oddsOf } from '#core/forecast/odds'
import { forecastRuns } from '#core/forecast/runs'
import { atOnce } from '#core/inParts'
import type { GateOdds } from '#core/model/odds'
import type { Operation } from '#core/model/words'
import { laidGates } from '#core/plan/finishPlan'
import { makePlan } from '#core/plan/makePlan'
import { prepare } from '#core/plan/prepare'
import { samplePasses } from '#core/plan/sample'
import { sequenceOf } from '#core/plan/sequenceOf'
import { createRandom } from '#core/random'
import type { Random } from '#core/random'
import { add, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { weekends } from '#core/testing/weekends'
import { dateOf } from '#core/time/civil'

const now = Date.UTC(2027, 3, 16, 12)
const today = Math.floor(now / 86_400_000)
const kinds: readonly Operation[] = ['fit', 'drill', 'laminate', 'fair', 'paint', 'wire', 'plumb']

/** What is true of a crew and their boat, which nobody knows. */
interface Truth {
  /** What an hour guessed takes, for most kinds of work. */
  readonly takes: number
  /** How far kinds differ, and one step from its kind, of the logarithm. */
  readonly kindSpread: number
  readonly stepSpread: number
  /** Of steps: breeds found work; has to be done again. */
  readonly breeds: number
  readonly again: number
  /** Of weekends: somebody is away for all of it. Of deliveries: spread about the day promised. */
  readonly away: number
  readonly late: number
}

const usual: Truth = {
  takes: 1.6,
  kindSpread: 0.25,
  stepSpread: 0.5,
  breeds: 0.12,
  again: 0.06,
  away: 0.07,
  late: 0.35,
}

/** The sum of twelve even numbers less six: near enough normal, and not the way the forecast makes them. */
const bell = (random: Random): number => {
  let sum = -6
  for (let at = 0; at < 12; at++) sum += random()
  return sum
}

/** A refit half done, and the hours, weekends and deliveries that are still to come of it. */
function history(truth: Truth, random: Random) {
  const rows: Building = weekends()
  person(rows, 'Bea', [6], '09:00', '17:00')
  add(rows, 'gate', 'done', { name: 'Done', kind: 'asap' })
  const factor = new Map(
    kinds.map((kind) => [kind, truth.takes * Math.exp(truth.kindSpread * bell(random))]),
  )
  const season = 0.08 * bell(random)
  const hoursToCome = new Map<string, number>()
  const arrives = new Map<string, number>()
  /** What a step takes, with what it breeds and what has to be done again. */
  const lived = (kind: Operation, likely: number) =>
    likely * (factor.get(kind) ?? 1) * Math.exp(truth.stepSpread * bell(random) + season)
  const jobs = 16 + Math.floor(random() * 8)
  for (let at = 0; at < jobs; at++) {
    const isDone = random() < 0.5
    const id = `j${at}`
    job(rows, id, { gateId: isDone ? null : 'done' })
    const many = 3 + Math.floor(random() * 5)
    for (let index = 0; index < many; index++) {
      const kind = kinds[Math.floor(random() * kinds.length)] ?? 'fit'
      const likely = 0.5 + Math.floor(random() * 12) / 2
      const stepId = `${id} ${index}`
      let hours = lived(kind, likely)
      const isTwice = random() < truth.again
      const bred = random() < truth.breeds ? likely * (0.5 + 2.5 * random()) : 0
      if (!isDone) {
        if (isTwice) hours *= 1.2 + 0.8 * random()
        if (bred > 0) hours += lived('fit', bred)
        step(rows, id, stepId, { operation: kind, hoursLikely: likely })
        hoursToCome.set(stepId, hours)
        if (random() < 0.08) {
          const lead = 10 + Math.floor(random() * 60)
          const state = 'ordered' as const
          add(rows, 'part', stepId, {
            name: stepId,
            neededByStepId: stepId,
            state,
            arrivesOn: dateOf(today + lead),
          })
          arrives.set(stepId, now + lead * 86_400_000 * Math.exp(truth.late * bell(random)))
        }
        continue
      }
      const doneAt = now - 86_400_000 * (1 + Math.floor(random() * 100))
      const done = { state: 'done' as const, doneAt, earnedIn: 0 }
      step(rows, id, stepId, { operation: kind, hoursLikely: likely, ...done })
      const entry = (name: string, more: object) =>
        add(rows, 'hoursEntry', name, {
          personId: 'Ann',
          on: dateOf(Math.floor(doneAt / 86_400_000)),
          hours: 1,
          ...more,
        })
      entry(stepId, { stepId, hours })
      if (isTwice) entry(`${stepId} again`, { stepId, hours: hours * 0.5, reworkCause: 'other' })
      if (bred === 0) continue
      job(rows, `${stepId} bred`, { parentJobId: id })
      step(rows, `${stepId} bred`, `${stepId} bred`, {
        operation: 'fit',
        hoursLikely: bred,
        ...done,
      })
      entry(`${stepId} bred`, { stepId: `${stepId} bred`, hours: lived('fit', bred) })
    }
  }
  const gone = new Set<string>()
  for (let weekend = 0; weekend < 300; weekend++)
    for (const who of ['Ann', 'Bea']) if (random() < truth.away) gone.add(`${who} ${weekend}`)
  const isAway = (personId: string, day: number) =>
    gone.has(`${personId} ${Math.floor((day - today) / 7)}`)
  return { rows, sample: { workHours: hoursToCome, releases: arrives, isAway } }
}

/** Where the truth lies among the runs, 0 to 1; runs of the same day are shared by chance. */
function place({ days, never }: GateOdds, truth: number, random: Random): number {
  const all = days.reduce((sum, [, runs]) => sum + runs, never)
  const before = days.reduce((sum, [day, runs]) => sum + (day < truth ? runs : 0), 0)
  const same = days.find(([day]) => day === truth)?.[1] ?? 0
  return (before + random() * same) / all
}

function covered(name: string, truth: Truth, histories: number, seed: number) {
  const random = createRandom(seed)
  const places: number[] = []
  for (let at = 0; at < histories; at++) {
    const { rows, sample } = history(truth, random)
    const { plan } = makePlan(rows, now)
    const runs = atOnce(forecastRuns(rows, plan, { seed: at + 1, from: 0, to: 200 }))
    const prepared = prepare(rows, plan.now)
    const placeOf = sequenceOf(prepared, plan, null)
    if (!runs || !placeOf) continue
    const pass = samplePasses(prepared, { placeOf })(sample)
    const [gate] = laidGates(prepared.compiled, pass)
    const [odds] = oddsOf(rows, plan, runs).gates
    if (gate && odds) places.push(place(odds, Math.floor(gate.at / 86_400_000), random))
  }
  const within = (share: number) => {
    const inside = places.filter((one) => one >= (1 - share) / 2 && one <= (1 + share) / 2)
    return `${((100 * inside.length) / places.length).toFixed(1)} %`
  }
  const below = (share: number) =>
    `${((100 * places.filter((one) => one <= share).length) / places.length).toFixed(1)} %`
  return {
    crew: name,
    histories: places.length,
    'in the 80 % band': within(0.8),
    'in the 50 % band': within(0.5),
    'by the likely day': below(0.5),
    'by the safe day': below(0.8),
  }
}

/** One row a crew: as they guess, half as slow again, quick, and one whose life is wilder than anybody reckons. */
export const coverage = (histories: number, seed: number) => [
  covered('as crews are', usual, histories, seed),
  covered('slower: 2.4 for an hour', { ...usual, takes: 2.4 }, histories, seed + 1),
  covered('quicker: 1.1 for an hour', { ...usual, takes: 1.1 }, histories, seed + 2),
]
