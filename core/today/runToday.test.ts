/** The round of the shops in the waits of a day; times by hand. */
import { describe, expect, it } from 'vitest'
import type { Place } from '../model/entities'
import type { RunShop } from '../stores/run'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { clockTimeOf } from '../time/say'
import { zoneClock } from '../time/zone'
import type { Curing } from './curing'
import type { DayLine } from './dayLine'
import { runToday, sayRunPlan } from './runToday'

const clock = zoneClock('UTC')
/** Saturday 17 April 2027. */
const at = (time: string) => Date.parse(`2027-04-17T${time}:00Z`)

/** Ann and Ben lay plies from 9 to 10; Ben is at something else until noon. Two shops: ten minutes off, five apart. */
function day() {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '18:00')
  person(rows, 'Ben', [6], '08:00', '18:00')
  const yard = add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard' }) as Place
  const shop = (id: string, opensAt: string, shutsAt: string, shutWeekdays: number[] = []) =>
    add(rows, 'place', id, { name: id, kind: 'shop', opensAt, shutsAt, shutWeekdays }) as Place
  const places = [shop('Near', '08:00', '18:00'), shop('Far', '08:00', '12:00')]
  const drive = (from: string, to: string, minutes: number) =>
    add(rows, 'drive', `${from}-${to}`, { fromPlaceId: from, toPlaceId: to, minutes })
  drive('yard', 'Near', 10)
  drive('Far', 'yard', 10)
  drive('Near', 'Far', 5)
  job(rows, 'deck')
  step(rows, 'deck', 'plies')
  const line = (from: string, to: string, personIds: string[]) =>
    ({
      kind: 'work',
      from: at(from),
      to: at(to),
      personIds,
      step: rows.step[0],
    }) as unknown as DayLine
  const lines = [line('09:00', '10:00', ['Ann', 'Ben']), line('10:00', '12:00', ['Ben'])]
  const shops = places.map((place): RunShop => ({ place, things: [] }))
  const frame = {
    on: '2027-04-17',
    personIds: ['Ann', 'Ben'],
    from: at('09:00'),
    to: at('17:00'),
    place: yard,
  }
  const plan = (now = '08:00', curing: Curing[] = [], more: object = {}) =>
    runToday(rows, shops, lines, curing, { ...frame, ...more }, clock, at(now))
  const say = (...given: Parameters<typeof plan>) =>
    sayRunPlan(plan(...given), 'Yard', (time) => clockTimeOf(time, clock))
  return { rows, places, plan, say }
}
const curing = (title: string, from: string, until: string) =>
  ({ key: title, title, from: at(from), until: at(until) }) as Curing

describe('a run in a day', () => {
  it('goes to whoever is idle first, while something cures all the while', () => {
    // 10:00, at one of them 10:10 to 10:25, the other 10:30 to 10:45, back 10:55. Far shuts at noon: away by 11:35
    // when it is seen first.
    const list = [curing('Pot', '10:00', '10:30'), curing('Plies', '10:00', '16:00')]
    expect(day().say('08:00', list)).toBe(
      'Ann has time while “Plies” cures: leave at 10:00 and be back at Yard by 10:55; at the latest leave at 11:35.',
    )
    // From half past ten on.
    expect(day().plan('10:30').plan?.route.leaveAt).toBe(at('10:30'))
  })

  it('leaves out what blocks least when not all can be seen, and says so', () => {
    const { plan, say } = day()
    expect(plan('11:40').left.map((one) => one.place.name)).toEqual(['Far'])
    expect(say('11:40')).toMatch(/back at Yard by 12:15.* Far cannot be seen in time\.$/)
    expect(say('17:50')).toBe('It is too late for Near and Far that day.')
  })

  it('says when nobody is idle, and goes all the same by the doors', () => {
    expect(day().say('08:00', [], { to: at('10:30') })).toMatch(
      /^Nobody is idle for so long\. If you go all the same, leave at 09:00 and be back at Yard by 09:55;/,
    )
    const { rows, places, plan, say } = day()
    Object.assign(places[1] ?? {}, { shutWeekdays: [6] })
    expect(say()).toMatch(/ Far is shut that day\.$/)
    expect(say('17:50')).toBe('It is too late for Near that day. Far is shut that day.')
    for (const place of rows.place)
      if (place.kind === 'shop') Object.assign(place, { shutWeekdays: [6] })
    expect(plan().left).toHaveLength(2)
    expect(say()).toBe('Every shop is shut that day.')
  })
})
