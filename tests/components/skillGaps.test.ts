/** Who does what nobody is said to do: asked of those who are here, answered by a press. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
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
  // One who does it is enough: it is not asked of the others.
  expect(page.findAll('li').map((one) => one.text().slice(0, 17))).toEqual(['Who does electric'])
  page.unmount()
})

it('a name brings a helper every other week, on the lead’s first day, where hands are short', async () => {
  const rows = emptyRefit()
  person(rows, 'Ann', [6, 7], '08:00', '16:00', { role: 'lead' })
  job(rows, 'Deck')
  step(rows, 'Deck', 'hose', { crewMin: 3 })
  step(rows, 'Deck', 'bed', { crewMin: 2 })
  step(rows, 'Deck', 'wipe')
  step(rows, 'Deck', 'wire', { skill: 'electrics', crewMin: 2 })
  const because = (stepIds: string[]) => ({
    kind: 'noSkill' as const,
    message: '',
    jobIds: ['Deck'],
    stepIds,
  })
  const { server } = await openOn(rows)
  const none = mount(components.HandsGap!, { props: { reasons: [because(['wipe'])] } })
  expect(none.text()).toBe('')
  const page = mount(components.HandsGap!, {
    props: { reasons: [because(['hose', 'bed', 'wipe', 'wire'])] },
  })
  expect(page.text()).toContain('Who lends a hand? Three steps ask for up to three')
  expect(page.text()).toContain('every other Saturday, 08:00 to 16:00, first on Sat 17 Apr')
  await page.find('input').setValue('Kit')
  await page.find('form').trigger('submit')
  // The checks are fetched at the first press.
  await vi.waitFor(() => expect(server.rows.person).toHaveLength(2))
  await flushPromises()
  const kit = server.rows.person.find((one) => one.name === 'Kit')
  expect(kit?.role).toBe('helper')
  expect(server.rows.weekSlot.filter((one) => one.personId === kit?.id)).toMatchObject([
    { weekday: 6, from: '08:00', to: '16:00', everyWeeks: 2, anchor: '2027-04-17' },
  ])
  expect(page.text()).toContain('A step asks for three')
})
