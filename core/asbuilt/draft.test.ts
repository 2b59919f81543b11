import { expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { completeness, draftSheet } from './draft'

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

it('a draft has what was counted and what was read, the failing reading first', () => {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  const deck = job(rows, 'Deck')
  step(rows, 'Deck', 'holes', {
    state: 'done',
    unitName: 'holes',
    unitCount: 20,
    unitsDone: 15,
    shortBecause: 'Under the tank',
    shortById: 'Ann',
  })
  const read = { readWhat: 'Moisture', readUnit: '%', readHigh: 12, readFailAt: 15 } as const
  step(rows, 'Deck', 'dry', { ...read, state: 'done', unitCount: 2, unitName: 'holes' })
  step(rows, 'Deck', 'hose', { operation: 'test' })
  const reading = (unitNo: number, value: number, at: number) =>
    add(rows, 'reading', `${unitNo} ${at}`, { stepId: 'dry', what: 'Moisture', unitNo, value, at })
  reading(1, 17, 1)
  reading(1, 16, 2)
  reading(2, 11, 3)
  let made = 0
  const patches = () =>
    draftSheet(deck, rows, zoneClock('UTC'), () => `n${made++}`).items.flatMap((one) =>
      one.op === 'create' ? [one.patch] : [],
    )
  expect(patches()).toMatchObject([
    { title: 'Deck' },
    {
      kind: 'size',
      what: 'holes',
      value: '15 of 20 holes, 5 left out: Under the tank. Ann says so.',
    },
    { kind: 'size', what: 'dry', value: '2 holes' },
    { what: 'dry', reading: 16, readHigh: 12, readFailAt: 15, readUnit: '%', outcome: 'failed' },
    { what: 'hose' },
  ])
  reading(1, 12, 4)
  expect(patches()[3]).toMatchObject({ outcome: 'passed' })
})
