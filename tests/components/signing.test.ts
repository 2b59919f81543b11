/** A line of readiness and a launch all the same are signed by somebody who said so. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { useMe } from '../../app/composables/useMe'
import { fieldOf, press, typeIn } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

async function anyway(names: readonly string[], me = '') {
  const rows = emptyRefit()
  add(rows, 'haulOut', 'spring', { name: 'Spring' })
  names.forEach((name, at) =>
    add(rows, 'person', name, { name, order: `${at}`, gone: name === 'Gone' }),
  )
  const { server } = await openOn(rows)
  useMe().value = me
  await flushPromises()
  mount(components.AnywayDialog, {
    props: { open: true, haulOutId: 'spring', stops: ['Engine intake'] },
    attachTo: document.body,
  })
  await flushPromises()
  return { server }
}

it('begins with nobody of several, and waits for a name', async () => {
  const { server } = await anyway(['Gone', 'Ida', 'Ben'])
  expect(fieldOf('Signed by').value).toBe('')
  await typeIn('Why', 'Tow to the next yard')
  await press('Sign with my name')
  const alerts = () =>
    [...document.querySelectorAll('[role=alert]')].map((one) => one.textContent?.trim())
  await vi.waitFor(() =>
    expect(alerts()).toEqual(['Choose one for “Signed by”.', 'Choose one for “Signed by”.']),
  )
  expect(server.changes).toEqual([])
  await typeIn('Signed by', 'Ben')
  await press('Sign with my name')
  await vi.waitFor(() => expect(server.changes).toHaveLength(1))
  expect(server.rows.readySign).toMatchObject([
    { personId: 'Ben', as: 'anyway', because: 'Tow to the next yard Open then: Engine intake.' },
  ])
})

it.each([
  ['whoever is at the device', ['Ida', 'Ben'], 'Ben', 'Ben'],
  ['the only one there is', ['Gone', 'Ida'], '', 'Ida'],
  ['nobody where the one at the device is gone', ['Gone', 'Ida', 'Ben'], 'Gone', ''],
] as const)('begins with %s', async (_, names, me, signer) => {
  await anyway(names, me)
  expect(fieldOf('Signed by').value).toBe(signer)
})
