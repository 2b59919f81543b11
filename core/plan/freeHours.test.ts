import { expect, it } from 'vitest'
import { zoneClock } from '../time/zone'
import { freeHours } from './freeHours'

const clock = zoneClock('UTC')
const day = clock.dayOf(Date.UTC(2027, 3, 17))
const span = (on: number, from: number, to: number): [number, number] => [
  clock.at(on, from * 60),
  clock.at(on, to * 60),
]
const placed = (segments: [number, number][], personIds: string[]) => ({
  ...{ stepId: 's', segments, readyAt: 0, personIds, binding: { kind: 'now' as const } },
})

it('are what people can give less what the plan has them do, day by day', () => {
  const there = [14, 6, 0, 5]
  const hands = (on: number) => ({ hours: there[on - day] ?? 99 })
  // Two for three hours and one for two on the first day, one for eight of six hours on the second.
  const plan = {
    placements: [
      placed([span(day, 9, 12)], ['a', 'b']),
      placed([span(day, 13, 15), span(day + 1, 8, 16)], ['a']),
    ],
  }
  expect(freeHours(plan, clock, hands, day, day + 4)).toBe(14 - 8 + 0 + 0 + 5)
  expect(freeHours(plan, clock, hands, day, day)).toBe(0)
  expect(freeHours(null, clock, hands, day, day + 2)).toBe(20)
})
