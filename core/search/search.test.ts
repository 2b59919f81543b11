/** Search: what is found by which words, slips and all, and what is no longer there. */
import { expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Building } from '../testing/build'
import { Search } from './search'

function boat() {
  const rows = emptyRefit()
  add(rows, 'zone', 'fore', { name: 'Forepeak', order: 'b' })
  job(rows, 'deck', {
    title: 'Re-core the foredeck',
    zoneId: 'fore',
    detail: 'Balsa is wet.\nÉtai close by.',
  })
  job(rows, 'hatch', { title: 'Bed the hatch' })
  step(rows, 'hatch', 'bed', { title: 'Bed it in polysulphide', caution: 'Gloves on.' })
  add(rows, 'asBuiltSheet', 'sheet', { title: 'Hatch' })
  add(rows, 'asBuiltLine', 'line', {
    sheetId: 'sheet',
    what: 'Butyl tape',
    batch: 'lot 411',
    order: 'b',
  })
  return rows
}
function filled(rows: Building) {
  const search = new Search()
  search.take(rows, Infinity)
  return search
}

it('finds all that people write, and says in which line', () => {
  const rows = boat()
  const search = filled(rows)
  const found = (said: string) =>
    search.find(rows, said, 10).map((one) => [one.kind, one.name, one.within, one.line].join(' | '))
  // Two slips in eleven letters, one in four to nine, none in three.
  expect(found('polysulfide')).toEqual(['Step | Bed it in polysulphide | Bed the hatch | '])
  expect(found('hacth')).not.toEqual([])
  expect(found('hxtxh')).toEqual([])
  expect(found('lat')).toEqual([])
  // Every word has to be there, wherever in the row or what it is part of.
  expect(found('balsa forepeak')).toEqual(['Job | Re-core the foredeck |  | Balsa is wet.'])
  expect(found('gloves hatch')).toEqual([
    'Step | Bed it in polysulphide | Bed the hatch | Gloves on.',
  ])
  expect(found('gloves balsa')).toEqual([])
  expect(found('core-box')).toEqual([])
  expect(found('etai')).toEqual(['Job | Re-core the foredeck |  | Étai close by.'])
  expect(found('lot 411')).toEqual(['As-built line | Butyl tape | Hatch | lot 411'])
  expect(search.find(rows, 'lot 411', 10)[0]?.to).toBe('log/sheet')
  // What is called so comes before what has it in a name.
  expect(found('hatch')[0]).toBe('As-built sheet | Hatch |  | ')
})

it('keeps up with rows that change and go, in parts', () => {
  const rows = boat()
  const search = new Search()
  let parts = 1
  while (search.take(rows, 2)) parts += 1
  expect(parts).toBe(3)
  const names = (now: typeof rows, said: string) =>
    search.find(now, said, 10).map((one) => one.name)
  const later = {
    ...rows,
    job: rows.job.flatMap((one) => (one.id === 'deck' ? [{ ...one, title: 'Paint' }] : [])),
  }
  search.take(later, Infinity)
  expect(names(later, 'paint')).toEqual(['Paint'])
  expect(names(later, 're-core')).toEqual([])
  expect(names(later, 'hatch')).toEqual(['Hatch', 'Butyl tape', 'Bed it in polysulphide'])
  const renamed = { ...later, zone: later.zone.map((one) => ({ ...one, name: 'Chain locker' })) }
  search.take(renamed, Infinity)
  expect(names(renamed, 'locker')).toContain('Paint')
  expect(names(renamed, 'forepeak')).toEqual([])
})
