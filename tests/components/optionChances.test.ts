/** Options weighed by chance: kept while other rows change, and said to be outdated when an option does. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import type { ChanceWith } from '#core/forecast/chances'
import { add, emptyRefit, job } from '#core/testing/build'
import { components } from './components'
import { openOn } from './fakeServer'

it('stay while other rows come in, and are asked for again once an option is another', async () => {
  const rows = emptyRefit()
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'dated', on: '2027-05-21' })
  job(rows, 'shaft', { gateId: 'launch' })
  add(rows, 'decision', 'seal', { jobId: 'shaft', title: 'Which seal?' })
  const option = (id: string, title: string) =>
    add(rows, 'option', id, { decisionId: 'seal', title, order: id })
  const options = [option('a', 'Packing'), option('b', 'Face seal')]
  await openOn(rows)
  const { usePlannerStore } = await import('../../app/stores/planner')
  let answer: (found: ChanceWith[][]) => void = () => undefined
  const asked = vi
    .spyOn(usePlannerStore(), 'chancesWithEach')
    .mockImplementation(() => new Promise((resolve) => (answer = resolve)))
  const side = (chance: number, likelyOn: string): ChanceWith[] => [
    { gateId: 'launch', aimedOn: '2027-05-21', chance, likelyOn },
  ]
  const wrapper = mount(components.OptionChances, { props: { options, draftOf: () => [] } })
  const ask = () => wrapper.get('button').trigger('click')
  await ask()
  // A forecast that comes in makes the same options anew.
  await wrapper.setProps({ options: [...options] })
  answer([side(40, '2027-05-29'), side(70, '2027-05-15')])
  await flushPromises()
  expect(wrapper.findAll('tbody td').map((one) => one.text())).toEqual([
    'Launch by 21 May',
    '40 in 100likely 29 May',
    '70 in 100likely 15 May',
  ])
  expect(wrapper.get('.text-verdigris').text()).toBe('70 in 100')

  const [first, ...others] = options
  if (!first) throw new Error('there is no option')
  await wrapper.setProps({ options: [{ ...first, version: 2 }, ...others] })
  expect(wrapper.find('table').exists()).toBe(false)
  expect(wrapper.get('[role=alert]').text()).toMatch(/changed since it was asked/)
  await ask()
  expect(asked).toHaveBeenCalledTimes(2)
  expect(wrapper.find('[role=alert]').exists()).toBe(false)
})
