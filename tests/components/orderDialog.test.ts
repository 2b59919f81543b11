/** An order made of what is to be bought: what it says is about what is on it. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { buyBoard } from '#core/stores/board'
import { add, step } from '#core/testing/build'
import { factsOf, refit } from '#core/testing/storesRefit'
import { press, tick, typeIn, words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'

const at = Date.UTC(2027, 3, 17, 7, 30)

/** Rubber for Saturday 22 May, measured before; butyl of the same shop for Saturday 5 June; bolts of another. */
async function ordering() {
  const rows = refit()
  rows.step = rows.step.map((one) =>
    one.id === 'measure' ? { ...one, notBefore: '2027-05-01' } : one,
  )
  step(rows, 'hatch', 'seal', { operation: 'fit', hoursLikely: 1, notBefore: '2027-06-05' })
  add(rows, 'supplier', 'town', { name: 'In town' })
  const wanted = { jobId: 'hatch', neededByStepId: 'seal', quantity: 2 }
  add(rows, 'part', 'butyl', { ...wanted, name: 'Butyl', supplierId: 'post', priceMinor: 1500 })
  add(rows, 'part', 'bolts', { ...wanted, name: 'Bolts', supplierId: 'town', priceMinor: 100 })
  const board = buyBoard(factsOf(rows, at)).rows
  const { server } = await openOn(rows)
  const page = mount(components.OrderDialog, {
    props: {
      open: true,
      rows: board.filter((one) => one.pool.name === 'Rubber'),
      others: board,
    },
    attachTo: document.body,
  })
  await flushPromises()
  return { server, page }
}
const late = /too late for the first step that needs it/

it('offers what else is bought there, and sums up what is ticked', async () => {
  await ordering()
  expect(words()).toContain('From them as well:Butyl')
  expect(words()).not.toContain('Bolts')
  // Three metres at 20.00.
  expect(words()).toContain('€60It is ordered')
  await press('Butyl')
  await typeIn('Freight', '8.50')
  // And two at 15.00, with the freight.
  expect(words()).toContain('€98.50')
  expect(words()).not.toContain('From them as well')
  await tick('Rubber')
  expect(words()).toContain('€38.50')
})

it('speaks of what is on it, and of nothing that was taken off', async () => {
  await ordering()
  expect(words()).toContain('Rubber: its size is not sure yet.')
  expect(words()).not.toMatch(late)
  await press('Butyl')
  // Three days after the rubber is needed, eleven before the butyl.
  await typeIn('Due on', '25 May 2027')
  expect(words()).toContain('That is 3 days too late for the first step that needs it')
  await tick('Rubber')
  expect(words()).not.toMatch(late)
  expect(words()).not.toContain('its size is not sure yet')
  await tick('Butyl')
  expect(words()).toContain('Take at least one line.')
})

it('is written down as it stands, with no line that was taken off', async () => {
  const { server, page } = await ordering()
  await press('Butyl')
  await tick('Rubber')
  await typeIn('Freight', '8.50')
  await press('It is ordered')
  await vi.waitFor(() => expect(server.changes).toHaveLength(1))
  expect(server.rows.purchase).toMatchObject([
    // Six days by post.
    {
      number: '1',
      supplierId: 'post',
      orderedOn: '2027-04-17',
      dueOn: '2027-04-23',
      freightMinor: 850,
    },
  ])
  expect(server.rows.purchaseLine).toMatchObject([
    { name: 'Butyl', quantity: 2, priceMinor: 3000, purchaseId: server.rows.purchase[0]?.id },
  ])
  expect(server.changes.map((one) => one.label)).toEqual(['Order 1'])
  expect(page.emitted('done')).toHaveLength(1)
})
