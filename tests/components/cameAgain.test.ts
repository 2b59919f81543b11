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
