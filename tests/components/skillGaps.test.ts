/** Who does what nobody is said to do: asked of those who are here, answered by a press. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { emptyRefit, job, person, step } from '#core/testing/build'
import { components } from './components'
import { openOn } from './fakeServer'

it('a press says that somebody does it', async () => {
  const rows = emptyRefit()
  for (const name of ['Ann', 'Ben']) person(rows, name, [6], '08:00', '16:00')
  rows.person[0] = { ...rows.person[0]!, skills: ['woodwork'] }
  job(rows, 'Engine')
  step(rows, 'Engine', 'oil', { skill: 'mechanics' })
  step(rows, 'Engine', 'wire', { skill: 'electrics' })
  const { server } = await openOn(rows)
  const reasons = ['oil', 'wire'].map((stepId) => ({
    kind: 'noSkill' as const,
    message: stepId,
    jobIds: ['Engine'],
    stepIds: [stepId],
  }))
  const page = mount(components.SkillGaps, { props: { reasons } })
  expect(page.findAll('li').map((one) => one.text().replace(/\s+/g, ' '))).toEqual([
    'Who does mechanics?AnnBen',
    'Who does electrics?AnnBen Low voltage: mains, gas and lithium stay with licensed people.',
  ])
  await page.findAll('button')[0]?.trigger('click')
  await flushPromises()
  expect(server.rows.person.map((one) => one.skills)).toEqual([['mechanics', 'woodwork'], []])
  // Asked of whoever is left until a plan is made with it.
  expect(page.findAll('li')[0]?.text()).toContain('Ben')
  expect(page.findAll('li')[0]?.text()).not.toContain('Ann')
  page.unmount()
})
