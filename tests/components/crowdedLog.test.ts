/** Over sixty as-built sheets: what is whole folds to its number, what misses something stands. */
import { expect, it } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { press, words } from './byName'
import { onPage } from './page'

function withSheets(many: number) {
  const rows = emptyRefit()
  add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
  for (let at = 0; at < many; at++) {
    const id = `s${at}`
    const isWhole = at % 2 === 0
    add(rows, 'asBuiltSheet', id, {
      title: `Sheet ${at}`,
      systemId: 'deck',
      doneOn: '2027-01-10',
      who: 'Ida',
      where: 'Foredeck',
      hours: 1,
      takeApart: isWhole ? 'From below.' : '',
      nextCheckOn: '2028-01-10',
      nextCheckWhat: 'Look',
    })
    for (const kind of ['material', 'size'] as const)
      add(rows, 'asBuiltLine', `${id} ${kind}`, { sheetId: id, kind, what: kind, order: kind })
    add(rows, 'asBuiltTest', `${id} t`, {
      sheetId: id,
      what: 'Hose',
      measured: 'dry',
      outcome: 'passed',
      order: 'a',
    })
    add(rows, 'picture', `${id} p`, { sheetId: id, hash: 'ab'.repeat(32), mime: 'image/png' })
  }
  return rows
}
const listed = () => (words().match(/Sheet \d+/g) ?? []).length

it('folds whole sheets from sixty-one on, and opens them', async () => {
  await onPage('log', withSheets(61))
  expect(listed()).toBe(30)
  await press('31 whole sheets')
  expect(listed()).toBe(61)
  await press('Fold what is whole')
  expect(listed()).toBe(30)
})

it('folds nothing of sixty', async () => {
  await onPage('log', withSheets(60))
  expect(listed()).toBe(60)
})
