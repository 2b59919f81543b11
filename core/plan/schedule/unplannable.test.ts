/** What nobody can do is said once, with who could be meant. */
import { expect, it } from 'vitest'
import { emptyRefit, job, person, step } from '../../testing/build'
import { judgePlan } from '../../../tests/judge/judgePlan'
import { makePlan } from '../makePlan'
import { skillGaps } from '../skillGaps'

const friday = Date.UTC(2027, 3, 16, 12)

/** Ann does mechanics, Ben nothing of the kind; both come on Saturdays. */
function crew() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  person(rows, 'Ben', [6], '08:00', '16:00')
  rows.person[0] = { ...rows.person[0]!, skills: ['mechanics'] }
  job(rows, 'Engine')
  job(rows, 'Mast')
  return rows
}
type Crew = ReturnType<typeof crew>
const saidOf = (rows: Crew) => makePlan(rows, friday).plan.reasons

it('steps short of the same skill are one thing, named by the first', () => {
  const rows = crew()
  step(rows, 'Mast', 'tangs', { skill: 'rigging' })
  step(rows, 'Engine', 'oil', { skill: 'mechanics' })
  step(rows, 'Mast', 'pins', { skill: 'rigging', crewMin: 2, crewMax: 2 })
  step(rows, 'Engine', 'belt', { skill: 'rigging' })
  expect(saidOf(rows)).toEqual([
    {
      kind: 'noSkill',
      message:
        '3 steps need somebody for rigging, and nobody does that: “belt” (Engine) and 2 more.',
      jobIds: ['Engine', 'Mast'],
      stepIds: ['belt', 'pins', 'tangs'],
    },
  ])
})

it.each([
  [
    { skill: 'aloft', crewMin: 1, crewMax: 1 },
    '“one” (Mast) needs somebody for work aloft, and nobody does that.',
  ],
  [
    { skill: 'mechanics', crewMin: 3, crewMax: 3 },
    '“one” (Mast) needs 3 people, and here are only Ann and Ben.',
  ],
  [{ crewMin: 3, crewMax: 3 }, '“one” (Mast) needs 3 people, and here are only Ann and Ben.'],
] as const)('%o', (asked, message) => {
  const rows = crew()
  step(rows, 'Mast', 'one', asked)
  expect(saidOf(rows).map((one) => one.message)).toEqual([message])
})

it('one who has the skill and whoever is there are two: Ann leads, Ben holds the other end', () => {
  const rows = crew()
  person(rows, 'Cas', [7], '08:00', '16:00')
  rows.person[2] = { ...rows.person[2]!, skills: ['mechanics'] }
  step(rows, 'Engine', 'start it', { skill: 'mechanics', crewMin: 2, crewMax: 3, hoursLikely: 8 })
  // No third without the skill, to be through sooner; and Ben alone on a day is nobody for it.
  step(rows, 'Engine', 'alone', { skill: 'mechanics', crewMin: 1, crewMax: 2, hoursLikely: 4 })
  const { plan } = makePlan(rows, friday)
  expect(plan.reasons).toEqual([])
  const crews = Object.fromEntries(plan.placements.map((one) => [one.stepId, one.personIds]))
  expect(crews).toEqual({ 'start it': ['Ann', 'Ben'], alone: ['Ann'] })
  expect(judgePlan(rows, plan)).toEqual([])
})

it('two skills are two things, and each is asked of those who are here and do not do it', () => {
  const rows = crew()
  person(rows, 'Cas', [6], '08:00', '16:00')
  rows.person[2] = { ...rows.person[2]!, gone: true }
  step(rows, 'Mast', 'many hands', { crewMin: 3, crewMax: 3 })
  step(rows, 'Engine', 'start it', { skill: 'mechanics', crewMin: 2, crewMax: 2 })
  step(rows, 'Engine', 'a long day', { skill: 'laminating', hoursLikely: 9, splittable: false })
  step(rows, 'Mast', 'up', { skill: 'aloft' })
  step(rows, 'Engine', 'kept', { skill: 'mechanics', wantedPersonId: 'Ben' })
  const reasons = saidOf(rows)
  expect(reasons.length).toBe(4)
  const asked = skillGaps(rows, reasons).map((one) => [
    one.skill,
    ...one.others.map((each) => each.name),
  ])
  expect(asked).toEqual([
    ['laminating', 'Ann', 'Ben'],
    ['mechanics', 'Ben'],
    ['aloft', 'Ann', 'Ben'],
  ])
})
