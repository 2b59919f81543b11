/** Orders on their page: what of them asks first, what came in part, was over or faulty, and what each line costs. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { useMe } from '../../app/composables/useMe'
import { fieldOf, press, tick, typeIn, words } from './byName'
import { onPage } from './page'

/** Today is 17 April 2027. One line of order 9 is late, one of order 7 is to come; all of order 8 is here and checked. */
function refit(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  add(rows, 'supplier', 'post', { name: 'By post' })
  job(rows, 'hatch')
  step(rows, 'hatch', 'bed', { title: 'Bed it' })
  const order = (id: string, dueOn: string | null) =>
    add(rows, 'purchase', id, {
      number: id,
      supplierId: 'post',
      orderedOn: `2027-04-0${id}`,
      dueOn,
      freightMinor: 850,
      taxMinor: 0,
    })
  const line = (purchaseId: string, id: string, name: string, more: object = {}) =>
    add(rows, 'purchaseLine', id, { purchaseId, name, quantity: 3, unit: 'm', order: id, ...more })
  order('7', '2027-05-06')
  line('7', 'a', 'Rubber', { priceMinor: 6000 })
  line('7', 'b', 'Tape', { priceMinor: 3000 })
  order('8', '2027-04-10')
  line('8', 'c', 'Paint', { priceMinor: 4000 })
  add(rows, 'delivery', 'd', {
    lineId: 'c',
    cameOn: '2027-04-12',
    quantity: 3,
    checkedOn: '2027-04-12',
    batch: 'K7',
  })
  order('9', '2027-04-16')
  line('9', 'e', 'Bolts', { priceMinor: null })
  add(rows, 'part', 'tape', { name: 'Tape', state: 'ordered', quantity: 3, unit: 'm' })
  add(rows, 'lineWant', 'w', { lineId: 'b', partId: 'tape' })
  fill(rows)
  return rows
}
async function onOrders(query: Record<string, string> = {}, rows = refit()) {
  const page = await onPage('stores', rows, { query: { show: 'orders', ...query } })
  return page
}
const listed = () =>
  [...document.querySelectorAll('nav[aria-label=Orders] li')].map((one) =>
    one.textContent?.replace(/\s+/g, ' ').trim(),
  )
const rowOf = (name: string) =>
  [...document.querySelectorAll('tbody tr')]
    .find((one) => one.querySelector('td')?.textContent?.includes(name))
    ?.textContent?.replace(/\s+/g, ' ')

it('that ask for something come first, and what is all there last', async () => {
  await onOrders()
  expect(listed()).toEqual([
    expect.stringMatching(/^9, By post.*1 to come/),
    expect.stringMatching(/^7, By post.*2 to come/),
    expect.stringMatching(/^8, By post.*here and checked/),
  ])
  expect(words()).toContain('3 lines to come, 1 past their day')
  // Without a price it has no share of the freight, and says so.
  expect(rowOf('Bolts')).toContain('no price')
  expect(words()).toMatch(/1\s*line has\s*no price/)
})

it('share their freight by price, to the cent', async () => {
  await onOrders({ order: '7' })
  // 8.50 by 60 to 30: 5.67 and 2.83.
  expect(rowOf('Rubber')).toContain('€65.67')
  expect(rowOf('Tape')).toContain('€32.83')
  expect(words()).toContain('goods €90.00, freight €8.50, tax €0.00')
  expect(words()).toContain('€98.50')
})

it('of which a line is due on another day, or nobody knows when', async () => {
  const { server } = await onOrders({ order: '7' })
  await press('Another day')
  expect(words()).toContain('Tape: when does it come?')
  expect(fieldOf('Due on').value).toBe('Thu 6 May 2027')
  await typeIn('Due on', '20 May 2027')
  await press('Keep')
  await vi.waitFor(() => expect(server.changes).toHaveLength(1), 5000)
  expect(server.rows.purchaseLine[1]?.dueOn).toBe('2027-05-20')
  expect(server.rows.part[0]?.arrivesOn).toBe('2027-05-20')
})

it('come in part: what is short is due later, and is said before it is kept', async () => {
  const { server } = await onOrders({ order: '7' })
  useMe().value = ''
  await press('It came')
  expect(words()).toContain('Ordered 3 m; 3 m still to come, due Thu 6 May.')
  await typeIn('How many m came', '2')
  expect(words()).toContain('1 m still to come.')
  await typeIn('How many m came', '5')
  expect(words()).toContain('2 m more than ordered: they go on the shelf.')
  await typeIn('How many m came', '2')
  await typeIn('The rest is due on', '20 May 2027')
  await tick('I looked: count, hand and size are right')
  await press('It is here')
  // The checks of a form are fetched when the first is kept.
  await vi.waitFor(() => expect(server.rows.delivery).toHaveLength(2), 5000)
  expect(server.rows.delivery[1]).toMatchObject({
    lineId: 'b',
    quantity: 2,
    cameOn: '2027-04-17',
    checkedOn: null,
  })
  expect(server.rows.purchaseLine[1]?.dueOn).toBe('2027-05-20')
  await flushPromises()
  // Not looked at it stands there as that, until somebody does.
  expect(rowOf('Tape')).toMatch(/1 to come, due 20 May, came 17 Apr/)
  await press('Checked')
  await vi.waitFor(() => expect(server.rows.delivery[1]?.checkedOn).toBe('2027-04-17'))
})

it('with faulty goods ask first, until those are sent back', async () => {
  const rows = refit((own) => {
    own.delivery = own.delivery.map((one) => ({
      ...one,
      faulty: 2,
      fault: 'skin in the tin',
      returnBy: '2027-04-26',
    }))
    add(own, 'delivery', 'over', { lineId: 'b', cameOn: '2027-04-14', quantity: 4 })
  })
  const { server } = await onOrders({ order: '8' }, rows)
  expect(listed()[0]).toMatch(/^9, By post/)
  expect(listed()[1]).toMatch(/^8, By post.*1 faulty/)
  expect(rowOf('Paint')).toContain('2 faulty, skin in the tin, back by 26 Apr')
  await press('Sent back')
  await vi.waitFor(() => expect(server.rows.delivery[0]?.returned).toBe(2))
  await flushPromises()
  expect(rowOf('Paint')).toContain('checked, batch K7')
})

it('of which there are none say how one is written', async () => {
  await onOrders({}, emptyRefit() as Building)
  expect(words()).toContain('Nothing is ordered yet')
  expect(words()).toContain('Everything that was ordered is here')
})
