/** What is folded in the drawing of what to buy is pressed open and shut, and whoever stands in a list stays there. */
import { mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useFocusKept } from '../../app/composables/useFocusKept'
import { add } from '#core/testing/build'
import { refit } from '#core/testing/storesRefit'
import { onPage } from './page'
import { usePlannerStore } from '../../app/stores/planner'
import { withWorkers } from './workers'

const hits = () => [...document.querySelectorAll<SVGElement>('.hit')]
const saidOf = (one: Element | null | undefined) => one?.getAttribute('aria-label') ?? ''
const lath = () => hits().find((one) => one.hasAttribute('aria-expanded')) as SVGElement

it('opens and shuts by key, and the way down goes through it', async () => {
  const rows = refit()
  for (let n = 10; n < 50; n++)
    add(rows, 'part', `nail${n}`, {
      name: `Nail of ${n} mm`,
      unit: '',
      quantity: 1,
      jobId: 'hatch',
      neededByStepId: 'bed',
      supplierId: 'post',
    })
  withWorkers()
  await onPage('stores', rows, { begin: usePlannerStore })
  await vi.waitFor(() => expect(usePlannerStore().busy).toBe(false), 5000)
  await vi.waitFor(() => expect(saidOf(lath())).toMatch(/^\d+ more in May, €60: show them$/))
  const folded = Number.parseInt(saidOf(lath()), 10)
  const before = hits().length
  lath().focus()
  lath().dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
  await nextTick()
  expect([saidOf(lath()), lath().getAttribute('aria-expanded')]).toEqual([
    `${folded} more in May, €60: fold them`,
    'true',
  ])
  expect(hits()).toHaveLength(before + folded)
  expect(document.activeElement).toBe(lath())
  lath().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', bubbles: true }))
  expect(saidOf(document.activeElement)).toMatch(/^Nail of/)
  lath().dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }))
  await nextTick()
  expect(hits()).toHaveLength(before)
})

it('keeps the focus where its list comes in another order, and gives it to nobody who is gone', async () => {
  const order = ref(['a', 'b', 'c'])
  mount(
    defineComponent({
      setup() {
        useFocusKept()
        return () =>
          h(
            'ul',
            order.value.map((one) => h('li', { key: one }, h('button', one))),
          )
      },
    }),
    { attachTo: document.body },
  )
  const button = (name: string) =>
    [...document.querySelectorAll('button')].find((one) => one.textContent === name)
  button('c')?.focus()
  order.value = ['c', 'a', 'b']
  await nextTick()
  expect(document.activeElement).toBe(button('c'))
  order.value = ['a', 'b']
  await nextTick()
  expect(document.activeElement).toBe(document.body)
})
