import type { Step } from '../model/entities'
import { countOf } from '../steps/counted'
import { roundsLeft } from '../steps/rounds'
import { roundHours } from './planned'

/**
 * Person-hours that a step still asks for, `spent` being those written down on it. A step under way keeps what is
 * planned less what is logged, and never less than a quarter of a round; a counted one what its units still ask for;
 * one in a later round the rounds that are left.
 */
export function workLeftHours(step: Step, spent: number): number {
  const count = step.unitsDone > 0 ? countOf(step, spent) : null
  if (count) return Math.max(count.hoursLeft, count.hoursEach / 4)
  const planned = roundHours(step) * roundsLeft(step)
  const isFresh = step.state !== 'doing' || step.round > 1
  return isFresh ? planned : Math.max(roundHours(step) / 4, planned - spent)
}
