import type { Remark } from '../../model/stored'
import { formatHours } from '../../units/hours'
import { hourMs } from '../../time/civil'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import { hullWindows } from './hullWindows'
import type { Ashore } from './haulOuts'

/** True when no stretch of its people is ever long enough, so that there is no use in searching. */
export const neverFits = (activity: OpenStep, longestMs: number): boolean =>
  longestMs === 0 || (!activity.splittable && leastClockMs(activity) > longestMs)

/** Clock time with the most people it may have. */
const leastClockMs = (activity: OpenStep): number =>
  durationMs(activity, Math.min(activity.crewMax, activity.capable.length))

const hullWord: Readonly<Record<string, string>> = {
  ashore: 'ashore',
  afloat: 'afloat',
  slings: 'in the slings at a launch',
}

/** Names why no room was found for a step. */
export function notPlaced(
  activity: OpenStep,
  rows: OpenWork['rows'],
  ashore: readonly Ashore[],
  longestMs: number,
): Remark {
  const { step, job } = activity
  const named = `"${step.title}" (${job.title})`
  const about = { jobIds: [job.id], stepIds: [step.id] }
  if (longestMs === 0 && activity.workMs > 0)
    return {
      kind: 'noHours',
      message: `${named} needs ${activity.crewMin} together at the ${activity.placeNeed}, and they are never there at the same time.`,
      ...about,
    }
  if (!activity.splittable && activity.workMs > 0 && leastClockMs(activity) > longestMs)
    return {
      kind: 'tooLong',
      message: `${named} takes ${formatHours(leastClockMs(activity) / hourMs)} in one go, and the longest stretch its people have there is ${formatHours(longestMs / hourMs)}. Split it, add a person, or allow it to be left and taken up again.`,
      ...about,
    }
  const windows = hullWindows(activity, ashore, rows)
  if (step.hullNeed !== 'either' && windows.length < 2)
    return {
      kind: 'noWindow',
      message: `${named} must be done ${hullWord[step.hullNeed]}, and she is not when it could be.`,
      ...about,
    }
  return {
    kind: 'horizon',
    message: `No room was found for ${named} within 15 years.`,
    ...about,
  }
}
