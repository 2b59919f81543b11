/** A sheet for a maker on its page: what it lacks, pieces as the one before, the other side begun anew, checked when it comes. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

/** Two posts for starboard, the second without its lean. */
async function opened(fill: (rows: Building) => void = () => undefined) {
  const rows = emptyRefit()
  add(rows, 'makerSheet', 'three', {
    number: '3',
    title: 'Posts',
    shape: 'posts',
    hand: 'starboard',
    datum: 'the stem',
    material: '316, polished',
    sentOn: '2027-04-01',
    order: 'a',
  } as never)
  const piece = (id: string, given: object) =>
    add(rows, 'makerItem', id, { sheetId: 'three', mark: id, order: id, ...given } as never)
  piece('1', { atMm: 0, heightMm: 620, leanDeg: 2, foot: 'round' })
  piece('2', { atMm: 1270, heightMm: 610, foot: 'square' })
  fill(rows)
  const { server } = await onPage('maker/[sheet]', rows, { params: { sheet: 'three' } })
  const piecesOf = (sheetId: string) =>
    server.rows.makerItem.filter((one) => one.sheetId === sheetId)
  return { server, piecesOf }
}

it('says what the maker would have to ask, until it is said', async () => {
  const { piecesOf } = await opened()
  expect(words()).toContain('Before it goes out: No lean for 2.')
  await press('2')
  await typeIn('Leans out', '3')
  await vi.waitFor(() => expect(piecesOf('three')[1]?.leanDeg).toBe(3))
  await flushPromises()
  expect(words()).not.toContain('Before it goes out')
})

it('has one more piece with the next mark, as the one before until it is measured', async () => {
  const { piecesOf } = await opened()
  await press('Another piece')
  await vi.waitFor(() => expect(piecesOf('three')).toHaveLength(3))
  expect(piecesOf('three')[2]).toMatchObject({
    mark: '3',
    heightMm: 610,
    foot: 'square',
    atMm: null,
    leanDeg: null,
  })
  await flushPromises()
  expect(words()).toContain('No distance for 3. No lean for 2, 3.')
  // It stands open to be measured, and goes as it came.
  await press('Take it off the sheet')
  await vi.waitFor(() => expect(piecesOf('three')).toHaveLength(2))
})

it('is looked at piece by piece: right, wrong, not looked at', async () => {
  const { piecesOf } = await opened()
  expect(words()).toContain('when it comes: not looked at yet')
  await press('Count of 2: not looked at')
  await vi.waitFor(() => expect(piecesOf('three')[1]?.count).toBe('right'))
  await flushPromises()
  await press('Count of 2: right')
  await vi.waitFor(() => expect(piecesOf('three')[1]?.count).toBe('wrong'))
  await flushPromises()
  expect(words()).toContain('when it comes: 2 wrong, 1 not looked at')
  await press('Count of 2: wrong')
  await vi.waitFor(() => expect(piecesOf('three')[1]?.count).toBe('open'))
})

it('is begun for the other side with the same pieces, not sent and not looked at', async () => {
  const { server, piecesOf } = await opened((rows) => {
    add(rows, 'makerSheet', 'seven', { number: '7', title: 'Plates', order: 'b' } as never)
    const pieces = rows.makerItem as unknown as object[]
    pieces[0] = { ...pieces[0], count: 'right', handed: 'wrong', fault: 'Left handed' }
  })
  await press('For the other side')
  await vi.waitFor(() => expect(server.rows.makerSheet).toHaveLength(3))
  const other = server.rows.makerSheet.find((one) => !['three', 'seven'].includes(one.id))
  // After the highest number there is.
  expect(other).toMatchObject({ number: '8', hand: 'port', title: 'Posts', sentOn: null })
  const pieces = piecesOf(other?.id ?? '')
  expect(pieces.map((one) => [one.mark, one.atMm, one.heightMm, one.leanDeg])).toEqual([
    ['1', 0, 620, 2],
    ['2', 1270, 610, null],
  ])
  for (const one of pieces)
    expect(one).toMatchObject({ count: 'open', handed: 'open', leans: 'open', fault: '' })
  expect(sentTo.at(-1)).toBe(`/r/r/maker/${other?.id ?? ''}`)
})

it('is taken away with its pieces', async () => {
  const { server } = await opened()
  await press('Take the sheet away')
  await vi.waitFor(() => expect(server.rows.makerSheet).toEqual([]))
  expect(server.rows.makerItem).toEqual([])
  expect(sentTo.at(-1)).toBe('/r/r/stores?show=orders')
})
