/** Skills that work waits for, with who could be said to have them. */
import type { Person } from '../model/entities'
import type { Remark } from '../model/stored'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Skill } from '../model/words'

/** A skill within a sentence: "somebody for work aloft". */
export const skillWord = (skill: Skill): string => (skill === 'aloft' ? 'work aloft' : skill)

/** What is general anybody can. */
export const hasSkill = ({ skills }: Pick<Person, 'skills'>, skill: Skill): boolean =>
  skill === 'general' || skills.includes(skill)

export interface SkillGap {
  readonly skill: Skill
  /** People who are here and are not said to do it. */
  readonly others: readonly Person[]
}

/** What of a plan's troubles would be over if somebody who is here did it; each skill once, as the troubles name them. */
export function skillGaps(
  rows: Pick<RefitRows, 'person' | 'step'>,
  reasons: readonly Remark[],
): SkillGap[] {
  const steps = byId(rows.step)
  const asked = new Set(
    reasons
      .filter((one) => one.kind === 'noSkill')
      .flatMap((one) => one.stepIds.flatMap((id) => steps.get(id) ?? []))
      .filter((step) => {
        const who = rows.person.filter((one) => !one.gone && one.skills.includes(step.skill))
        // Where somebody does it, hands are short; or it is kept for another.
        return who.length === 0 || !who.some((one) => one.id === (step.wantedPersonId ?? one.id))
      })
      .map((step) => step.skill),
  )
  asked.delete('general')
  return [...asked].flatMap((skill) => {
    const others = rows.person.filter((one) => !one.gone && !one.skills.includes(skill))
    return others.length > 0 ? [{ skill, others }] : []
  })
}
