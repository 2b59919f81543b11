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
import { inSequence } from '#core/plan/inSequence'
import { createRandom } from '#core/random'
import type { Random } from '#core/random'
import { add, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { weekends } from '#core/testing/weekends'
import { dateOf } from '#core/time/civil'

const now = Date.UTC(2027, 3, 16, 12)
const today = Math.floor(now / 86_400_000)
const kinds: readonly Operation[] = ['fit', 'drill', 'laminate', 'fair', 'paint', 'wire', 'plumb']

/** Parts and trades for an hour of found work, minor units. */
const foundHourMinor = 1500

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
  /** Of weekends: somebody is away for all of it. Of deliveries: spread about the day promised. Of trades: come late. */
  readonly away: number
  readonly late: number
  readonly tradesLate: number
  /** How much a day is like the one before it, 0 to 1. */
  readonly spells: number
  /** What is paid for one that was guessed at, in the middle; how far refits and single lines stray, of the logarithm. */
  readonly dearer: number
  readonly priceSpread: number
}

const usual: Truth = {
  takes: 1.6,
  kindSpread: 0.25,
  stepSpread: 0.5,
  breeds: 0.12,
  again: 0.06,
  away: 0.07,
  late: 0.35,
  tradesLate: 0.35,
  spells: 0.4,
  dearer: 1.2,
  priceSpread: 0.3,
}

/** The sum of twelve even numbers less six: near enough normal, and not the way the forecast makes them. */
const bell = (random: Random): number => {
  let sum = -6
  for (let at = 0; at < 12; at++) sum += random()
  return sum
}

/** Days that suit work in the open, in spells: whether one does hangs on the one before it. */
function weatherOf(spells: number, random: Random) {
  const suited: boolean[] = []
  const suits = (day: number, share: number): boolean => {
    for (let each = suited.length; each <= day; each++)
      suited.push(random() < share * (1 - spells) + (suited[each - 1] ? spells : 0))
    return suited[day] ?? true
  }
  return (at: number, share: number): number => {
    const from = Math.floor(at / 86_400_000) - today
    let day = from
    while (day < from + 90 && !suits(day, share)) day++
    return day - from
  }
}

