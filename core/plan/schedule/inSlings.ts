import type { Trouble } from '../../model/stored'
import { dateOf } from '../../time/civil'
import { sayFullDate } from '../../time/say'
import type { ZoneClock } from '../../time/zone'
import type { Activity } from './compile'
import type { Diary } from './diary'
import type { Ashore, Sites, Span } from './sites'
import { tickMs } from './tick'

/** People who may stand by on a day: they can do it and did not say that they cannot come. */
const whoCome = (activity: Activity, day: number, sites: Sites): number[] =>
  activity.capable.filter((person) => !sites.away(person, day))

/** True when enough people can come on a day for what is done in the slings. */
export function enoughCome(activity: Activity, day: number, sites: Sites): boolean {
  const people = whoCome(activity, day, sites)
  return (
    people.length >= activity.crewMin &&
    (activity.wanted === null || people.includes(activity.wanted))
  )
}

/**
 * The least crew for work in the slings, at the first moment between two instants at which they are free: those who are
 * there that day anyway before those who come for it. Null: too few can come, or they are busy.
 */
export function crewInSlings(
  activity: Activity,
  [from, until]: Span,
  lengthMs: number,
  sites: Sites,
  diary: Diary,
  clock: ZoneClock,
): { readonly crew: readonly number[]; readonly span: Span } | null {
  const day = clock.dayOf(from)
  const there = (person: number) =>
    person === activity.wanted
      ? 0
      : sites.presence(person, activity.placeNeed, day).length > 0
        ? 1
        : 2
  const people = whoCome(activity, day, sites).sort((a, b) => there(a) - there(b) || a - b)
  if (!enoughCome(activity, day, sites)) return null
  for (let start = from; start + lengthMs <= until; start += tickMs) {
    const free = people.filter((person) =>
      diary.isFree(person, activity.placeNeed, start, start + lengthMs),
    )
    if (free.length < activity.crewMin) continue
    if (activity.wanted !== null && !free.includes(activity.wanted)) continue
    return {
      crew: free.slice(0, activity.crewMin).sort((a, b) => a - b),
      span: [start, start + lengthMs],
    }
  }
  return null
}

/** Why nobody does what is to be done in the slings. */
export function notInSlings(
  { step, job, crewMin }: Activity,
  own: Ashore,
  clock: ZoneClock,
): Trouble {
  const people = crewMin === 1 ? 'somebody' : `${crewMin} people`
  const when =
    own.launchAt === Infinity ? '' : ` on ${sayFullDate(dateOf(clock.dayOf(own.launchAt)))}`
  return {
    kind: 'noHours',
    message: `"${step.title}" (${job.title}) needs ${people} at the launch${when}, before she is let go, and they cannot come.`,
    jobIds: [job.id],
    stepIds: [step.id],
  }
}
