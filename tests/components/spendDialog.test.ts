/** What was paid: shared out to the coin, kept as it was typed where it cannot be. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { fieldOf, press, typeIn, words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

async function paying(
  fill: (rows: Building) => void = () => undefined,
  spendId: string | null = null,
) {
  const rows = emptyRefit()
  add(rows, 'system', 'rig', { name: 'Rig', kind: 'rig', order: 'a' })
  job(rows, 'deck', { title: 'Deck' })
  job(rows, 'stove', { title: 'Stove' })
  job(rows, 'gone', { title: 'Gone', decision: 'dropped' })
  fill(rows)
  const { server } = await openOn(rows)
  const page = mount(components.SpendDialog, {
    props: { open: true, spendId },
    attachTo: document.body,
  })
  await flushPromises()
  /** Shares as they are kept, by what they are for. */
  const shares = () =>
    server.rows.spendShare.map((one) => [one.jobId ?? one.systemId, one.minor] as const)
  return { server, page, shares }
}
const changed = (server: { changes: readonly unknown[] }, many = 1) =>
  vi.waitFor(() => expect(server.changes).toHaveLength(many))

it('gives the empty share what is left', async () => {
  const { server, page, shares } = await paying()
  await typeIn('What for', 'Bolts and butyl')
  await typeIn('Sum', '100')
  await press('For a job or system')
  await typeIn('Share 1 for', 'job deck')
  await typeIn('Sum of share 1', '33.35')
  await press('Another share')
  await typeIn('Share 2 for', 'system rig')
  await press('Write it down')
  await changed(server)
  expect(server.rows.spend).toMatchObject([
    { what: 'Bolts and butyl', minor: 10_000, on: '2027-04-17', kind: 'part', currency: '' },
  ])
  expect(shares()).toEqual([
    ['deck', 3335],
    ['rig', 6665],
  ])
  expect(page.emitted('close')).toHaveLength(1)
})

it('is not kept while a share is for nothing, or shares do not come to the sum', async () => {
  const { server, shares } = await paying()
  await typeIn('What for', 'Bolts')
  await typeIn('Sum', '100')
  await press('For a job or system')
  await press('Write it down')
  expect(words()).toContain('For which job or system is each share?')
  await typeIn('Share 1 for', 'job deck')
  await typeIn('Sum of share 1', '120')
  await press('Write it down')
  expect(server.changes).toEqual([])
  expect(fieldOf('Sum of share 1').value).toBe('120.00')
  // What is dropped is paid for no more.
  expect(
    [...document.querySelectorAll('option')].map((one) => one.textContent?.trim()),
  ).not.toContain('Gone')
  await press('Take share 1 away')
  await press('Write it down')
  await changed(server)
  expect(shares()).toEqual([])
})

/** 90.00 for the deck, all of it. */
const paid = (rows: Building) => {
  const spend = { on: '2027-04-10', what: 'Paint', kind: 'part', minor: 9000, note: 'tin' } as const
  add(rows, 'spend', 'paint', { ...spend, isBack: false })
  add(rows, 'spendShare', 'all', { spendId: 'paint', jobId: 'deck', minor: 9000, order: 'a' })
}

it('keeps its one share at the whole sum when that is put right', async () => {
  const { server, shares } = await paying(paid, 'paint')
  expect(fieldOf('Sum').value).toBe('90.00')
  await typeIn('Sum', '95.50')
  await press('Keep it')
  await changed(server)
  expect(server.rows.spend).toMatchObject([{ id: 'paint', minor: 9550, note: 'tin' }])
  expect(shares()).toEqual([['deck', 9550]])
})

it('goes with its shares', async () => {
  const { server, page, shares } = await paying(paid, 'paint')
  await press('Remove')
  await changed(server)
  expect([server.rows.spend, shares()]).toEqual([[], []])
  expect(server.changes[0]?.label).toBe('Remove Paint')
  expect(page.emitted('close')).toHaveLength(1)
})
