/** All hours on their page: summed by person and job, and an entry put right without losing what it was. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { fieldOf, press, typeIn, words } from './byName'
import { onPage } from './page'

async function opened() {
  const rows = emptyRefit()
  person(rows, 'ida', [6], '09:00', '17:00', { name: 'Ida' })
  person(rows, 'tam', [6], '09:00', '17:00', { name: 'Tam' })
  job(rows, 'deck', { title: 'Deck' })
  step(rows, 'deck', 'lay', { title: 'Lay plies' })
  job(rows, 'mast', { title: 'Mast' })
  step(rows, 'mast', 'rub', { title: 'Rub it down' })
  const entry = (id: string, given: object) =>
    add(rows, 'hoursEntry', id, {
      personId: 'ida',
      on: '2027-04-10',
      kind: 'work',
      ...given,
    } as never)
  entry('a', { stepId: 'lay', jobId: 'deck', hours: 3 })
  entry('b', { stepId: 'rub', jobId: 'mast', hours: 1.5, personId: 'tam' })
  entry('c', { hours: 0.75, kind: 'travel' })
  const { server } = await onPage('hours', rows)
  const table = (caption: string) =>
    [...document.querySelectorAll('table')]
      .find((one) => one.caption?.textContent?.trim() === caption)
      ?.textContent?.replace(/\s+/g, ' ')
  return { server, table }
}

it('are summed by person and by job, the way beside the work', async () => {
  const { table } = await opened()
  expect(words()).toContain('5 h 15 written down')
  // Ida: 3 h of work and 45 min on the way.
  expect(table('Hours by person')).toMatch(/Ida\s*3 h\s*45 min\s*3 h 45/)
  expect(table('Hours by person')).toMatch(/Tam\s*1 h 30\s*1 h 30/)
  expect(table('Hours by job')).toMatch(/Deck\s*3 h\s*3 h/)
})

it('keep the entry that is put right, struck through, and count the right one only', async () => {
  const { server, table } = await opened()
  await press('Correct 3 h on Sat 10 Apr 2027')
  await vi.waitFor(() => expect(words()).toContain('The old entry stays to be seen'))
  await typeIn('It was really', '2h30')
  await press('Keep it')
  await vi.waitFor(() => expect(server.rows.hoursEntry).toHaveLength(4))
  await flushPromises()
  const right = server.rows.hoursEntry.find((one) => one.correctsId === 'a')
  expect(right).toMatchObject({ hours: 2.5, stepId: 'lay', jobId: 'deck', personId: 'ida' })
  expect(words()).toContain('4 h 45 written down')
  expect(document.querySelector('s')?.textContent).toBe('3 h')
  expect(table('Hours by job')).toMatch(/Deck\s*2 h 30/)
  // What is put right is put right in its newest entry.
  const buttons = [...document.querySelectorAll('button')].map((one) =>
    one.getAttribute('aria-label'),
  )
  expect(buttons).not.toContain('Correct 3 h on Sat 10 Apr 2027')
  expect(buttons).toContain('Correct 2 h 30 on Sat 10 Apr 2027')
})

it('keep what was typed where it cannot be', async () => {
  const { server } = await opened()
  await press('Correct 3 h on Sat 10 Apr 2027')
  await vi.waitFor(() => expect(words()).toContain('The old entry stays to be seen'))
  await typeIn('It was really', 'long')
  await press('Keep it')
  expect(fieldOf('It was really').value).toBe('long')
  expect(server.rows.hoursEntry).toHaveLength(3)
})
