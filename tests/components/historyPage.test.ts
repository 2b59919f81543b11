/** Who changed what, on its page; and labels of bins, which say what lies in each. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { typeIn, words } from './byName'
import { onPage } from './page'

const at = Date.UTC(2027, 3, 17, 7)
const line = (seq: number, given: object) => ({
  seq,
  label: `Change ${seq}`,
  at,
  personId: null,
  undone: false,
  rows: [],
  rowCount: 0,
  ...given,
})

/** The page with what the server lists, or its answer where it lists nothing. */
async function opened(listed: readonly object[] | Response) {
  const rows = emptyRefit()
  person(rows, 'ida', [6], '09:00', '17:00', { name: 'Ida' })
  job(rows, 'deck', { title: 'Deck' })
  step(rows, 'deck', 'lay', { title: 'Lay plies' })
  const page = await onPage('history', rows, {
    begin: () => {
      const others = fetch
      vi.stubGlobal('fetch', (path: string, init?: RequestInit) =>
        path.endsWith('/history')
          ? Promise.resolve(
              listed instanceof Response ? listed : new Response(JSON.stringify(listed)),
            )
          : others(path, init),
      )
    },
  })
  await flushPromises()
  return page
}

it('says from what to what by their names, who did it, and what was taken back', async () => {
  await opened([
    line(4, {
      label: 'Change hours',
      personId: 'ida',
      rows: [
        {
          entity: 'step',
          rowId: 'lay',
          op: 'patch',
          before: { hoursLikely: 2, order: 'a', version: 1 },
          after: { hoursLikely: 3, order: 'b', version: 2 },
        },
      ],
      rowCount: 3,
    }),
    line(3, {
      label: 'A new part',
      undone: true,
      rows: [{ entity: 'part', rowId: 'p', op: 'create', before: null, after: { name: 'Seal' } }],
      rowCount: 1,
    }),
    line(2, {
      rows: [{ entity: 'job', rowId: 'x', op: 'delete', before: { title: 'Shelf' }, after: null }],
      rowCount: 1,
    }),
  ])
  expect(words()).toMatch(/hours of step “Lay plies”: 2 h → 3 h/i)
  // What only orders and counts rows says nothing.
  expect(words()).not.toMatch(/order of step/i)
  expect(words()).toContain('and 2 more rows')
  expect(words()).toMatch(/Ida\s*Change hours/)
  expect(words()).toMatch(/not said\s*A new part\s*New part “Seal”/)
  expect(document.querySelector('s')?.textContent).toBe('A new part')
  expect(words()).toContain('Removed job “Shelf”')
  expect(words().indexOf('Change hours')).toBeLessThan(words().indexOf('A new part'))
})

it('says that nothing was changed, or why it cannot be read', async () => {
  await opened([])
  expect(words()).toContain('Nothing was changed yet.')
  document.body.innerHTML = ''
  const answer = { code: 'failed', message: 'The disk is full. Make room and try again.' }
  await opened(new Response(JSON.stringify(answer), { status: 500 }))
  expect(words()).toContain('The disk is full. Make room and try again.')
  expect(words()).not.toContain('Nothing was changed yet.')
})

it('keeps as many changes as somebody says, within what can be', async () => {
  const { server } = await opened([])
  const kept = () => server.rows.refit[0]?.historyKept
  const before = kept()
  await typeIn('Changes kept', '10')
  expect(kept()).toBe(before)
  await typeIn('Changes kept', '500')
  await vi.waitFor(() => expect(kept()).toBe(500))
  await flushPromises()
  expect(words()).toContain('Of the last 500 changes')
})

it('makes a label of each bin of each place: four things by name, the others counted', async () => {
  const rows = emptyRefit()
  const lot = (id: string, bin: string, given: object = {}) =>
    add(rows, 'stock', id, { name: `Thing ${id}`, bin, quantity: 1, order: id, ...given } as never)
  for (const id of ['1', '2', '3', '4', '5', '6']) lot(id, 'K5')
  lot('7', ' K5 ', { at: 'boat' })
  lot('8', 'K6', { quantity: 0 })
  lot('9', '')
  await onPage('bins', rows)
  await flushPromises()
  expect(words()).toContain('Labels for two bins')
  const labels = [...document.querySelectorAll('.label')].map((one) =>
    (one.textContent ?? '').replace(/\s+/g, ' ').trim(),
  )
  expect(labels).toHaveLength(2)
  expect(labels[0]).toMatch(/K5.*Thing 1.*Thing 2.*Thing 3.*Thing 4.*and two more/)
  expect(labels[0]).not.toContain('Thing 5')
  // The same bin in another place is another bin; an empty one has no label.
  expect(labels[1]).toMatch(/K5.*Thing 7/)
  document.body.innerHTML = ''
  await onPage('bins', emptyRefit())
  expect(words()).toContain('Nothing on the shelf says in which bin it lies.')
})
