import type { Step } from '../model/entities'
import { metresPerInch } from '../units/length'
import { isOpen, plannedHours } from '../plan/planned'

/** Length overall in inches: the whole Tape. */
export const loaInches = (loaM: number): number => loaM / metresPerInch

/** Inches earned so far: what finished steps stored, and `keptIn` of those that were removed since. */
export const earnedInches = (steps: readonly Pick<Step, 'earnedIn'>[], keptIn = 0): number =>
  steps.reduce((sum, step) => sum + (step.earnedIn ?? 0), keptIn)

/**
 * What the Tape shows as earned. With nothing left open all of it is: inches of work that was dropped
 * belong to nothing any more. Never more than the boat is long.
 */
export const tapeInches = (loaIn: number, earnedIn: number, openHours: number): number =>
  openHours <= 0 && earnedIn > 0 ? loaIn : Math.min(loaIn, earnedIn)

/** Planned hours of the steps still open, in jobs that the plan is asked to do. */
export function openHoursOf(steps: readonly Step[], plannedJobIds: ReadonlySet<string>): number {
  return steps
    .filter((step) => isOpen(step) && plannedJobIds.has(step.jobId))
    .reduce((sum, step) => sum + plannedHours(step), 0)
}

/**
 * Inches a step earns on closing: (LOA − E) × h / H_open, all before closing. Hours and inches at
 * least 0. Earns 0 when it plans no hours; never more than what is left. Source: handbook 3.
 */
export function inchesForClosing(
  loaIn: number,
  earnedIn: number,
  stepHours: number,
  openHours: number,
): number {
  if (stepHours <= 0 || openHours <= 0) return 0
  return Math.max(0, loaIn - earnedIn) * Math.min(1, stepHours / openHours)
}

/** Where a gate's mark stands: E + the share of the rest that it and earlier gates still need. */
export const gateMarkInches = (
  loaIn: number,
  earnedIn: number,
  hoursNeeded: number,
  openHours: number,
): number => (openHours <= 0 ? earnedIn : earnedIn + ((loaIn - earnedIn) * hoursNeeded) / openHours)

/** Inches that now belong to found work of h hours: (LOA − E) × h / (H_open + h), H_open before it came. */
export const inchesOfFoundWork = (
  loaIn: number,
  earnedIn: number,
  foundHours: number,
  openHoursBefore: number,
): number =>
  foundHours <= 0 ? 0 : ((loaIn - earnedIn) * foundHours) / (openHoursBefore + foundHours)
