import { namedStep } from '../../model/namedStep'
import type { Remark } from '../../model/stored'
import { dateOf } from '../../time/civil'
import { sayFullDate } from '../../time/say'
import type { ZoneClock } from '../../time/zone'
import type { OpenStep } from './openWork'
import type { Diary } from './diary'
import type { Sites } from './sites'
import type { Ashore } from './haulOuts'
import { tickMs } from './tick'
import type { Interval } from '../../time/intervals'

/** People who may stand by on a day: who did not say that they cannot come. */
const whoCome = (activity: OpenStep, day: number, sites: Sites): number[] =>
  activity.hands.filter((person) => !sites.away(person, day))

/** True when enough people can come on a day for what is done in the slings, counting those that `counts`. */
export function enoughCome(
  activity: OpenStep,
  day: number,
  sites: Sites,
  counts: (person: number) => boolean = () => true,
): boolean {
  const people = whoCome(activity, day, sites).filter(counts)
  return (
    people.length >= activity.crewMin &&
    people.some((person) => activity.capable.includes(person)) &&
    (activity.wanted === null || people.includes(activity.wanted))
  )
}

/**
 * The least crew for work in the slings, at the first moment between two instants at which they are free: those who are
 * there that day anyway before those who come for it. Null: too few can come, or they are busy.
 */
export function crewInSlings(
  activity: OpenStep,
  [from, until]: Interval,
  lengthMs: number,
  sites: Sites,
  diary: Diary,
  clock: ZoneClock,
): { readonly crew: readonly number[]; readonly span: Interval } | null {
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
    const able = free.find((person) => activity.capable.includes(person))
    if (free.length < activity.crewMin || able === undefined) continue
    if (activity.wanted !== null && !free.includes(activity.wanted)) continue
    const others = free.filter((person) => person !== able)
    return {
      crew: [able, ...others].slice(0, activity.crewMin).sort((a, b) => a - b),
      span: [start, start + lengthMs],
    }
  }
  return null
}

/** Why nobody does what is to be done in the slings. */
export function notInSlings(
  { step, job, crewMin }: OpenStep,
  own: Ashore,
  clock: ZoneClock,
): Remark {
  const people = crewMin === 1 ? 'somebody' : `${crewMin} people`
  const when =
    own.launchAt === Infinity ? '' : ` on ${sayFullDate(dateOf(clock.dayOf(own.launchAt)))}`
  return {
    kind: 'noHours',
    message: `${namedStep(step, job)} needs ${people} at the launch${when}, before she is let go, and they cannot come.`,
    jobIds: [job.id],
    stepIds: [step.id],
  }
}
