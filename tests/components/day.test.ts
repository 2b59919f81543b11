/** A day: who comes and when, as the week gives it or as it was changed; how it ends; and the round of the shops in it. */
import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it } from 'vitest'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { useDay } from '../../app/composables/useDay'
import { useMe } from '../../app/composables/useMe'
import { useLeaving } from '../../app/composables/useLeaving'
import { useTimeStore } from '../../app/stores/time'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'

/** Today, a Saturday, 07:30. */
const [today, sunday] = ['2027-04-17', '2027-04-18']
beforeEach(() => localStorage.clear())

/** Ann comes on Saturdays and Sundays, Bob on Saturdays; the berth is half an hour off and shut after 16:00. */
async function opened(on: Ref<string> = ref(today), fill: (rows: Building) => void = () => {}) {
  const rows = emptyRefit()
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    order: 'a',
    travelMin: 30,
    opensAt: '08:00',
    shutsAt: '16:00',
  } as never)
  person(rows, 'ann', [6, 7], '08:00', '17:00')
  person(rows, 'bob', [6], '10:00', '14:00')
  job(rows, 'deck')
  step(rows, 'deck', 'plies', { hoursLikely: 4 })
  fill(rows)
  const { server, store } = await openOn(rows)
  useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30)
  const { made: day } = inSetup(() => useDay(on))
  return { server, store, day, on }
}

it('has who comes on its weekday, from the first to the last, less the way and while its place is open', async () => {
  const { day, on } = await opened()
  expect(day.frame.value).toMatchObject({ personIds: ['ann', 'bob'], from: '08:30', to: '16:00' })
  on.value = sunday
  expect(day.frame.value).toMatchObject({ personIds: ['ann'], from: '08:30', to: '16:00' })
  await day.set({ from: '09:15' })
  expect(day.frame.value.from).toBe('09:15')
  on.value = '2027-04-19'
  expect(day.frame.value.personIds).toEqual([])
})

it('is changed as a whole once, then field by field, and is as usual again', async () => {
  const { server, day } = await opened()
  await day.set({ rain: true })
  expect(server.changes.at(-1)?.items).toMatchObject([
    {
      op: 'create',
      entity: 'dayPlan',
      patch: { on: today, rain: true, personIds: ['ann', 'bob'], from: '08:30', to: '16:00' },
    },
  ])
  await day.set({ from: '10:00' })
  expect(server.changes.at(-1)?.items).toMatchObject([{ op: 'patch', patch: { from: '10:00' } }])
  expect(
    Object.keys((server.changes.at(-1)?.items[0] as { patch: object } | undefined)?.patch ?? {}),
  ).toEqual(['from'])
  expect([day.frame.value.from, day.frame.value.rain]).toEqual(['10:00', true])
  await day.reset()
  expect([day.dayPlan.value, day.frame.value.from, day.frame.value.rain]).toEqual([
    null,
    '08:30',
    false,
  ])
  const count = server.changes.length
  await day.reset()
  expect(server.changes.length).toBe(count)
})

it('leaves out who cannot come, and put down by hand they come after all', async () => {
  const { server, store, day } = await opened(ref(today), (rows) => {
    const away = { on: today, kind: 'cannotCome', wholeDay: true } as const
    add(rows, 'personDay', 'away', { personId: 'bob', ...away })
    add(rows, 'personDay', 'other', { personId: 'bob', ...away, on: sunday })
  })
  expect(day.frame.value.personIds).toEqual(['ann'])
  await day.comes('bob')
  expect(server.changes.at(-1)?.items).toMatchObject([
    { op: 'delete', entity: 'personDay', id: 'away' },
    { op: 'create', patch: { personIds: ['ann', 'bob'] } },
  ])
  expect(day.frame.value.personIds).toEqual(['ann', 'bob'])
  expect(store.rows.personDay.map((one) => one.id)).toEqual(['other'])
  await day.comes('ann')
  expect(day.frame.value.personIds).toEqual(['bob'])
})

it('has nobody when she is out at sea', async () => {
  const { day } = await opened(ref(today), (rows) =>
    add(rows, 'wantedDays', 'trip', {
      title: 'A trip',
      from: today,
      to: today,
      kind: 'sailing',
    } as never),
  )
  expect(day.frame.value.personIds).toEqual([])
})

it('ends with what is ticked and who left her, once each and taken back', async () => {
  const { server, store } = await opened()
  useMe().value = 'ann'
  await flushPromises()
  const frame = computed(() => ({ on: today, personIds: ['ann'], to: '16:00' }))
  const { made: end } = inSetup(() => useLeaving(frame))
  expect(new Date(end.leaveAt.value).toISOString()).toBe('2027-04-17T16:00:00.000Z')
  await end.tickLine('gas', 'The gas is shut')
  expect(server.changes.at(-1)).toMatchObject({
    label: 'Done: The gas is shut',
    items: [
      { op: 'create', entity: 'leaving', patch: { on: today, line: 'gas', personId: 'ann' } },
    ],
  })
  expect([...end.ticked.value]).toEqual(['gas'])
  await end.tickLine('gas', 'The gas is shut')
  expect(server.changes.at(-1)).toMatchObject({ label: 'Not done: The gas is shut' })
  expect(store.rows.leaving).toEqual([])
  expect(end.left.value).toBeUndefined()
  await end.leave([{ what: 'A lamp is on' }, { what: 'The hatch is open' }] as never, 'ann')
  expect(end.left.value).toMatchObject({
    stops: 'A lamp is on; The hatch is open',
    personId: 'ann',
    at: Date.UTC(2027, 3, 17, 7, 30),
  })
  // Stayed longer than was meant: it is left now, and not an hour ago.
  useTimeStore().now = Date.UTC(2027, 3, 17, 18)
  expect(new Date(end.leaveAt.value).toISOString()).toBe('2027-04-17T18:00:00.000Z')
})
