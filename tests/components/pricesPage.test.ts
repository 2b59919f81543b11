/** A supplier's price list on its page: read, its columns named, and only what is ticked goes to the parts. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job } from '#core/testing/build'
import { press, tick, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

async function opened() {
  const rows = emptyRefit()
  job(rows, 'deck', { title: 'Deck' })
  add(rows, 'supplier', 'fenn', { name: 'Fenn Chandlery' })
  add(rows, 'part', 'rope', { name: 'Halyard rope', unit: 'm', quantity: 40, jobId: 'deck' })
  add(rows, 'part', 'shackle', { name: 'Bow shackle', size: '8 mm', unit: '', jobId: 'deck' })
  add(rows, 'part', 'tin', { name: 'Antifouling', unit: 'L', quantity: 5, jobId: 'deck' })
  const { server } = await onPage('prices', rows)
  const part = (id: string) => server.rows.part.find((one) => one.id === id)
  const paste = async (text: string) => {
    const area = document.querySelector('textarea') as HTMLTextAreaElement
    area.value = text
    area.dispatchEvent(new Event('input'))
    document.querySelector('form')?.dispatchEvent(new Event('submit'))
    await flushPromises()
  }
  return { server, part, paste }
}
const list = [
  'Article;Size;Price;Per;Unit;Delivery',
  'Halyard rope;;96,00;40;m;3',
  'Bow shackle;8 mm;4,50;;;10',
  'Bow shackle;10 mm;6,20;;;10',
  'Antifouling;;a lot;2,5;L;',
].join('\n')

it('asks for a list where there is none, and for a table where there is only text', async () => {
  const { paste } = await opened()
  await paste('  ')
  expect(words()).toContain('Paste the list, or pick a file.')
  await paste(list)
  expect(words()).not.toContain('Paste the list, or pick')
  expect(words()).toContain('in the list of 4 rows')
})

it('lays rows beside the parts they are like, by the price of one, and leaves out what cannot be read', async () => {
  const { paste } = await opened()
  await paste(list)
  // €96 a coil of 40 m; a shackle is sold one by one, and 10 mm is another thing.
  expect(words()).toMatch(/Halyard rope.*?no price.*?€2\.40.*?40 m/)
  expect(words()).toMatch(/Bow shackle, 8 mm.*?€4\.50/)
  expect(words()).not.toContain('€6.20')
  expect(words()).toMatch(/1 row was left out:\s*line 5, .*a lot/)
})

it('takes only what is ticked, with whose list it is, and goes back to the stores', async () => {
  const { server, part, paste } = await opened()
  await paste(list)
  await typeIn('Whose list it is', 'fenn')
  await press('Take 2 prices')
  await vi.waitFor(() => expect(part('rope')?.priceMinor).toBe(240))
  expect(part('rope')).toMatchObject({ supplierId: 'fenn', leadDays: 3 })
  expect(part('shackle')).toMatchObject({ priceMinor: 450, supplierId: 'fenn', leadDays: 10 })
  expect(part('tin')?.priceMinor).toBeNull()
  expect(server.changes.at(-1)?.label).toBe('Prices of 2 parts from a list')
  expect(sentTo.at(-1)).toBe('/r/r/stores')
})

it('leaves alone what is not ticked, and all where nothing is', async () => {
  const { part, paste } = await opened()
  await paste(list)
  await tick('Bow shackle, 8 mm')
  await press('Take 1 price')
  await vi.waitFor(() => expect(part('rope')?.priceMinor).toBe(240))
  expect(part('shackle')?.priceMinor).toBeNull()
  // Suppliers stay as they are where nobody said whose list it is.
  expect(part('rope')?.supplierId).toBeNull()
})

it('says a pack of one as one', async () => {
  const { paste } = await opened()
  await paste('What;Price;Per;Unit\nHalyard rope;9,00;1;rolls')
  expect(words()).toMatch(/€9\s*1 roll\s/)
})

it('reads the columns as they are named by hand', async () => {
  const { paste } = await opened()
  await paste('Thing;A;B\nHalyard rope;3;1,20')
  expect(words()).toContain('in the list of 1 row')
  await typeIn('Thing', 'name')
  await typeIn('B', 'price')
  expect(words()).toMatch(/Halyard rope.*?€1\.20/)
})
