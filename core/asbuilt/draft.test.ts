import { expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { completeness } from './draft'

/** A sheet with all that a full record has. */
function full() {
  const rows = emptyRefit()
  const sheet = add(rows, 'asBuiltSheet', 'sheet', {
    title: 'Valve',
    where: 'Galley',
    doneOn: '2027-04-17',
    who: 'Ann',
    takeApart: 'Undo the collar.',
    nextCheckOn: '2028-04-01',
  })
  add(rows, 'asBuiltLine', 'm', { sheetId: 'sheet', kind: 'material', what: 'Bronze', order: 'b' })
  add(rows, 'asBuiltLine', 's', { sheetId: 'sheet', kind: 'setting', what: 'Torque', order: 'c' })
  add(rows, 'asBuiltTest', 't', {
    sheetId: 'sheet',
    what: 'Leak',
    measured: 'dry',
    outcome: 'passed',
    order: 'b',
  })
  add(rows, 'picture', 'p', {
    hash: '0'.repeat(64),
    mime: 'image/png',
    widthPx: 1,
    heightPx: 1,
    takenAt: 1,
    sheetId: 'sheet',
  })
  return { rows, sheet }
}

it('a record says what it lacks, each thing by itself', () => {
  const { rows, sheet } = full()
  const missing = (
    change: Partial<typeof sheet>,
    spoil?: (rows: ReturnType<typeof full>['rows']) => void,
  ) => {
    const copy = structuredClone(rows)
    spoil?.(copy)
    const found = completeness({ ...sheet, ...change }, copy)
    expect(found.have + found.missing.length).toBe(found.want)
    return found.missing
  }
  expect(missing({})).toEqual([])
  expect(missing({ where: '' })).toEqual(['where'])
  expect(missing({ doneOn: null })).toEqual(['when'])
  expect(missing({ who: '' })).toEqual(['who'])
  expect(missing({ takeApart: '' })).toEqual(['how to take it apart'])
  expect(missing({ nextCheckOn: null })).toEqual(['the next check'])
  expect(missing({}, (all) => void all.asBuiltLine.shift())).toEqual(['materials'])
  expect(missing({}, (all) => void all.asBuiltLine.pop())).toEqual(['sizes or settings'])
  expect(
    missing({}, (all) => Object.assign(all.asBuiltLine[1] as object, { kind: 'size' })),
  ).toEqual([])
  expect(missing({}, (all) => void all.picture.pop())).toEqual(['a picture'])
  for (const half of [{ measured: '' }, { outcome: 'notYet' }])
    expect(missing({}, (all) => Object.assign(all.asBuiltTest[0] as object, half))).toEqual([
      'a test with its reading',
    ])
  // What belongs to another sheet is not this one's.
  expect(missing({ id: 'other' })).toEqual([
    'materials',
    'sizes or settings',
    'a test with its reading',
    'a picture',
  ])
})
