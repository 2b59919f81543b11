/** The quick way past days with too little room against looking at every day. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ComingDays, WorkDays } from './workDays'

const first = 100
const last = first + 400
/** Some days of this year and of the next: those of the next are laid out when they are first asked for. */
const some = Array.from({ length: 12 }, (_, at) => first + at)
const asked = [...some, ...some.map((day) => day + 125)]

const hourMs = 3_600_000
const actions = fc.array(
  fc.record({
    day: fc.constantFrom(...asked),
    hours: fc.constantFrom(0, 0, 0, 0.5, 1, 1.5, 4),
  }),
  { minLength: 1, maxLength: 80, size: 'max' },
)

/** Somebody comes on two days of three: for ten hours, on some of them for two. */
const usual = (day: number) => (day % 3 === 0 ? 0 : day % 5 === 0 ? 2 : 10)
/** By what a stretch that is looked for tells days apart, in hours. */
const toldBy = new Map([
  [0.4, 0.001],
  [1, 1],
  [1.9, 1],
  [2, 2],
  [3.9, 2],
  [4, 4],
  [9, 4],
])

describe('work days', () => {
  it('lead past the days that have too little room, and back to those that were freed', () => {
    fc.assert(
      fc.property(actions, (all) => {
        const left = new Map<number, number>()
        const hoursOn = (day: number) => Math.min(usual(day), left.get(day) ?? Infinity)
        const presence = (day: number) =>
          usual(day) > 0
            ? [[0, usual(day) * hourMs] as const, [30 * hourMs, 30.2 * hourMs] as const]
            : []
        const days = new WorkDays(new ComingDays(first, presence))
        for (const { day, hours } of all) {
          const isLess = hours <= (left.get(day) ?? Infinity)
          left.set(day, hours)
          if (isLess) days.mark(day, hours * hourMs)
          else days.reopen(day, hours * hourMs)
          for (const [stretch, least] of toldBy)
            for (const from of asked) {
              let wanted = from
              while (hoursOn(wanted) < least) wanted++
              const position = days.nextFree(days.positionOf(from, last), stretch * hourMs)
              const found = days.dayAt(position, last)
              if (found !== wanted) expect([from, stretch, found]).toEqual([from, stretch, wanted])
            }
        }
      }),
    )
  })
})
