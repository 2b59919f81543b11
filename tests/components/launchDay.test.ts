/** The hours of a launch day: one time of the lift for what is asked, drawn and printed. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { ref } from 'vue'
import { add, emptyRefit, person } from '#core/testing/build'
import { useLaunchDay } from '../../app/composables/useLaunchDay'
import type { LiftDay } from '../../app/../core/launch/liftDays'
import type { Ashore } from '#core/plan/schedule/haulOuts'
import { dayNumber } from '#core/time/civil'
import { useToastStore } from '../../app/stores/toasts'
import { components } from './components'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'

const on = '2027-04-19'
const at = (clock: string) => Date.parse(`${on}T${clock}:00Z`)
const clock = (instant: number | null | undefined) =>
  instant === null || instant === undefined ? null : new Date(instant).toISOString().slice(11, 16)

/** A yard by crane, 20 minutes off, that lifts from 08:00 to 12:00; four openings. */
async function opened(given: Partial<LiftDay> = {}, booked: object = {}) {
  const rows = emptyRefit()
  person(rows, 'bob', [1], '08:00', '17:00', { order: 'a' } as never)
  person(rows, 'ann', [1], '08:00', '17:00', { role: 'lead', order: 'b' } as never)
  for (const id of ['1', '2', '3', '4'])
    add(rows, 'hullOpening', id, { name: id, order: id } as never)
  const yard = add(rows, 'place', 'yard', {
    name: 'Yard',
    kind: 'yard',
    order: 'a',
    travelMin: 20,
    liftFrom: '08:00',
    liftUntil: '12:00',
  })
  await openOn(rows)
  const haulOut = { launchBooked: null, launchTime: null, ...booked }
  const next = ref({ haulOut, yard, lifts: { slip: null } } as unknown as Ashore)
  const day = ref<LiftDay | null>({
    day: dayNumber(on),
    on,
    isLiftDay: true,
    closedFor: '',
    window: null,
    isShort: false,
    liftAt: at('09:02'),
    personIds: ['bob', 'ann'],
    ...given,
  } as LiftDay)
  const wantedAt = ref<number | null>(null)
  const { made } = inSetup(() => useLaunchDay(next as never, day as never, wantedAt))
  return { made, day, wantedAt, next }
}

it('lifts as reckoned, as booked, or as wanted, in steps of five minutes while the yard lifts', async () => {
  const { made, wantedAt } = await opened()
  expect(clock(made.liftAt.value)).toBe('09:02')
  // 15 on, 20 over, 5 down, 15 to look, 5 off, 15 away: 75 minutes before twelve.
  expect(made.choice.value?.map(clock)).toEqual(['08:00', '10:45'])
  made.put(at('10:13'))
  expect(clock(wantedAt.value)).toBe('10:15')
  expect(clock(made.liftAt.value)).toBe('10:15')
  made.put(at('06:00'))
  expect(clock(made.liftAt.value)).toBe('08:00')
  made.put(at('15:00'))
  expect(clock(made.liftAt.value)).toBe('10:45')
  const sheet = made.worked.value
  if (!sheet?.ok) throw new Error('no sheet')
  expect([clock(sheet.value.liftAt), clock(sheet.value.tooLateAt)]).toEqual(['10:45', '12:00'])
  // The lead takes the lead's lane, wherever the list has them.
  expect([sheet.value.people.lead?.id, sheet.value.people.second?.id]).toEqual(['ann', 'bob'])
})

it('keeps the time that is booked for that day, and no time of another day', async () => {
  const booked = await opened({}, { launchBooked: on, launchTime: '10:20' })
  expect(clock(booked.made.liftAt.value)).toBe('10:20')
  const other = await opened({}, { launchBooked: '2027-04-20', launchTime: '10:20' })
  expect(clock(other.made.liftAt.value)).toBe('09:02')
  const untimed = await opened({}, { launchBooked: on })
  expect(clock(untimed.made.liftAt.value)).toBe('09:02')
})

it('reckoned too early or too late by a little, lifts at the nearest time at which it can', async () => {
  const early = await opened({ liftAt: at('07:40') })
  expect(clock(early.made.liftAt.value)).toBe('08:00')
  const late = await opened({ liftAt: at('10:50') })
  expect(clock(late.made.liftAt.value)).toBe('10:45')
  // A window of the water ends it before the yard does: 75 minutes before 10:33, and not before 08:00.
  const water = await opened({ window: [at('09:00'), at('10:33')] })
  expect(water.made.choice.value?.map(clock)).toEqual(['08:25', '09:15'])
})

it('says why there is no lift on a day, and asks for none where no day is looked at', async () => {
  const slip = { tide: {}, needM: 2 }
  const why = async (given: Partial<LiftDay>) => {
    const { made, next } = await opened(given)
    next.value = { ...next.value, lifts: { slip } } as never
    const sheet = made.worked.value
    return sheet && !sheet.ok ? sheet.message : null
  }
  expect(await why({ closedFor: 'ice' })).toBe('There is no lift that day: ice. Pick another.')
  expect(await why({ isLiftDay: false })).toContain('the yard does not lift')
  expect(await why({ isShort: true })).toContain('for too short a time')
  expect(await why({})).toContain('has not her depth')
  const { made, day, wantedAt } = await opened()
  day.value = null
  expect([made.worked.value, made.liftAt.value, made.choice.value]).toEqual([null, null, null])
  made.put(at('09:00'))
  expect(wantedAt.value).toBeNull()
})

it('has no sheet with nobody there, nor with too little time to do it in', async () => {
  const nobody = await opened({ personIds: [] })
  expect(nobody.made.worked.value).toMatchObject({ ok: false })
  const short = await opened({ window: [at('09:00'), at('09:30')] })
  expect(short.made.choice.value).toBeNull()
  expect(short.made.worked.value).toMatchObject({ ok: false })
})

it('with nobody there is said to be so where she can be lifted, and not where she cannot', async () => {
  expect((await opened()).made.isUnmanned.value).toBe(false)
  const { made, day } = await opened({ personIds: [] })
  expect(made.isUnmanned.value).toBe(true)
  expect(made.worked.value).toMatchObject({ ok: false })
  day.value = null
  expect(made.isUnmanned.value).toBe(false)
})

it('asks who comes, and a press writes down their day in the hours they mostly come', async () => {
  const rows = emptyRefit()
  person(rows, 'bob', [6], '09:00', '16:00', { name: 'Bob', order: 'a' } as never)
  const { server, store } = await openOn(rows)
  const page = mount(components.LaunchHands!, { props: { on } })
  expect(page.text()).toContain('Nobody of the boat is there on Mon 19 Apr')
  await page.find('button').trigger('click')
  await flushPromises()
  expect(server.rows.personDay).toMatchObject([
    { personId: 'bob', on, kind: 'extraDay', from: '09:00', to: '16:00' },
  ])
  expect(useToastStore().toasts.map((one) => one.text)).toEqual([
    'Bob comes on Mon 19 Apr, 09:00 to 16:00.',
  ])
  await store.attempt('Away', [
    {
      op: 'create',
      entity: 'personDay',
      id: 'no',
      patch: { personId: 'bob', on, kind: 'cannotCome' },
    },
  ])
  expect(page.find('button').exists()).toBe(false)
  expect(page.text()).toContain('Nobody is left to ask')
})
