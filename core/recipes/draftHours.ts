import { plannedHours } from '../plan/planned'
import type { Draft, DraftStep } from './expand'

/** Person-hours a step of a draft is planned with: a recipe guesses at open reach, and by the round. */
export const draftStepHours = ({ fields }: Pick<DraftStep, 'fields'>): number =>
  plannedHours({
    hoursLikely: fields.hoursLikely,
    access: fields.access ?? 'open',
    roundsLikely: fields.roundsLikely ?? 1,
  })

/** All steps of a draft together, person-hours. */
export const draftHours = ({ steps }: Pick<Draft, 'steps'>): number =>
  steps.reduce((sum, step) => sum + draftStepHours(step), 0)
