import type { Remark } from '../../model/stored'
import type { OpenStep } from './openWork'
import type { Sites } from './sites'
import type { Ashore } from './haulOuts'

/** Why a step cannot be planned at all, whatever else is done; null: it can. */
export function whyUnplannable(
  activity: OpenStep,
  sites: Sites,
  coming: readonly Ashore[],
): Remark | null {
  const { step, job } = activity
  const about = { jobIds: [job.id], stepIds: [step.id] }
  const named = `"${step.title}" (${job.title})`
  if (activity.ashore === null && step.hullNeed === 'ashore' && coming.length === 0)
    return {
      kind: 'noWindow',
      message: `${named} needs her ashore, and no haul-out is planned. Add one in Settings.`,
      ...about,
    }
  if (activity.workMs === 0 || activity.booking) return null
  const short = activity.capable.length < activity.crewMin
  if (short)
    return {
      kind: 'noSkill',
      message: `${named} needs ${activity.crewMin} with ${step.skill} skill; ${activity.capable.length} of the people here have it.`,
      ...about,
    }
  if (activity.wanted === -1)
    return {
      kind: 'noSkill',
      message: `${named} is kept for somebody who ${step.skill === 'general' ? 'is no longer here' : `is no longer here or lacks ${step.skill} skill`}. Keep it for another, or for nobody.`,
      ...about,
    }
  if (activity.wanted !== null && sites.never(activity.wanted))
    return {
      kind: 'noHours',
      message: `${named} is kept for ${sites.people[activity.wanted]?.name}, who has no hours. Set their week in Settings.`,
      ...about,
    }
  const willing = activity.capable.filter((person) => !sites.never(person))
  if (willing.length < activity.crewMin) {
    const names = activity.capable.map((person) => sites.people[person]?.name).join(', ')
    return {
      kind: 'noHours',
      message: `${named} needs ${activity.crewMin}, but no hours are set for ${names}. Set their week in Settings.`,
      ...about,
    }
  }
  return null
}
