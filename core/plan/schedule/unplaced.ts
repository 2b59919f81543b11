import { namedStep } from '../../model/namedStep'
import type { Remark } from '../../model/stored'
import { formatHours } from '../../units/hours'
import { hourMs } from '../../time/civil'
import { sayFullDate } from '../../time/say'
import type { ZoneClock } from '../../time/zone'
import { durationMs } from './openWork'
import type { OpenStep, OpenWork } from './openWork'
import { hullWindows } from './hullWindows'
import type { CrewStretch } from './openHours'
import type { Ashore } from './haulOuts'

/** True when no crew is ever there together for long enough, so that there is no use in searching. */
export const neverFits = (activity: OpenStep, crews: readonly CrewStretch[]): boolean =>
  crews.every(
    ({ size, reaches }) =>
      !reaches(activity.splittable ? 1 : Math.max(1, durationMs(activity, size))),
  )

const placeWord: Readonly<Record<OpenStep['placeNeed'], string>> = {
  boat: 'at the boat',
  shed: 'in the shed',
  away: 'away from the boat',
}
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
  crews: readonly CrewStretch[],
  clock: ZoneClock,
): Remark {
  const { step, job, crewMin } = activity
  const named = namedStep(step, job)
  const about = { jobIds: [job.id], stepIds: [step.id] }
  const works = activity.workMs > 0
  const longestMs = Math.max(0, ...crews.map((one) => one.longestMs))
  if (works && longestMs === 0)
    return {
      kind: 'noHours',
      message:
        crewMin === 1
          ? `${named} is done ${placeWord[activity.placeNeed]}, and nobody who can do it is ever there.`
          : `${named} needs ${crewMin} together ${placeWord[activity.placeNeed]}, and they are never there at the same time.`,
      ...about,
    }
  if (works && neverFits(activity, crews)) {
    // Of the crews that come at all, the one that would be through soonest.
    const soonest = Math.min(
      ...crews.filter((one) => one.longestMs > 0).map((one) => durationMs(activity, one.size)),
    )
    return {
      kind: 'tooLong',
      message: `${named} takes ${formatHours(soonest / hourMs)} in one go, and that is too long for any day: the longest stretch its people have there is ${formatHours(longestMs / hourMs)}. Split it, add a person, or allow it to be left and taken up again.`,
      ...about,
    }
  }
  const windows = hullWindows(activity, ashore, rows)
  if (activity.season) {
    const { notAfter } = step
    return {
      kind: 'noWindow',
      message: `${named} finds no room ${notAfter === null ? 'in the months in which it may be done' : `in its time, which ends on ${sayFullDate(notAfter)}`}: what comes before it, her hull or its people are not ready then.`,
      ...about,
    }
  }
  const [from, to] = windows.at(-1) ?? [0, 0]
  if (step.hullNeed === 'ashore' && to < Infinity && to > from)
    return {
      kind: 'noWindow',
      message: `${named} finds no room while she is ashore, ${sayFullDate(clock.dateOf(from))} to ${sayFullDate(clock.dateOf(to))}: those who can do it are not there for long enough, or are busy.`,
      ...about,
    }
  if (step.hullNeed !== 'either' && windows.every(([, end]) => end < Infinity))
    return {
      kind: 'noWindow',
      message: `${named} must be done ${hullWord[step.hullNeed]}, and she is not when it could be.`,
      ...about,
    }
  return {
    kind: 'horizon',
    message: `${named} finds nobody who can do it and has time for it, as far ahead as is planned.`,
    ...about,
  }
}

/** A step of a later haul-out that a launch before it would have to wait for. */
export function inLaterHaulOut({ step, job, ashore }: OpenStep, launch: Ashore): Remark {
  return {
    kind: 'noWindow',
    message: `${namedStep(step, job)} is done ashore in ${ashore?.haulOut.name ?? 'a later haul-out'}, and work that follows it must be done before the launch from ${launch.haulOut.name}. Put both into one haul-out, or take the link away.`,
    jobIds: [job.id],
    stepIds: [step.id],
  }
}
