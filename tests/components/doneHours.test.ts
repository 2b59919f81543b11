/** The evening's hours, and who cannot come. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Step } from '#core/model/entities'
import type { DoneHours } from '#core/today/doneHours'
import { useMe } from '../../app/composables/useMe'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { press, words } from './byName'
import { components } from './components'
import { openOn } from './fakeServer'
import { withWorkers } from './workers'

const on = '2027-04-17'
const at = (time: string) => Date.parse(`${on}T${time}:00Z`)

async function evening(hours: readonly Omit<DoneHours, 'step'>[]) {
  const rows = emptyRefit()
  person(rows, 'ida', [6], '09:00', '17:00', { name: 'Ida' })
  person(rows, 'tam', [6], '09:00', '17:00', { name: 'Tam' })
  job(rows, 'deck')
  const steps = hours.map(
    (_, index) => step(rows, 'deck', `s${index}`, { title: `Step ${index}` }) as Step,
  )
  const { server } = await openOn(rows)
  mount(components.DoneHours, {
    props: { on, hours: hours.map((one, index) => ({ ...one, step: steps[index] as Step })) },
    attachTo: document.body,
  })
  await flushPromises()
  return server
}
const worked = (hours: number, personIds: readonly string[], ratio: number | null = null) => ({
  hours,
  personIds,
  ratio,
  from: at('10:00'),
  to: at('10:00') + hours * 3_600_000,
})

it('stand with who and from when, with the share of the plan where that is odd', async () => {
  await evening([
    worked(1, ['ida', 'tam'], 1.25),
    worked(1.5, ['tam'], 1.3),
    worked(0.5, [], 0.5),
    worked(2, ['ida'], 0.8),
  ])
  expect(words()).toMatch(/Step 0\s*10:00–11:00,\s*both/)
  expect(words()).toMatch(/Step 1\s*10:00–11:30,\s*Tam\s*· 1\.3 × the plan/)
  expect(words()).toMatch(/Step 2\s*10:00–10:30,\s*nobody said who\s*· 0\.5 × the plan/)
  // A quarter more or a fifth less is nothing odd.
  expect(words().match(/× the plan/g)).toHaveLength(2)
})

it('are put right by five minutes, to whole fives and never to nothing, and booked for each of them', async () => {
  const server = await evening([worked(62 / 60, ['ida', 'tam']), worked(0.1, ['tam'])])
  await press('Five minutes more: Step 0')
  expect(words()).toContain('1 h 05')
  await press('Five minutes more: Step 0')
  expect(words()).toContain('1 h 10')
  for (let times = 0; times < 3; times++) await press('Five minutes less: Step 1')
  expect(words()).toContain('5 min')
  await press('Right: Step 0')
  await vi.waitFor(() => expect(server.rows.hoursEntry).toHaveLength(2))
  const entry = { stepId: 's0', jobId: 'deck', on, hours: 1.1667, kind: 'work' }
  expect(server.rows.hoursEntry).toMatchObject([
    { ...entry, personId: 'ida' },
    { ...entry, personId: 'tam' },
  ])
})

it('are taken all at once, but for those of which nobody said who', async () => {
  const server = await evening([worked(1, ['ida']), worked(1, []), worked(2, ['tam'])])
  await press('All 2 are right')
  await vi.waitFor(() => expect(server.rows.hoursEntry).toHaveLength(2))
  expect(server.rows.hoursEntry.map((one) => [one.personId, one.hours])).toEqual([
    ['ida', 1],
    ['tam', 2],
  ])
  await evening([])
  expect(words()).toContain('Nothing waits for its hours.')
})

/** Ida and Tam come on Saturdays; who is at the device stands first. */
async function cannotCome(me = 'tam') {
  const rows = emptyRefit()
  person(rows, 'ida', [6], '09:00', '17:00', { name: 'Ida', order: 'a' })
  person(rows, 'tam', [6], '09:00', '17:00', { name: 'Tam', order: 'b' })
  person(rows, 'guest', [], '', '', { name: 'Guest', order: 'c' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail' })
  step(rows, 'deck', 'plies', { hoursLikely: 8, wantedPersonId: 'tam' })
  withWorkers()
  const { server } = await openOn(rows, () => {
    useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
    return usePlannerStore()
  })
  useMe().value = me
  await vi.waitFor(() =>
    expect([usePlannerStore().stale, usePlannerStore().busy]).toEqual([false, false]),
  )
  server.changes.splice(0)
  mount(components.CantCome, { attachTo: document.body })
  await press('Can’t come')
  return server
}

it('is said with its effect before it is written, for the day or a half of it', async () => {
  const server = await cannotCome()
  expect(words()).toMatch(/Tam.*Ida.*Guest\s*Does not come in the next weeks anyhow/)
  // The next four Saturdays within three weeks and two days.
  const days = [...document.querySelectorAll('[role=dialog] h3')][0]?.parentElement
  expect(
    [...(days?.querySelectorAll('button') ?? [])].map((one) => one.textContent?.trim()),
  ).toEqual(['Sat 17 Apr', 'Sat 24 Apr', 'Sat 1 May', 'Sat 8 May'])
  days?.querySelector('button')?.click()
  await flushPromises()
  expect(words()).toContain('Working out what that does…')
  await vi.waitFor(() => expect(words()).toContain('Sail away 7 days later.'))
  await press('From 13:00')
  await press('Tam can’t come Sat 17 Apr after 13:00')
  await vi.waitFor(() => expect(server.rows.personDay).toHaveLength(1))
  expect(server.rows.personDay[0]).toMatchObject({
    personId: 'tam',
    on,
    kind: 'cannotCome',
    wholeDay: false,
    from: '13:00',
    to: '23:59',
  })
})
