/** Walk by its page: a deflection test before and after, a place that is new on her. */
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

it('compares how far one weight at one point presses the deck down, before and after', async () => {
  const rows = emptyRefit()
  add(rows, 'zone', 'fore', { name: 'Foredeck', strake: 'deck', along: 0.8, order: 'a' })
  add(rows, 'finding', 'soft', { title: 'Foredeck gives', zoneId: 'fore', foundAt: 1 })
  add(rows, 'evidence', 'before', {
    findingId: 'soft',
    kind: 'sag',
    value: 6,
    meter: '80 kg, mid-panel',
    at: Date.UTC(2026, 9, 4, 12),
  })
  const { store } = await onPage('walk', rows, { query: { finding: 'soft' } })
  expect(words()).toMatch(/Under 80 kg, mid-panel: 6 mm on .*4 Oct.*Measure again after the mend/)
  await typeIn('Kind of reading', 'sag')
  await typeIn('Reading, mm', '1.5')
  await press('Keep the reading')
  await vi.waitFor(() => expect(store.rows.evidence).toHaveLength(2))
  // The same weight at the same point is offered again.
  expect(words()).toMatch(/6 mm on .*4 Oct.*, 1\.5 mm on .*17 Apr.*, 75 % less\./)
})

it('takes a new place down and opens it, where its outline can be drawn', async () => {
  const { store } = await onPage('walk', emptyRefit())
  await typeIn('What the place is called', 'Lazarette')
  await press('Add place')
  await vi.waitFor(() => expect(store.rows.zone).toHaveLength(1))
  const sent = sentTo.at(-1) as { query: { about?: string } }
  expect(sent.query.about).toBe(store.rows.zone[0]?.id)
})
