/** What a week came to, and who changed what from what to what. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { makePlan } from '#core/plan/makePlan'
import { press, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

/** Saturday 17 April 2027; the week is that of Monday the 12th. */
const now = Date.UTC(2027, 3, 17, 7, 30)
const at = (day: number, hour = 12) => Date.UTC(2027, 3, day, hour)

function refit() {
  const rows = emptyRefit()
  person(rows, 'ida', [6, 7], '09:00', '17:00', { name: 'Ida' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { title: 'Foredeck', gateId: 'sail', createdAt: at(1) } as never)
  const done = { state: 'done', hoursLikely: 2 } as const
  step(rows, 'deck', 'plies', { ...done, title: 'Plies', doneAt: at(13), earnedIn: 3.5 })
  step(rows, 'deck', 'fair', { ...done, title: 'Fair it', doneAt: at(11, 23), earnedIn: 1 })
  step(rows, 'deck', 'sand', { title: 'Sand it', hoursLikely: 3 })
  const hours = (id: string, stepId: string, day: number, many: number) =>
    add(rows, 'hoursEntry', id, {
      stepId,
      jobId: 'deck',
      personId: 'ida',
      on: `2027-04-${day}`,
      hours: many,
      kind: 'work',
    })
  hours('a', 'plies', 13, 3)
  hours('b', 'fair', 11, 5)
  add(rows, 'finding', 'soft', { title: 'Soft by the bitt', foundAt: at(14) } as never)
  const { plan: result } = makePlan(rows, now)
  add(rows, 'plan', 'plan', { inputsHash: '', at: now, seed: 1, iterations: 1, result })
  return rows
}

it('sums up a week: what closed in it, its hours against the plan, what was found, what is next', async () => {
  await onPage('week', refit())
  expect(words()).toContain('The week from Mon 12 Apr: 3.5 in, 1 step closed')
  // Sunday night was the week before.
  expect(words()).not.toContain('Fair it')
  expect(words()).toMatch(/Worked this week\s*3 h/)
  // Three hours for what two were planned for.
  expect(words()).toContain('That is 1.5× what was guessed.')
  expect(words()).toContain('Earned in all4.5 of')
  await press('The week before')
  await press('The week after')
  expect(sentTo).toEqual([{ query: { week: '2027-04-05' } }, { query: { week: '2027-04-12' } }])
})

it('of a week that is over says that what came next is in those after it', async () => {
  await onPage('week', refit(), { query: { week: '2027-04-07' } })
  expect(words()).toContain('The week from Mon 5 Apr: 1 in, 1 step closed')
  expect(words()).toContain('There are no figures of the week before to compare with.')
  expect(words()).toContain('This week is over; what came next is in the weeks after it.')
})

async function history(lines: readonly object[], status = 200) {
  const rows = refit()
  const page = onPage('history', rows)
  const fetched = globalThis.fetch
  vi.stubGlobal('fetch', (path: string, init?: object) =>
    path.endsWith('/history')
      ? Promise.resolve(new Response(JSON.stringify(lines), { status }))
      : fetched(path, init),
  )
  await page
  await flushPromises()
}
const entry = (seq: number, rows: readonly object[], more: object = {}) => ({
  seq,
  label: `Change ${seq}`,
  at: at(16),
  personId: 'ida',
  undone: false,
  rows,
  rowCount: rows.length,
  ...more,
})

it('says of each change who made it, and each field from what to what', async () => {
  await history([
    entry(3, [
      {
        entity: 'step',
        rowId: 'sand',
        op: 'patch',
        before: { hoursLikely: 3, order: 'a', version: 1 },
        after: { hoursLikely: 4.5, order: 'b', version: 2 },
      },
    ]),
    entry(
      2,
      [{ entity: 'job', rowId: 'new', op: 'create', before: null, after: { title: 'Keel' } }],
      {
        personId: null,
        rowCount: 4,
        undone: true,
      },
    ),
    entry(1, [
      { entity: 'job', rowId: 'old', op: 'delete', before: { title: 'Old' }, after: null },
    ]),
  ])
  const lines = [...document.querySelectorAll('tbody tr')].map((one) =>
    one.textContent?.replace(/\s+/g, ' ').trim(),
  )
  expect(lines).toEqual([
    // How rows are sorted and counted is nobody's matter.
    expect.stringMatching(/Ida\s*Change 3\s*Likely hours of step “Sand it”: 3 h → 4 h 30$/),
    expect.stringMatching(/not said\s*Change 2\s*New job “Keel”\s*and 3 more rows$/),
    expect.stringMatching(/Change 1\s*Removed job “Old”$/),
  ])
  expect(document.querySelector('s')?.textContent).toBe('Change 2')
})

it('says that nothing was changed, or why it cannot be read', async () => {
  await history([])
  expect(words()).toContain('Nothing was changed yet.')
  document.body.innerHTML = ''
  await history([], 500)
  expect(words()).not.toContain('Nothing was changed yet.')
  expect(document.querySelector('[role=alert]')?.textContent).not.toBe('')
})
