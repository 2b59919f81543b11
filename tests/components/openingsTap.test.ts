/** Where water could get in, pressed on her side view. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { emptyRefit } from '#core/testing/build'
import { press, typeIn, words } from './byName'
import { onPage } from './page'

it('writes an opening down where she is pressed, as deep as it lies, and numbers it', async () => {
  const { wrapper, store } = await onPage('launch/inputs', emptyRefit())
  const drawing = wrapper.find('svg.cursor-crosshair')
  const wide = Number(drawing.attributes('width'))
  // The drawing has a margin of 4 %, and begins 19 % of her length above the water.
  const length = wide - 2 * Math.min(24, 0.04 * wide)
  await drawing.trigger('click', { clientX: wide / 2, clientY: (0.19 + 0.03) * length })
  await flushPromises()
  // 3 % of 12.192 m are 0.37 m.
  expect(words()).toContain('0.35 m under the waterline')
  await typeIn('What is there', 'Heads intake')
  await press('Write it down')
  await vi.waitFor(() => expect(store.rows.hullOpening).toHaveLength(1))
  expect(store.rows.hullOpening).toMatchObject([
    { title: 'Heads intake', kind: 'valve', along: 0.5, heightM: -0.35 },
  ])
  expect(wrapper.findAll('svg.cursor-crosshair text').map((one) => one.text())).toEqual(['1'])
})

it('asks nothing beside her', async () => {
  const { wrapper } = await onPage('launch/inputs', emptyRefit())
  await wrapper.find('svg.cursor-crosshair').trigger('click', { clientX: 2, clientY: 2 })
  await flushPromises()
  expect(document.querySelector('[role="dialog"]')).toBeNull()
})
