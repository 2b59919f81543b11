/** The line that adds a row: checked before it is sent, once, after those that stand; what was typed stays until it is kept. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import UiAnother from '../../app/components/ui/UiAnother.vue'
import { openOn } from './fakeServer'

async function limitsPage() {
  const rows = emptyRefit()
  add(rows, 'limit', 'lock', { title: 'Lock', order: 't' })
  add(rows, 'limit', 'bridge', { title: 'Bridge', order: 'c' })
  const opened = await openOn(rows)
  const page = mount(UiAnother, {
    props: { entity: 'limit', field: 'title', label: 'Another limit', keep: 'Add' },
    attachTo: document.body,
  })
  const type = (words: string) => page.get('input').setValue(words)
  const press = async () => {
    await page.get('form').trigger('submit')
    // The checks are fetched at the first press.
    await vi.waitFor(
      () => expect(page.get('button').attributes('disabled')).toBeUndefined(),
      20_000,
    )
    await flushPromises()
  }
  return { ...opened, page, type, press }
}

it('says what is missing by the name it has here, once, and sends nothing', async () => {
  const { server, page, press } = await limitsPage()
  await press()
  expect(page.findAll('[role=alert]').map((one) => one.text())).toEqual([
    'Another limit is missing.',
  ])
  expect(server.rows.limit).toHaveLength(2)
  page.unmount()
})

it('adds it after the last, once for a press that comes twice, and is empty again', async () => {
  const { server, page, type, press } = await limitsPage()
  await type('  Slings ')
  void page.get('form').trigger('submit')
  await press()
  const made = server.rows.limit.filter((one) => !['lock', 'bridge'].includes(one.id))
  expect(made.map((one) => one.title)).toEqual(['Slings'])
  expect((made[0]?.order ?? '') > 't').toBe(true)
  expect(page.get('input').element.value).toBe('')
  expect(page.emitted('made')).toEqual([[made[0]?.id]])
  page.unmount()
})

it('keeps what was typed when the server refuses it, and says why', async () => {
  const { server, page, type, press } = await limitsPage()
  server.refusal = {
    status: 422,
    problem: { code: 'rule', message: 'No more limits.', fields: [] } as never,
  }
  await type('Slings')
  await press()
  expect(page.get('input').element.value).toBe('Slings')
  expect(page.get('[role=alert]').text()).toBe('No more limits.')
  expect(server.rows.limit).toHaveLength(2)
  page.unmount()
})
