/** What past steps really took against what was guessed, by kind of work. Source: handbook 5. */
import type { Step } from '../model/entities'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Operation } from '../model/words'
import { liveHours } from '../plan/liveHours'
import { accessFactor, isOpen } from '../plan/planned'

/** What everybody starts from: an hour guessed takes 1.6, as if four steps had said so. */
export const startsFrom = 1.6
const stepsBefore = 4
/** How far one step strays from its kind, in logarithms. */
const spread = 0.6
/** Half an 80 % band in standard deviations. */
const band80 = 1.28
/** So many steps of one person say something about that person. */
const stepsOfPerson = 3

/** One finished step with hours written down. */
export interface Guessed {
  readonly stepId: string
  readonly operation: Operation
  /** Hours it took ÷ (likely × access × rounds). */
  readonly ratio: number
  /** The one person who did it; null: more than one. */
  readonly personId: string | null
}

export interface Calibration {
  readonly steps: number
  /** Mean of what it took, as a factor; null: no step yet. */
  readonly mean: number | null
  /** What to use: the mean, leaning to 1.6 where steps are few. */
  readonly factor: number
  /** 80 % band of the factor. */
  readonly low: number
  readonly high: number
}

export interface KindCalibration extends Calibration {
  readonly operation: Operation
  readonly guessed: readonly Guessed[]
  /** People with enough steps of it on their own, by id. */
  readonly people: readonly (Calibration & { readonly personId: string })[]
}

/** Work whose hours are not ours to guess. */
const notOurs: ReadonlySet<Operation> = new Set(['contract', 'launch', 'lift'])

/** c = (4·ln 1.6 + Σ ln ratio) ÷ (4 + n), and what follows from it. Ratios over 0. */
export function calibrationOf(ratios: readonly number[]): Calibration {
  const steps = ratios.length
  const sum = ratios.reduce((all, one) => all + Math.log(one), 0)
  const c = (stepsBefore * Math.log(startsFrom) + sum) / (stepsBefore + steps)
  const half = band80 * doubtOf(steps)
  return {
    steps,
    mean: steps === 0 ? null : Math.exp(sum / steps),
    factor: Math.exp(c),
    low: Math.exp(c - half),
    high: Math.exp(c + half),
  }
}

const guessOf = (step: Step): number =>
  step.hoursLikely * accessFactor[step.access] * step.roundsLikely

/** Finished steps with hours of work on them. Work done again, and what stopped short, says nothing about a guess. */
function guessedSteps(rows: Pick<RefitRows, 'step' | 'hoursEntry'>): Guessed[] {
  const steps = byId(rows.step)
  const entries = groupBy(
    liveHours(rows).filter((one) => one.kind === 'work' && one.reworkCause === ''),
    (one) => one.stepId,
  )
  return [...entries].flatMap(([stepId, list]): Guessed[] => {
    const step = steps.get(stepId)
    const guess = step ? guessOf(step) : 0
    if (!step || step.state !== 'done' || step.shortBecause !== '' || guess <= 0) return []
    if (notOurs.has(step.operation)) return []
    const hours = list.reduce((sum, one) => sum + one.hours, 0)
    const people = new Set(list.map((one) => one.personId))
    const personId = people.size === 1 ? (list[0]?.personId ?? null) : null
    return [{ stepId, operation: step.operation, ratio: hours / guess, personId }]
  })
}

/** By kind of work, those that take longest against their guess first; kinds nobody did are left out. */
export function calibrations(rows: Pick<RefitRows, 'step' | 'hoursEntry'>): KindCalibration[] {
  return [...groupBy(guessedSteps(rows), (one) => one.operation)]
    .map(([operation, guessed]): KindCalibration => {
      const own = [...groupBy(guessed, (one) => one.personId)]
      return {
        operation,
        guessed,
        ...calibrationOf(guessed.map((one) => one.ratio)),
        people: own
          .filter(([, list]) => list.length >= stepsOfPerson)
          .map(([personId, list]) => ({
            personId,
            ...calibrationOf(list.map((one) => one.ratio)),
          }))
          .sort((a, b) => b.steps - a.steps || (a.personId < b.personId ? -1 : 1)),
      }
    })
    .sort((a, b) => b.factor - a.factor || (a.operation < b.operation ? -1 : 1))
}

/** All kinds together: "an hour you guess takes 1.8". */
export const overall = (rows: Pick<RefitRows, 'step' | 'hoursEntry'>): Calibration =>
  calibrationOf(guessedSteps(rows).map((one) => one.ratio))

/** What a kind of work is taken at: its own factor, or 1.6 where nobody did any; 1 where the hours are not ours. */
export function factors(
  rows: Pick<RefitRows, 'step' | 'hoursEntry'>,
): (operation: Operation) => number {
  const known = new Map(calibrations(rows).map((one) => [one.operation, one.factor]))
  return (operation) => (notOurs.has(operation) ? 1 : (known.get(operation) ?? startsFrom))
}

/**
 * What a kind of work is forecast at. The steps that are still missing to a kind's own mean are taken at what all kinds
 * take this crew, not at 1.6: a crew that is slow at everything is slow at what it has not done yet. Why: docs/forecast.md
 */
export function forecastFactors(
  rows: Pick<RefitRows, 'step' | 'hoursEntry'>,
): (operation: Operation) => number {
  const plain = factors(rows)
  const steps = new Map(calibrations(rows).map((one) => [one.operation, one.steps]))
  const crew = overall(rows).factor / startsFrom
  return (operation) =>
    notOurs.has(operation)
      ? 1
      : plain(operation) * crew ** (stepsBefore / (stepsBefore + (steps.get(operation) ?? 0)))
}

/** How sure the factor of a kind of work is: standard deviation of its logarithm, 0.6 ÷ √(4 + n). Source: handbook 5. */
export const doubtOf = (steps: number): number => spread / Math.sqrt(stepsBefore + steps)

type Marked = Step & { readonly calibration?: number }
/** The step as it was marked last: while neither it nor its factor changes it stays the same row. */
const markedLast = new WeakMap<Step, Marked>()
function marked(step: Step, calibration: number): Step {
  const last = markedLast.get(step)
  if (last?.calibration === calibration) return last
  const now: Marked = { ...step, calibration }
  markedLast.set(step, now)
  return now
}

/**
 * The rows with every open step of our own marked by the factor of its kind, where the switch is on; marks taken off
 * where it is not. Every sum of planned hours reads the mark. The same rows when nothing changes.
 */
export function calibrated<Rows extends RefitRows>(rows: Rows): Rows {
  const isOn = rows.refit[0]?.calibrate ?? false
  if (!isOn && rows.step.every((one: Marked) => one.calibration === undefined)) return rows
  const factorOf = isOn ? factors(rows) : () => 1
  const byTrade = new Set(
    rows.tradeBooking.filter((one) => one.state !== 'cancelled').map((one) => one.stepId),
  )
  let moved = false
  const step = rows.step.map((one: Marked): Step => {
    const isOurs = isOpen(one) && !byTrade.has(one.id)
    const factor = isOn && isOurs ? factorOf(one.operation) : 1
    if (factor === (one.calibration ?? 1)) return one
    moved = true
    if (one.calibration === undefined) return marked(one, factor)
    const { calibration: _before, ...plain } = one
    return factor === 1 ? plain : marked(plain, factor)
  })
  return moved ? { ...rows, step } : rows
}

/** The factor that acts on a step; 1: none does. */
export const actingOn = (step: Step): number => (step as Marked).calibration ?? 1
