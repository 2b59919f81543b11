/** Steps that are counted off: bolts, holes, plies, metres. */
import type { Reading, Step } from '../model/entities'
import { plannedHours } from '../plan/planned'
import { unitsHeld } from './readings'

/** How far a counted step is. */
export interface Count {
  readonly unit: string
  readonly of: number
  readonly done: number
  readonly left: number
  /** Person-hours a unit: as they went so far, else as planned. */
  readonly hoursEach: number
  /** True when `hoursEach` is what was measured. */
  readonly measured: boolean
  /** Person-hours for what is left. */
  readonly hoursLeft: number
}

/** Units after which their pace says more than the plan: the first ones are slower. */
const unitsForPace = 3

/** True for a step that is counted off. */
export const isCounted = (step: Pick<Step, 'unitCount'>): boolean => (step.unitCount ?? 0) > 0

/**
 * Count of a step; null: it is done at once. `hoursLogged`: person-hours on it so far. Three units in, what is left
 * goes by the hours they took.
 */
export function countOf(step: Step, hoursLogged: number): Count | null {
  const of = step.unitCount ?? 0
  if (of <= 0) return null
  const done = Math.min(of, step.unitsDone)
  const measured = done >= unitsForPace && hoursLogged > 0
  const hoursEach = measured ? hoursLogged / done : plannedHours(step) / of
  return {
    unit: step.unitName.trim() || 'units',
    of,
    done,
    left: of - done,
    hoursEach,
    measured,
    hoursLeft: (of - done) * hoursEach,
  }
}

/** What one more may be done on: with prove on one, none but the first until it has passed. */
export interface NextUnit {
  /** Its number from 1; null: none is left, or all others are held. */
  readonly no: number | null
  readonly heldBecause: string
}

/** Numbers of the units from 1 in the order in which they are done: where no two neighbours may be open, every other one first. */
export function unitOrder({
  unitCount,
  noNeighbours,
}: Pick<Step, 'unitCount' | 'noNeighbours'>): number[] {
  const all = Array.from({ length: unitCount ?? 0 }, (_, index) => index + 1)
  if (!noNeighbours) return all
  return [...all.filter((no) => no % 2 === 1), ...all.filter((no) => no % 2 === 0)]
}

/** Numbers of the units that are done, those that a failed reading holds left out. */
export function unitsDoneOf(step: Step, readings: readonly Reading[]): ReadonlySet<number> {
  const held = unitsHeld(step, readings)
  return new Set(
    unitOrder(step)
      .filter((no) => !held.has(no))
      .slice(0, step.unitsDone),
  )
}

/** The next unit to work on: the first that is not done, past those that a failed reading holds. */
export function nextUnit(step: Step, readings: readonly Reading[]): NextUnit {
  const held = unitsHeld(step, readings)
  const proved = step.unitsDone === 0 ? !held.has(1) : isProved(step, readings)
  if (step.proveOnOne && !proved)
    return { no: null, heldBecause: 'The first one has not passed yet: the others wait for it.' }
  const free = unitOrder(step).filter((no) => !held.has(no))
  const no = free[step.unitsDone] ?? null
  if (no !== null) return { no, heldBecause: '' }
  return { no, heldBecause: held.size > 0 ? `Held by its reading: ${[...held].join(', ')}.` : '' }
}

/** True when the first unit was read and passed; a step that reads nothing is proved by being done. */
function isProved(step: Step, readings: readonly Reading[]): boolean {
  if (step.readWhat.trim() === '') return step.unitsDone > 0
  const first = readings.filter((one) => one.stepId === step.id && one.unitNo === 1)
  return first.length > 0 && !unitsHeld(step, readings).has(1)
}
