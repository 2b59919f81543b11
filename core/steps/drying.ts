/** What readings at a step say of when it will be dry. Source: handbook-2 D7. */
import type { Reading, Step } from '../model/entities'
import { dryingOf } from '../panel/drying'
import type { Drying } from '../panel/drying'
import { dryingSentence } from '../panel/sayPanel'
import { dayNumber, hourMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { limitsOf, verdictOf } from './readings'

type DryingAt = Drying & { readonly readAt: number }

/** What readings say of a step that dries; null: it is no such step, it has no limit, or nothing was read. */
function dryingAt(step: Step, readings: readonly Reading[], clock: ZoneClock): DryingAt | null {
  const limits = limitsOf(step)
  if (step.waitKind !== 'dry' || !limits || step.readHigh === null) return null
  const own = readings.filter((one) => one.stepId === step.id).sort((a, b) => a.at - b.at)
  const last = own.at(-1)
  if (!last) return null
  const readAt = last.at
  if (verdictOf(last.value, limits) === 'pass')
    return { is: 'dry', since: clock.dateOf(readAt), readAt }
  // Without a dry reference no line can be drawn, and a wet reading is one all the same.
  if (step.readDry === null || step.readDry >= step.readHigh)
    return { is: 'tooFew', more: fewestReadings, readAt }
  const read = own.map((one) => ({ on: clock.dateOf(one.at), value: one.value }))
  return { ...dryingOf(read, step.readDry, step.readHigh), readAt }
}
const fewestReadings = 3

/** Share of the guessed wait that goes on after a reading which is still wet and gives no date; a day at least. Assumed. */
const againShare = 0.5

/** When readings let the next begin. */
export interface DryFrom {
  /** UTC ms. */
  readonly at: number
  /** Wet, and the readings give no date: the wait as it was guessed holds as well. */
  readonly isGuess: boolean
}

/** What readings say of when the next may begin; null: nothing was read, or it is no drying step. */
export function dryFrom(
  step: Step,
  readings: readonly Reading[],
  clock: ZoneClock,
): DryFrom | null {
  const drying = dryingAt(step, readings, clock)
  if (!drying) return null
  const { readAt } = drying
  if (drying.is === 'dry') return { at: readAt, isGuess: false }
  if (drying.is === 'falling') return { at: clock.at(dayNumber(drying.on), 0), isGuess: false }
  return { at: readAt + Math.max(24, step.waitHours * againShare) * hourMs, isGuess: true }
}

/** What the readings say, in a sentence; '': nothing was read. */
export function sayDrying(
  step: Step,
  readings: readonly Reading[],
  clock: ZoneClock,
  sayDate: (on: string) => string,
): string {
  if (step.waitKind === 'dry' && step.readWhat.trim() !== '' && step.readDry === null)
    return 'Say what sound, dry stuff of the same make reads: then three readings give the day it is likely dry.'
  const drying = dryingAt(step, readings, clock)
  if (!drying) return ''
  if (drying.is === 'dry') return `It passed on ${sayDate(drying.since)}.`
  if (drying.is === 'tooFew')
    return `No date yet: ${drying.more === 1 ? 'one reading more' : `${drying.more} readings more`}, each on another day.`
  return dryingSentence(drying, sayDate)
}
