/** Two days close up, by hand: 07:30 to 18:00 drawn in 394 px a day, the first from 136 px, the second from 582 px. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { keepPlan } from '../testing/keptPlan'
import { Waits } from '../plan/waits'
import { zoneClock } from '../time/zone'
import { sequenceFacts } from './facts'
import { pairOf, plannedPairs, weekendOf } from './weekend'

const clock = zoneClock('UTC')
/** Saturday 17 April 2027. */
const saturday = clock.dayOf(Date.UTC(2027, 3, 17))
const now = Date.UTC(2027, 3, 17, 6)
const at = (day: number, hour: number) => clock.at(saturday + day, hour * 60)

type Placed = readonly (readonly [day: number, from: number, to: number])[]
function factsOf(
  placed: Readonly<Record<string, Placed>>,
  people: Readonly<Record<string, readonly string[]>> = {},
) {
  const rows: Building = emptyRefit()
  person(rows, 'ann', [6, 7], '09:00', '17:00', { name: 'Ann', order: 'a' })
  person(rows, 'ben', [6, 7], '09:00', '13:00', { name: 'Ben', order: 'b' })
  add(rows, 'gate', 'sail', { name: 'Sail', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail' })
  job(rows, 'shelf')
  for (const id of Object.keys(placed)) step(rows, id === 'cut' ? 'shelf' : 'deck', id)
  keepPlan(
    rows,
    now,
    Object.fromEntries(
      Object.entries(placed).map(([id, segments]) => [
        id,
        {
          personIds: people[id] ?? ['ann'],
          segments: segments.map(([day, from, to]) => [at(day, from), at(day, to)] as const),
        },
      ]),
    ),
  )
  const plan = (rows.plan[0] as never as { result: never }).result
  return sequenceFacts(rows, plan, clock, new Waits(rows, clock), now)
}
const drawn = (facts: ReturnType<typeof factsOf>, over: object = {}) =>
  weekendOf(facts, {
    day: saturday,
    width: 984,
    height: 600,
    now,
    gateId: 'sail',
    links: [],
    flags: [],
    hours: [],
    meanC: () => null,
    ...over,
  })
const hoursOf = (facts: ReturnType<typeof factsOf>) => {
  const { ruler } = drawn(facts)
  return [clock.minutesOf(ruler.from) / 60, clock.minutesOf(ruler.to) / 60]
}

describe('the two days', () => {
  it('of a weekend are whole, of another day it and the next', () => {
    // Thursday to Sunday, then Monday.
    expect([-2, -1, 0, 1, 2].map((day) => pairOf(saturday + day) - saturday)).toEqual([
      -2, -2, 0, 0, 2,
    ])
  })
  it('are those in which somebody has work, from today on', () => {
    const facts = factsOf(
      { early: [[-7, 9, 10]], lay: [[0, 9, 10]], coat: [[8, 9, 10]], cure: [[14, 9, 10]] },
      { cure: [] },
    )
    expect(plannedPairs(facts, saturday).map((day) => day - saturday)).toEqual([0, 7])
  })
  it('are open from half past seven to six, and longer where somebody works longer', () => {
    expect(hoursOf(factsOf({ lay: [[0, 9, 12]] }))).toEqual([7.5, 18])
    expect(hoursOf(factsOf({ lay: [[0, 6.75, 9]], fair: [[1, 17, 19.5]] }))).toEqual([6, 20])
    // Of the day after both nothing is drawn, nor of what others do alone.
    expect(hoursOf(factsOf({ lay: [[2, 5, 22]] }))).toEqual([7.5, 18])
    expect(hoursOf(factsOf({ lay: [[0, 5, 22]] }, { lay: [] }))).toEqual([7.5, 18])
    // Over midnight a day ends where it does.
    expect(hoursOf(factsOf({ lay: [[0, 20, 25]] }))).toEqual([7.5, (24 * 60 - 1) / 60])
  })
})

describe('what is drawn', () => {
  const facts = factsOf(
    { lay: [[0, 9, 12]], fair: [[1, 10, 11]], cut: [[0, 13, 14]], later: [[2, 9, 10]] },
    { lay: ['ann', 'ben'] },
  )
  const two = drawn(facts)

  it('are the boards of both days on their scale', () => {
    // (984 − 8 − 136 − 52) ÷ 2 = 394 px for 10 h 30.
    expect(two.days.map((day) => [day.x0, day.x1])).toEqual([
      [136, 530],
      [582, 976],
    ])
    expect(two.days[0]?.times.map((one) => one.text)).toEqual([
      '08:00',
      '10:00',
      '12:00',
      '14:00',
      '16:00',
      '18:00',
    ])
    expect(two.days[0]?.times[0]?.x).toBeCloseTo(136 + (394 * 0.5) / 10.5)
    const boards = two.layout.levels.flatMap((level) =>
      level.laid.map(({ board }) => board.plank.pieces[0]?.step.id),
    )
    expect(boards.sort()).toEqual(['cut', 'fair', 'lay'])
  })
  it('are hours planned beside hours there, and steps that the gate does not wait for', () => {
    expect(two.days.map((day) => day.hands)).toEqual([
      [
        { personId: 'ann', planned: 4, there: 8 },
        { personId: 'ben', planned: 3, there: 4 },
      ],
      [
        { personId: 'ann', planned: 1, there: 8 },
        { personId: 'ben', planned: 0, there: 4 },
      ],
    ])
    expect(two.counts).toEqual([
      { steps: 2, others: 1 },
      { steps: 1, others: 0 },
    ])
  })
  it('is a thread for each who works, and now while it lies in the two days', () => {
    expect(two.threads.map((one) => one.letter)).toEqual(['A', 'B'])
    expect(two.nowX).toBeNull()
    expect(drawn(facts, { now: at(0, 12.75) }).nowX).toBeCloseTo(136 + 394 / 2)
  })
})
