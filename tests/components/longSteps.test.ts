/** Work that no day is long enough for: one press lets it be left and taken up again. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { emptyRefit, job, step } from '#core/testing/build'
import type { Remark } from '#core/model/stored'
import { components } from './components'
import { openOn } from './fakeServer'

it('a press lets it be left, and what may be left already, or is kept for another reason, is not asked about', async () => {
  const rows = emptyRefit()
  job(rows, 'hull')
  step(rows, 'hull', 'foul', { title: 'Antifoul', operation: 'antifoul', hoursLikely: 12 })
  step(rows, 'hull', 'sand', { title: 'Sand', operation: 'grind', hoursLikely: 12 })
  step(rows, 'hull', 'coat', { title: 'Coat', operation: 'antifoul', hoursLikely: 2 })
  const { server } = await openOn(rows)
  const because = (kind: Remark['kind'], stepId: string): Remark => ({
    kind,
    message: stepId,
    jobIds: ['hull'],
    stepIds: [stepId],
  })
  const reasons = [
    because('tooLong', 'foul'),
    because('tooLong', 'sand'),
    because('noHours', 'coat'),
  ]
  const page = mount(components.LongSteps!, { props: { reasons } })
  expect(page.findAll('li').map((one) => one.find('a').text())).toEqual(['Antifoul'])
  expect(page.find('a').attributes('href')).toBe('/r/r/jobs?job=hull')
  await page.find('button').trigger('click')
  await flushPromises()
  expect(server.rows.step.find((one) => one.id === 'foul')?.splittable).toBe(true)
  expect(page.find('li').exists()).toBe(false)
  page.unmount()
})
