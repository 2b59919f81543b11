/** The watch at the launch, one thing at a time: what runs is told to who can help then. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { useToastStore } from '../../app/stores/toasts'
import { typeIn, words } from './byName'
import { onPage } from './page'

/** One opening below the waterline; launched on a day, or still to be. */
async function watch(launchActual: string | null) {
  const rows = emptyRefit()
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', order: 'a' })
  add(rows, 'haulOut', 'spring', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-03-01',
    liftOutActual: '2027-03-01',
    launchAimed: '2027-04-17',
    launchActual,
  } as never)
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'spring' })
  add(rows, 'hullOpening', 'intake', { title: 'Engine intake', boreMm: 25, heightM: -0.4 } as never)
  const page = await onPage('launch/watch', rows)
  await flushPromises()
  return page
}
const said = () => useToastStore().toasts.at(-1)?.text ?? ''
const button = (name: string) =>
  [...document.querySelectorAll('button')].findLast((one) =>
    one.textContent?.replace(/\s+/g, ' ').trim().startsWith(name),
  )
async function pressed(name: string) {
  const found = button(name)
  if (!found) throw new Error(`There is no button ${name}.`)
  found.click()
  await flushPromises()
}

it('has her lifted again while she hangs', async () => {
  const { server } = await watch(null)
  expect(words()).toContain('Engine intake')
  // Nobody wrote down how it is shut: that it cannot be is not known.
  expect(words()).toContain('no way written down')
  await pressed('Runs')
  await vi.waitFor(() => expect(server.rows.watchLook).toHaveLength(1))
  expect(server.rows.watchLook[0]).toMatchObject({ moment: 'slack', outcome: 'runs' })
  expect(said()).toContain('up again. Tell the driver now')
  await flushPromises()
  expect(words()).toContain('Not dry yet: Engine intake.')
})

it('has what runs plugged once she is let go of', async () => {
  const { server } = await watch('2027-04-17')
  await pressed('After 24 h')
  expect(button('Runs')?.textContent).toContain('plug it')
  await pressed('Runs')
  await vi.waitFor(() => expect(server.rows.watchLook).toHaveLength(1))
  expect(said()).toContain('plug it, pumps on, then the damage card.')
})

it('keeps how many drops a minute weep, then that it is dry, and lets her go', async () => {
  const { server } = await watch(null)
  await pressed('Weeps')
  await typeIn('Drops a minute', '12')
  await pressed('Weeps')
  await vi.waitFor(() =>
    expect(server.rows.watchLook[0]).toMatchObject({ outcome: 'weeps', value: 12 }),
  )
  await flushPromises()
  expect(button('All dry')).toBeUndefined()
  document
    .querySelector<HTMLButtonElement>('section[aria-label="All of this look"] button')
    ?.click()
  await flushPromises()
  await pressed('Dry')
  await vi.waitFor(() => expect(server.rows.watchLook).toHaveLength(2))
  await flushPromises()
  await pressed('All dry: let go')
  await vi.waitFor(() => expect(server.rows.haulOut[0]?.launchActual).toBe('2027-04-17'))
})