/** A refit half done, and the hours, weekends, weather, deliveries and trades that are still to come of it. */
function history(truth: Truth, random: Random) {
  const rows: Building = weekends()
  person(rows, 'Bea', [6], '09:00', '17:00')
  add(rows, 'gate', 'done', { name: 'Done', kind: 'asap' })
  for (const id of ['s0', 's1', 's2'])
    add(rows, 'system', id, { name: id, kind: 'deck', order: id })
  const factor = new Map(
    kinds.map((kind) => [kind, truth.takes * Math.exp(truth.kindSpread * bell(random))]),
  )
  const season = 0.08 * bell(random)
  const hoursToCome = new Map<string, number>()
  const arrives = new Map<string, number>()
  const tradesLate = new Map<string, number>()
  const dear = truth.dearer * Math.exp(0.12 * bell(random))
  const paidFor = (guess: number) =>
    Math.max(1, Math.round(guess * dear * Math.exp(truth.priceSpread * bell(random))))
  let costMinor = 0
  const spend = (id: string, minor: number, more: object) => {
    costMinor += minor
    add(rows, 'spend', id, { on: dateOf(today - 1), what: id, minor, ...more })
  }
  /** What a step takes, with what it breeds and what has to be done again. */
  const lived = (kind: Operation, likely: number) =>
    likely * (factor.get(kind) ?? 1) * Math.exp(truth.stepSpread * bell(random) + season)
  const jobs = 16 + Math.floor(random() * 8)
  for (let at = 0; at < jobs; at++) {
    const isDone = random() < 0.5
    const id = `j${at}`
    job(rows, id, { gateId: isDone ? null : 'done', systemId: `s${at % 3}` })
    const guess = 5000 + Math.floor(random() * 60_000)
    if (!isDone) {
      add(rows, 'part', id, { name: id, jobId: id, quantity: 1, priceMinor: guess })
      costMinor += paidFor(guess)
    }
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
        if (bred > 0) {
          hours += lived('fit', bred)
          costMinor += paidFor(bred * foundHourMinor)
        }
        const needsDry = (kind === 'paint' || kind === 'fair') && random() < 0.5
        step(rows, id, stepId, { operation: kind, hoursLikely: likely, needsDry })
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
        if (random() < 0.04) {
          const from = today + 7 + Math.floor(random() * 50)
          add(rows, 'tradeBooking', stepId, {
            stepId,
            trade: 'A trade',
            state: 'booked',
            from: dateOf(from),
            to: dateOf(from + 1),
            noticeDays: 7 + Math.floor(random() * 21),
          })
          if (random() < truth.tradesLate) tradesLate.set(stepId, 1 + Math.floor(random() * 14))
        }
        continue
      }
      const doneAt = now - 86_400_000 * (1 + Math.floor(random() * 100))
      const done = { state: 'done' as const, doneAt, earnedIn: 0 }
      step(rows, id, stepId, { operation: kind, hoursLikely: likely, ...done })
      if (index === 0) {
        const billed = paidFor(guess)
        const booked = { stepId, trade: id, from: '2027-03-01', to: '2027-03-02' }
        add(rows, 'tradeBooking', id, { ...booked, state: 'came', priceMinor: guess })
        add(rows, 'invoice', id, { bookingId: id, on: '2027-03-05', minor: billed })
        spend(id, Math.min(billed, guess), { kind: 'trade', bookingId: id })
        if (billed > guess) spend(`${id} beyond`, billed - guess, { kind: 'trade', bookingId: id })
      }
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
      job(rows, `${stepId} bred`, { parentJobId: id, systemId: `s${at % 3}` })
      const forFound = paidFor(bred * foundHourMinor)
      spend(`${stepId} bred`, forFound, { kind: 'part' })
      add(rows, 'spendShare', `${stepId} bred`, {
        spendId: `${stepId} bred`,
        jobId: `${stepId} bred`,
        minor: forFound,
        order: 'a',
      })
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
  const daysLost = weatherOf(truth.spells, random)
  return {
    rows,
    costMinor,
    sample: { workHours: hoursToCome, releases: arrives, isAway, tradesLate, daysLost },
  }
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
  const costs: number[] = []
  for (let at = 0; at < histories; at++) {
    const { rows, sample, costMinor } = history(truth, random)
    const { plan } = makePlan(rows, now)
    const runs = atOnce(forecastRuns(rows, plan, { seed: at + 1, from: 0, to: 200 }))
    const prepared = prepare(rows, plan.now)
    const known = inSequence(prepared, plan, null)
    if (!runs || !known) continue
    const pass = samplePasses(prepared, known.order)(sample)
    const [gate] = laidGates(prepared.compiled, pass)
    const [odds] = oddsOf(rows, plan, runs).gates
    costs.push(runs.costMinor.filter((one) => one < costMinor).length / runs.costMinor.length)
    if (gate && odds) places.push(place(odds, Math.floor(gate.at / 86_400_000), random))
  }
  const within = (share: number, of = places) => {
    const inside = of.filter((one) => one >= (1 - share) / 2 && one <= (1 + share) / 2)
    return `${((100 * inside.length) / of.length).toFixed(1)} %`
  }
  const below = (share: number, of = places) =>
    `${((100 * of.filter((one) => one <= share).length) / of.length).toFixed(1)} %`
  return {
    crew: name,
    histories: places.length,
    'in the 80 % band': within(0.8),
    'in the 50 % band': within(0.5),
    'by the likely day': below(0.5),
    'by the safe day': below(0.8),
    'cost in the 80 % band': within(0.8, costs),
    'cost in the 50 % band': within(0.5, costs),
    'under the likely cost': below(0.5, costs),
  }
}

/** One row a crew: as they guess, half as slow again, quick, and one whose life is wilder than anybody reckons. */
export const coverage = (histories: number, seed: number) => [
  covered('as crews are', usual, histories, seed),
  covered('slower: 2.4 for an hour', { ...usual, takes: 2.4 }, histories, seed + 1),
  covered('quicker: 1.1 for an hour', { ...usual, takes: 1.1 }, histories, seed + 2),
]
