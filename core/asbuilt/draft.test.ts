import { expect, it } from 'vitest'
import { add, draftFacts, emptyRefit, job, person, step } from '../testing/build'
import { recipeBook } from '../recipes/book'
import type { Recipe, RecipeInput } from '../recipes/recipe'
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
    draftSheet(
      deck,
      rows,
      draftFacts(() => `n${made++}`),
    ).items.flatMap((one) => (one.op === 'create' ? [one.patch] : []))
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

it('a draft has batches, cures as they ran, dimensions, bags, its pictures and why it was done twice', () => {
  const hour = 3_600_000
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '16:00')
  // One dimension was measured, the other stands as the recipe guessed it: that is no record.
  const recipe = recipeBook[0] as Recipe
  const [known, guessed] = recipe.inputs as [RecipeInput, RecipeInput]
  const deck = job(rows, 'Deck', {
    recipeKey: recipe.key,
    recipeInputs: { [known.key]: 7, [guessed.key]: 9 },
    inputSources: { [known.key]: { how: 'measured', value: 7, by: null, on: '2027-03-01' } },
  })
  step(rows, 'Deck', 'bed', { state: 'done' })
  const part = (id: string, name: string) => {
    add(rows, 'part', id, { name, jobId: 'Deck', quantity: 2, unit: 'kg', state: 'arrived' })
    add(rows, 'purchaseLine', `line ${id}`, { purchaseId: 'order', name, order: 'b' })
    add(rows, 'lineWant', `want ${id}`, { lineId: `line ${id}`, partId: id })
  }
  part('resin', 'Resin')
  part('cloth', 'Cloth')
  const came = { lineId: 'line resin', cameOn: '2027-01-02', quantity: 2 }
  add(rows, 'delivery', 'd1', { ...came, batch: 'lot 4', expiresOn: '2027-11-30' })
  add(rows, 'delivery', 'd2', { ...came, batch: 'lot 5', returned: 2 })
  const bring = (id: string, what: string, kind: 'consumable' | 'tool' = 'consumable') =>
    add(rows, 'bringLine', id, { stepId: 'bed', what, amount: '3', kind, order: id })
  bring('b', 'resin')
  bring('c', 'Tape')
  bring('d', 'Roller', 'tool')
  add(rows, 'stock', 's', { name: 'Tape', batch: 'lot 9', order: 'b' })
  add(rows, 'stock', 's2', { name: 'Cloth', batch: 'lot 1', order: 'c' })
  add(rows, 'stock', 's3', { name: 'Cloth', batch: 'lot 2', order: 'd' })
  // At 10 °C, read twice, half of what 20 °C does: 16 h take 32.
  const clock = (id: string, given: object) =>
    add(rows, 'clock', id, {
      title: id,
      kind: 'cure',
      stepId: 'bed',
      startedAt: Date.UTC(2027, 2, 21, 12),
      opensH: 16,
      ...given,
    })
  clock('Core bed', {})
  clock('Not over', { startedAt: Date.UTC(2027, 2, 28) })
  clock('Cut short', { startedAt: Date.UTC(2027, 2, 27), endedAt: Date.UTC(2027, 2, 27, 5) })
  clock('Pot', { kind: 'pot', opensH: null, closesH: 0.5 })
  for (const hours of [0, 40])
    add(rows, 'clockReading', `r${hours}`, {
      clockId: 'Core bed',
      at: Date.UTC(2027, 2, 21, 12) + hours * hour,
      tempC: 10,
    })
  add(rows, 'bag', 'bag', { code: 'B07', what: 'Twelve screws', jobId: 'Deck', order: 'b' })
  add(rows, 'hoursEntry', 'h', {
    jobId: 'Deck',
    personId: 'Ann',
    on: '2027-03-21',
    hours: 3,
    reworkCause: 'resin went off',
  })
  const picture = { hash: '0'.repeat(64), mime: 'image/png', widthPx: 1, heightPx: 1, takenAt: 1 }
  add(rows, 'picture', 'own', { ...picture, jobId: 'Deck' })
  add(rows, 'picture', 'told', { ...picture, jobId: 'Deck', sheetId: 'another' })
  let made = 0
  const { sheetId, items } = draftSheet(
    deck,
    rows,
    draftFacts(() => `n${made++}`, Date.UTC(2027, 2, 28, 4)),
  )
  const lines = items.flatMap((one) =>
    one.op === 'create' && one.entity === 'asBuiltLine' ? [one.patch] : [],
  )
  expect(items[0]).toMatchObject({
    patch: { nextTime: 'Done again, 3 h: resin went off.' },
  })
  expect(lines.map(({ kind, what, value, batch }) => [kind, what, value, batch ?? ''])).toEqual([
    ['material', 'Tape', '3', 'lot 9'],
    ['material', 'Resin', '2 kg', 'lot 4, good until Tue 30 Nov 2027'],
    // Two lots of that name lie on the shelf: nobody knows which was used.
    ['material', 'Cloth', '2 kg', ''],
    ['size', known.label, expect.stringMatching(/^7\b/), ''],
    ['clock', 'Core bed, 21 Mar', '10 °C, read once: 32 h for 16 h at 20 °C', ''],
    // 15 °C is assumed: 16 × √2 = 22 h 38 were wanted.
    ['clock', 'Cut short, 27 Mar', expect.stringMatching(/^ended after 5 h, before its 22 h/), ''],
    ['note', 'Bag B07', 'Twelve screws', ''],
  ])
  expect(items.filter((one) => one.entity === 'picture')).toEqual([
    { op: 'patch', entity: 'picture', id: 'own', baseVersion: 1, patch: { sheetId } },
  ])
})
