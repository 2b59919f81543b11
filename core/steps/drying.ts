/** What readings at a step say of when it will be dry. Source: handbook-2 D7. */
import type { Reading, Step } from '../model/entities'
import { dryingOf } from '../panel/drying'
import type { Drying } from '../panel/drying'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { limitsOf, verdictOf } from './readings'

/** True for a step whose readings fall towards a dry reference. */
export const isDrying = (
  step: Pick<Step, 'waitKind' | 'readWhat' | 'readHigh' | 'readDry'>,
): boolean =>
  step.waitKind === 'dry' &&
  step.readWhat.trim() !== '' &&
  step.readHigh !== null &&
  step.readDry !== null &&
  step.readDry < step.readHigh

/** The curve through a step's readings, one a day; null: it is no drying step, or nothing was read. */
export function dryingAt(
  step: Step,
  readings: readonly Reading[],
  clock: ZoneClock,
): (Drying & { readonly readAt: number }) | null {
  const limits = limitsOf(step)
  if (!isDrying(step) || !limits) return null
  const own = readings.filter((one) => one.stepId === step.id).sort((a, b) => a.at - b.at)
  const last = own.at(-1)
  if (!last) return null
  if (verdictOf(last.value, limits) === 'pass')
    return { is: 'dry', since: clock.dateOf(last.at), readAt: last.at }
  const drying = dryingOf(
    own.map((one) => ({ on: clock.dateOf(one.at), value: one.value })),
    step.readDry ?? 0,
    step.readHigh ?? 0,
  )
  return { ...drying, readAt: last.at }
}

/** When readings let the next begin, UTC ms; null: they say no date, and the wait as it was guessed holds. */
export function dryFrom(step: Step, readings: readonly Reading[], clock: ZoneClock): number | null {
  const drying = dryingAt(step, readings, clock)
  if (drying?.is === 'dry') return drying.readAt
  if (drying?.is !== 'falling') return null
  // What was read wet cannot have been dry before it was read.
  return Math.max(drying.readAt, clock.at(dayNumber(drying.on), 0))
}
