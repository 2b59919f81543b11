/** What came again after it was mended: said with how long it held, and drawn beside what was done there. */
import { expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '#core/testing/build'
import { words } from './byName'
import { onPage } from './page'

it('says how long the repair held, and draws it among what was done there', async () => {
  const rows = emptyRefit()
  add(rows, 'zone', 'locker', { name: 'Chain locker', order: 'a' })
  add(rows, 'earlierWork', 'before', { zoneId: 'locker', what: 'Flange in silicone', year: 2011 })
  job(rows, 'drain', { title: 'Drain bedded', zoneId: 'locker' })
  step(rows, 'drain', 'bed', { state: 'done', doneAt: Date.UTC(2026, 0, 10, 12) })
  add(rows, 'finding', 'weeps', {
    title: 'Drain weeps',
    zoneId: 'locker',
    foundAt: Date.UTC(2027, 2, 13, 12),
    againAfterJobId: 'drain',
  })
  const { wrapper } = await onPage('log', rows)
  expect(words()).toMatch(/Drain weeps\s*: Drain bedded, January 2026, held\s*14 months/)
  const drawn = wrapper.find('svg[height="84"]')
  expect(drawn.findAll('text').map((one) => one.text())).toEqual(
    expect.arrayContaining(['before us', '2027', 'today', 'held 14 months']),
  )
  // What was before us, the repair, and that it came again: as many marks as the list has lines.
  expect(drawn.findAll('g[transform]')).toHaveLength(3)
  expect(wrapper.findAll('[aria-label="All that was done: Chain locker"] li')).toHaveLength(3)
})

it('draws how it was built the last time beside how it is built now, and what is new in it', async () => {
  const rows = emptyRefit()
  add(rows, 'zone', 'locker', { name: 'Chain locker', order: 'a' })
  job(rows, 'drain', { title: 'Drain bedded', zoneId: 'locker' })
  step(rows, 'drain', 'bed-once', {
    operation: 'bed',
    state: 'done',
    doneAt: Date.UTC(2026, 0, 10, 12),
  })
  job(rows, 'ring', {
    title: 'Drain in a ring',
    zoneId: 'locker',
    recipeKey: 'dry-local-core',
    recipeInputs: { areaM2: 0.01, holes: 1, bolt: 20, skin: 9, core: 12, ring: 20, way: 'ring' },
  })
  step(rows, 'ring', 'cast', {
    title: 'Cast the ring',
    operation: 'fill',
    state: 'done',
    doneAt: Date.UTC(2027, 3, 3, 12),
  })
  step(rows, 'ring', 'bed-again', { title: 'Bed it again', operation: 'bed' })
  add(rows, 'finding', 'weeps', {
    title: 'Drain weeps',
    zoneId: 'locker',
    foundAt: Date.UTC(2027, 2, 13, 12),
    againAfterJobId: 'drain',
    jobId: 'ring',
  })
  const { wrapper } = await onPage('log', rows)
  expect(wrapper.findAll('figcaption').map((one) => one.text())).toEqual(
    expect.arrayContaining([
      '2026: by its steps the core bare up to the hole',
      'Now: solid to 34 mm from the middle',
    ]),
  )
  expect(words()).toMatch(/none of this the last time:\s*Cast the ring, 3 Apr/)
  expect(words()).toMatch(/To come:\s*Bed it again/)
})
