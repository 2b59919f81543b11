import { namedStep } from '../../model/namedStep'
import type { Remark } from '../../model/stored'
import { skillWord } from '../skillGaps'
import type { OpenStep } from './openWork'
import type { Sites } from './sites'
import type { Ashore } from './haulOuts'

/**
 * Why steps cannot be planned at all, whatever else is done. What is short of the same people for the same skill is said
 * once: it is mended once.
 */
export function unplannable(
  activities: Iterable<OpenStep>,
  sites: Sites,
  coming: readonly Ashore[],
): Remark[] {
  const remarks: Remark[] = []
  const short = new Map<string, OpenStep[]>()
  for (const activity of activities) {
    const why = whyUnplannable(activity, sites, coming)
    if (why === 'tooFew') {
      const key = lacksSkill(activity) ? activity.step.skill : 'hands'
      short.set(key, [...(short.get(key) ?? []), activity])
    } else if (why) remarks.push(why)
  }
  return [...[...short.values()].map((some) => tooFew(some, sites)), ...remarks]
}

/** Nobody here has its skill; else it is hands that are short. */
const lacksSkill = ({ step, capable }: OpenStep): boolean =>
  step.skill !== 'general' && capable.length === 0

/** Steps that ask for more of the same people than there are. Precondition: one at least. */
function tooFew(some: readonly OpenStep[], { people }: Sites): Remark {
  const [first] = some as [OpenStep, ...OpenStep[]]
  const { skill } = first.step
  const names = people.map((person) => person.name).join(' and ')
  const most = Math.max(...some.map((one) => one.crewMin))
  const isMixed = some.some((one) => one.crewMin < most)
  const many = most === 1 ? 'somebody' : `${isMixed ? 'up to ' : ''}${most} people`
  const named = namedStep(first.step, first.job)
  const [what, more] =
    some.length === 1
      ? [`${named} needs`, '']
      : [`${some.length} steps need`, `: ${named} and ${some.length - 1} more`]
  const why = lacksSkill(first)
    ? `somebody for ${skillWord(skill)}, and nobody does that`
    : `${many}, and ${names === '' ? 'nobody is here' : `here ${people.length === 1 ? 'is' : 'are'} only ${names}`}`
  return {
    kind: 'noSkill',
    message: `${what} ${why}${more}.`,
    jobIds: [...new Set(some.map((one) => one.job.id))],
    stepIds: some.map((one) => one.step.id),
  }
}

/** Why one step cannot; 'tooFew': more people are asked for than can do it; null: it can. */
function whyUnplannable(
  activity: OpenStep,
  sites: Sites,
  coming: readonly Ashore[],
): Remark | 'tooFew' | null {
  const { step, job } = activity
  const about = { jobIds: [job.id], stepIds: [step.id] }
  const named = namedStep(step, job)
  if (activity.ashore === null && step.hullNeed === 'ashore' && coming.length === 0)
    return {
      kind: 'noWindow',
      message: `${named} needs her ashore, and no haul-out is planned. Add one in Settings.`,
      ...about,
    }
  if (activity.workMs === 0 || activity.booking) return null
  if (lacksSkill(activity) || activity.hands.length < activity.crewMin) return 'tooFew'
  if (activity.wanted === -1)
    return {
      kind: 'noSkill',
      message: `${named} is kept for somebody who ${step.skill === 'general' ? 'is no longer here' : `is no longer here or does no ${skillWord(step.skill)}`}. Keep it for another, or for nobody.`,
      ...about,
    }
  if (activity.wanted !== null && sites.never(activity.wanted))
    return {
      kind: 'noHours',
      message: `${named} is kept for ${sites.people[activity.wanted]?.name}, who has no hours. Set their week in Settings.`,
      ...about,
    }
  const willing = (people: readonly number[]) => people.filter((person) => !sites.never(person))
  const isLed = willing(activity.capable).length > 0
  if (!isLed || willing(activity.hands).length < activity.crewMin) {
    const names = (isLed ? activity.hands : activity.capable)
      .filter((person) => sites.never(person))
      .map((person) => sites.people[person]?.name)
      .join(', ')
    return {
      kind: 'noHours',
      message: `${named} needs ${activity.crewMin}, but no hours are set for ${names}. Set their week in Settings.`,
      ...about,
    }
  }
  return null
}
