/** Steps that are repeated until they are good enough: fill and fair, drying, dry fits, colour. */
import type { Step } from '../model/entities'

export const hasRounds = (step: Pick<Step, 'roundsLikely' | 'roundsMost' | 'untilGood'>): boolean =>
  step.roundsLikely > 1 || step.roundsMost > 1 || step.untilGood.trim() !== ''

/** Rounds still reckoned with, the one under way among them: never less than one. */
export const roundsLeft = (step: Pick<Step, 'roundsLikely' | 'round'>): number =>
  Math.max(1, step.roundsLikely - step.round + 1)

/** True when another round goes over what was taken as the most. */
export const isOverMost = (step: Pick<Step, 'round' | 'roundsMost'>): boolean =>
  step.round >= step.roundsMost

/** What becomes of a step when a round was not good enough: the next one, and one more reckoned with where it was the last. */
export const afterRound = (
  step: Pick<Step, 'round' | 'roundsLikely'>,
): { readonly round: number; readonly roundsLikely: number } => ({
  round: step.round + 1,
  roundsLikely: Math.max(step.roundsLikely, step.round + 1),
})
