/** The quick way past full days against looking at every day. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ComingDays, WorkDays } from './workDays'
import type { DayRoom } from './workDays'

const first = 100
const last = first + 400
/** Some days of this year and of the next: those of the next are laid out when they are first asked for. */
const some = Array.from({ length: 12 }, (_, at) => first + at)
const asked = [...some, ...some.map((day) => day + 125)]

const fullness: readonly DayRoom[] = ['roomy', 'crowded', 'full']
const actions = fc.array(
  fc.record({
    day: fc.constantFrom(...asked),
    room: fc.constantFrom<DayRoom[]>('full', 'full', 'full', 'crowded', 'roomy'),
  }),
  { minLength: 1, maxLength: 80, size: 'max' },
)

/** Somebody comes on two days of three. */
const comes = (day: number) => day % 3 !== 0

describe('work days', () => {
  it('lead past the days that are full, and back to those that were freed', () => {
    fc.assert(
      fc.property(actions, (all) => {
        const state = new Map<number, DayRoom>()
        const roomOn = (day: number) => state.get(day) ?? 'roomy'
        const days = new WorkDays(new ComingDays(first, (day) => (comes(day) ? [[0, 1]] : [])))
        const isWanted = (day: number, roomy: boolean) =>
          comes(day) && (roomy ? roomOn(day) === 'roomy' : roomOn(day) !== 'full')
        for (const { day, room } of all) {
          const isLess = fullness.indexOf(room) > fullness.indexOf(roomOn(day))
          state.set(day, room)
          if (isLess) days.mark(day, room)
          else days.reopen(day, room)
          for (const roomy of [false, true])
            for (const from of asked) {
              let wanted = from
              while (!isWanted(wanted, roomy)) wanted++
              const found = days.dayAt(days.nextFree(days.positionOf(from, last), roomy), last)
              if (found !== wanted) expect([from, roomy, found]).toEqual([from, roomy, wanted])
            }
        }
      }),
    )
  })
})
