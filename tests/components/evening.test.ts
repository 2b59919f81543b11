/** The evening: she is left with something open only under a name. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { h, ref } from 'vue'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { useMe } from '../../app/composables/useMe'
import { fieldOf, press, typeIn, words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

const on = '2027-04-17'
interface Evening {
  ask: () => void
  stops: readonly unknown[]
}

/** A hatch was opened on deck, and no forecast reaches the next visit. */
async function evening(names: readonly string[], me = '') {
  const rows = emptyRefit()
  names.forEach((name, at) => person(rows, name, [6], '09:00', '17:00', { name, order: `${at}` }))
  add(rows, 'zone', 'deck', { name: 'Foredeck', strake: 'deck', order: 'a' })
  job(rows, 'hatch', { title: 'Hatch', zoneId: 'deck' })
  step(rows, 'hatch', 'off', {
    title: 'Take it off',
    opens: true,
    state: 'done',
    doneAt: Date.UTC(2027, 3, 17, 6),
  } as never)
  step(rows, 'hatch', 'bed', { title: 'Bed it', closes: true })
  const { server } = await openOn(rows)
  useMe().value = me
  const view = ref<Evening | null>(null)
  mount(
    () =>
      h(components.EveningView as never, {
        ref: view,
        frame: { on, personIds: names, to: '17:00' },
      }),
    { attachTo: document.body },
  )
  await flushPromises()
  expect(view.value?.stops).toHaveLength(1)
  view.value?.ask()
  await flushPromises()
  return server
}

it('asks who says so, and begins with nobody of several', async () => {
  const server = await evening(['Ida', 'Tam'])
  expect(words()).toContain('Foredeck: close or cover it')
  expect(fieldOf('Who says so').value).toBe('')
  await press('She is left all the same')
  expect(words()).toContain('Choose who says so.')
  expect(server.changes).toEqual([])
  await typeIn('Who says so', 'Tam')
  expect(words()).not.toContain('Choose who says so.')
  await press('She is left all the same')
  await vi.waitFor(() => expect(server.rows.leaving).toHaveLength(1))
  expect(server.rows.leaving[0]).toMatchObject({
    on,
    personId: 'Tam',
    stops: 'Foredeck: close or cover it',
  })
})

it('begins with whoever is at the device, and asks nobody where nobody is written down', async () => {
  await evening(['Ida', 'Tam'], 'Tam')
  expect(fieldOf('Who says so').value).toBe('Tam')
  document.body.innerHTML = ''
  const server = await evening([])
  await press('She is left all the same')
  await vi.waitFor(() => expect(server.rows.leaving).toHaveLength(1))
  expect(server.rows.leaving[0]?.personId).toBeNull()
})
