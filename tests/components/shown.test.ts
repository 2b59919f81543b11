/** What every view says of the same: the strip, the money, the air, the search. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import { useAirNow } from '../../app/composables/useAirNow'
import { useDrawings } from '../../app/composables/useDrawings'
import { useMoney } from '../../app/composables/useMoney'
import { useSaid } from '../../app/composables/useSaid'
import { useSearch } from '../../app/composables/useSearch'
import { usePlannerStore } from '../../app/stores/planner'
import { useTimeStore } from '../../app/stores/time'
import { fileOf } from '../../app/utils/api'
import { enterAfterArrow } from '../../app/utils/enterAfterArrow'
import { sequenceFacts } from '#core/sequence/facts'
import { openOn } from './fakeServer'
import { inSetup } from './inSetup'
import { withWorkers } from './workers'

const hour = 3_600_000
const now = Date.UTC(2027, 3, 17, 7, 30)
beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => void vi.useRealTimers())

it('takes the air of the hour that it is from the forecast, else the mean of the month', async () => {
  const rows = emptyRefit()
  const hours = [0, 1, 2, 3, 4].map((at) => ({
    at: Date.UTC(2027, 3, 17, 7) + at * hour,
    tempC: 10 + 2 * at,
    dewC: 5.04,
    rainMm: 0,
    windMs: 0,
  }))
  add(rows, 'forecast', 'f', { hours, at: now } as never)
  await openOn(rows)
  const time = useTimeStore()
  const air = useAirNow()
  time.now = now
  // Half past seven is in the hour from seven; three hours on it is 6 °C warmer.
  expect(air.value).toMatchObject({ airC: 10, dewC: 5, warmingC: 2, minute: 450 })
  time.now = Date.UTC(2027, 3, 17, 8)
  expect(air.value.airC).toBe(12)
  // Three hours before its end it is not known how it goes on.
  time.now = Date.UTC(2027, 3, 17, 10)
  expect(air.value).toMatchObject({ airC: 16, warmingC: 0 })
  time.now = Date.UTC(2027, 3, 17, 13)
  expect(air.value).toMatchObject({ airC: 20, dewC: null, warmingC: 0 })
  time.now = Date.UTC(2027, 3, 17, 6, 59)
  expect(air.value.airC).toBe(20)
})

it('says on the strip how late the launch is, by the day and by days', async () => {
  const late = async (on: string) => {
    const rows = emptyRefit()
    person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '09:00', '17:00')
    add(rows, 'place', 'yard', {
      name: 'Yard',
      kind: 'yard',
      order: 'a',
      liftWeekdays: [1, 2, 3, 4, 5],
    })
    const out = { liftOutAimed: '2027-04-02', liftOutActual: '2027-04-02', launchAimed: on }
    add(rows, 'haulOut', 'out', { name: 'Out', placeId: 'yard', launchWhen: 'asReady', ...out })
    add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'out' })
    job(rows, 'deck', { gateId: 'launch', purpose: 'float' })
    step(rows, 'deck', 'plies', { hoursLikely: 4 })
    withWorkers()
    const { store } = await openOn(rows, usePlannerStore)
    const planner = usePlannerStore()
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    return { said: useSaid().tape.value, planned: store.derived.launch?.plannedOn }
  }
  const first = await late('2027-04-16')
  const days = (on: string) => (Date.parse(first.planned ?? '') - Date.parse(on)) / 86_400_000
  expect(first.said.late).toBe(`${days('2027-04-16')} days late`)
  const aim = new Date(Date.parse(first.planned ?? '') - 86_400_000).toISOString().slice(0, 10)
  expect((await late(aim)).said.late).toBe('1 day late')
  expect((await late(first.planned ?? '')).said.late).toBe('')
  expect(first.said.odds).toBe('')
  await openOn(emptyRefit())
  expect(useSaid().tape.value).toMatchObject({ launch: 'no launch to come', late: '', bad: false })
})

it('says money whole in columns, and moves what the runs came to by what was paid since', async () => {
  const rows = emptyRefit()
  job(rows, 'deck')
  step(rows, 'deck', 'plies', { hoursLikely: 4 })
  add(rows, 'plan', 'plan', { inputsHash: 'x', at: 0, seed: 1, iterations: 1 } as never)
  const at = { p10: 100, p25: 200, p50: 300, p75: 400, p80: 500, p90: 600 }
  const result = { runs: 200, gates: [], cost: { likelyMinor: -1000, at } }
  add(rows, 'odds', 'odds', { inputsHash: 'old', at: 0, seed: 1, result } as never)
  const { store } = await openOn(rows)
  const { made } = inSetup(useMoney)
  expect([made.say(1256), made.sayWhole(1256), made.sayWhole(1249)]).toEqual([
    '€12.56',
    '€13',
    '€12',
  ])
  // Runs of another plan are not this plan's.
  expect([made.outcome.value, made.likelyMinor.value]).toEqual([null, made.money.value.likelyMinor])
  const planner = usePlannerStore()
  const patch = { inputsHash: planner.hash }
  await store.submitQuietly('Plan', [
    { op: 'patch', entity: 'plan', id: 'plan', baseVersion: 1, patch },
  ])
  const of = { inputsHash: `${planner.hash} 0` }
  await store.submitQuietly('Odds', [
    { op: 'patch', entity: 'odds', id: 'odds', baseVersion: 1, patch: of },
  ])
  const since = made.money.value.likelyMinor + 1000
  expect(made.outcome.value).toEqual(
    Object.fromEntries(Object.entries(at).map(([name, minor]) => [name, minor + since])),
  )
  expect(made.likelyMinor.value).toBe(300 + since)
})

it('goes nearer and farther by key and wheel, one drawing for a turn', async () => {
  const rows = emptyRefit()
  person(rows, 'ann', [6, 7], '09:00', '17:00')
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail', purpose: 'go' })
  step(rows, 'deck', 'plies', { hoursLikely: 30, splittable: true } as never)
  withWorkers()
  const { store } = await openOn(rows, usePlannerStore)
  const planner = usePlannerStore()
  await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
  useTimeStore().now = now
  const facts = sequenceFacts(store.rows, store.accepted, store.zone, store.waits, now)
  const { made, leave } = inSetup(() =>
    useDrawings({
      facts: ref(facts) as never,
      gateId: ref('sail'),
      links: ref([]),
      flags: ref([]),
      likely: ref(null),
    }),
  )
  const key = (name: string, more: object = {}) => {
    const event = new KeyboardEvent('keydown', { key: name, cancelable: true, ...more })
    made.keyed(event)
    return event.defaultPrevented
  }
  const wheel = (deltaY: number, timeStamp: number, ctrlKey = true) =>
    made.turned({ deltaY, timeStamp, ctrlKey, preventDefault: () => undefined } as never)
  expect(made.view.value).toBe('launch')
  expect([key('+'), made.view.value]).toEqual([true, 'weekend'])
  expect([key('+'), made.view.value]).toEqual([true, 'weekend'])
  expect([key('-', { ctrlKey: true }), key('x'), made.view.value]).toEqual([
    false,
    false,
    'weekend',
  ])
  key('-')
  key('-')
  expect(made.view.value).toBe('seasons')
  wheel(-1, 1000)
  wheel(-1, 1200)
  expect(made.view.value).toBe('launch')
  wheel(-1, 1400)
  wheel(1, 5000, false)
  expect(made.view.value).toBe('weekend')
  // Saturdays and Sundays have work: a day between shows the pair that comes next, one after the last the last.
  const [first, second] = made.pairs.value
  made.view.value = 'launch'
  made.showDay((first ?? 0) + 3)
  expect([made.view.value, made.firstDay.value]).toEqual(['weekend', second])
  made.showDay((first ?? 0) + 1)
  expect(made.firstDay.value).toBe(first)
  made.showDay(1e6)
  expect(made.firstDay.value).toBe(made.pairs.value.at(-1))
  leave()
})

it('finds in what is written, read a part at a time, and nothing before anybody wants it', async () => {
  const rows = emptyRefit()
  for (let at = 0; at < 300; at++) job(rows, `j${at}`, { title: `Mend ${at}` })
  job(rows, 'cleat', { title: 'Rebed the cleat' })
  await openOn(rows)
  const wanted = ref(false)
  const { made, leave } = inSetup(() => useSearch(wanted))
  expect([made.find('cleat', 5), made.isWhole.value]).toEqual([[], false])
  wanted.value = true
  await flushPromises()
  expect(made.isWhole.value).toBe(false)
  await vi.advanceTimersByTimeAsync(100)
  expect(made.isWhole.value).toBe(true)
  expect(made.find('cleat', 5).map((one) => one.name)).toEqual(['Rebed the cleat'])
  leave()
})

it('holds back an Enter that comes with its arrow, and no other', () => {
  const frames: (() => void)[] = []
  vi.stubGlobal('requestAnimationFrame', (draw: () => void) => frames.push(draw))
  const input = document.body.appendChild(document.createElement('input'))
  const heard = vi.fn()
  input.addEventListener('keydown', heard)
  const press = (more: object, isMarked = false) => {
    const event = { preventDefault: vi.fn(), stopPropagation: vi.fn(), target: input, ...more }
    return enterAfterArrow(event as never, isMarked)
  }
  expect(press({ isTrusted: true, isComposing: false }, true)).toBe(false)
  expect(press({ isTrusted: true, isComposing: true })).toBe(false)
  expect(press({ isTrusted: false, isComposing: false })).toBe(false)
  expect(frames).toEqual([])
  expect(press({ isTrusted: true, isComposing: false })).toBe(true)
  expect(heard).not.toHaveBeenCalled()
  frames[0]?.()
  expect(heard.mock.calls[0]?.[0]).toMatchObject({ key: 'Enter' })
})

it('gives a file, none where there is none, and an error where nobody answers', async () => {
  const answer = (status: number) =>
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('bytes', { status })))
  answer(200)
  expect(await (await fileOf('/a'))?.text()).toBe('bytes')
  answer(404)
  expect(await fileOf('/a')).toBeNull()
  answer(500)
  await expect(fileOf('/a')).rejects.toMatchObject({ status: 500 })
  vi.stubGlobal('fetch', () => Promise.reject(new Error('no line')))
  await expect(fileOf('/a')).rejects.toMatchObject({ status: 0 })
})
