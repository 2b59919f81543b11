/** Room found in a diary against looking at every quarter of an hour. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PlaceNeed } from '../../model/words'
import { dayMs, hourMs } from '../../time/civil'
import type { Interval } from '../../time/intervals'
import { zoneClock } from '../../time/zone'
import { Diary } from './diary'
import { plainSites } from '../../testing/sites'
import type { Sites } from './sites'

const clock = zoneClock('UTC')
const monday = Date.UTC(2027, 3, 19)
const quarter = hourMs / 4
const firstDay = clock.dayOf(monday)

/** Two people: one on weekdays from 08:00 with an hour at noon, one every other day from 10:00 to 15:00. */
function presence(person: number, day: number): readonly Interval[] {
  const at = (hour: number) => day * dayMs + hour * hourMs
  if (person === 1) return day % 2 === 0 ? [[at(10), at(15)]] : []
  const weekday = (day - firstDay) % 7
  return weekday > 4
    ? []
    : ([
        [at(8), at(12)],
        [at(13), at(17)],
      ] as const)
}
const sites = plainSites((person, _, day) => presence(person, day), [
  { id: 'one' },
  { id: 'two' },
] as unknown as Sites['people'])

/** Always; not from Tuesday noon to Thursday ten; in the middle of the days of the second week, then always. */
const hullWindows: readonly (readonly Interval[])[] = [
  [[-Infinity, Infinity]],
  [
    [-Infinity, monday + 36 * hourMs],
    [monday + 82 * hourMs, Infinity],
  ],
  [
    ...[7, 8, 9].map((day): Interval => [
      monday + day * dayMs + 11 * hourMs,
      monday + day * dayMs + 14 * hourMs,
    ]),
    [monday + 10 * dayMs, Infinity],
  ],
]

interface Task {
  readonly windows: readonly Interval[]
  readonly crew: readonly number[]
  readonly place: PlaceNeed
  readonly quarters: number
  readonly fromQuarter: number
  readonly splittable: boolean
  /** Which of the booked ones is taken out again first, by its place among them. */
  readonly out: number
}
interface Booked extends Task {
  readonly segments: readonly Interval[]
}

/** True when a person is there for a place in a quarter of an hour, with nothing else that day elsewhere. */
function isFree(person: number, place: PlaceNeed, at: number, booked: readonly Booked[]): boolean {
  const day = clock.dayOf(at)
  if (!presence(person, day).some(([from, to]) => from <= at && at + quarter <= to)) return false
  return booked
    .filter((one) => one.crew.includes(person))
    .every((one) =>
      one.segments.every(
        ([from, to]) =>
          clock.dayOf(from) !== day || (one.place === place && (to <= at || from >= at + quarter)),
      ),
    )
}

/** Start of the first run of free quarters long enough, on one day. */
function naive(
  { crew, place, quarters, fromQuarter, windows }: Task,
  booked: readonly Booked[],
): number {
  for (let at = monday + fromQuarter * quarter; ; at += quarter) {
    let run = 0
    while (run < quarters && crew.every((one) => isFree(one, place, at + run * quarter, booked)))
      run++
    const isOpen = windows.some(([from, to]) => from <= at && at + run * quarter <= to)
    if (run === quarters && isOpen) return at
  }
}

const task = fc.record({
  windows: fc.constantFrom(...hullWindows),
  crew: fc.constantFrom([0], [1], [0, 1]),
  place: fc.constantFrom<PlaceNeed[]>('boat', 'boat', 'shed'),
  // Both together are there for two hours on end.
  quarters: fc.integer({ min: 1, max: 8 }),
  fromQuarter: fc.integer({ min: 0, max: 4 * 24 * 6 }),
  splittable: fc.boolean(),
  out: fc.integer({ min: 0, max: 40 }),
})

describe('a diary', () => {
  it('finds the first room for work in one go, whatever was booked and taken out before', () => {
    fc.assert(
      fc.property(fc.array(task, { minLength: 1, maxLength: 25, size: 'max' }), (tasks) => {
        const diary = new Diary(sites, clock, monday)
        let booked: Booked[] = []
        for (const [index, one] of tasks.entries()) {
          const gone = booked[one.out]
          if (gone) {
            diary.release(gone.crew, gone.segments, idOf(gone))
            booked = booked.filter((other) => other !== gone)
          }
          const found = diary.find({
            crew: one.crew,
            place: one.place,
            windows: one.windows,
            from: monday + one.fromQuarter * quarter,
            workMs: one.quarters * quarter,
            splittable: one.splittable,
            giveUpAt: Infinity,
          })
          if (!found) throw new Error(`no room for ${index}`)
          // Work that may be left must be whole, and in free time; its stretches are the scheduler's choice.
          const all = found.segments.reduce((sum, [from, to]) => sum + to - from, 0)
          expect(all).toBe(one.quarters * quarter)
          for (const [from, to] of found.segments)
            for (let at = from; at < to; at += quarter)
              expect(one.crew.every((who) => isFree(who, one.place, at, booked))).toBe(true)
          if (!one.splittable) expect(found.start).toBe(naive(one, booked))
          const keep: Booked = { ...one, segments: found.segments }
          ids.set(keep, `s${index}`)
          diary.book(one.crew, one.place, found.segments, idOf(keep))
          booked.push(keep)
        }
      }),
    )
  })
})

it('names the last that kept people busy, each once, and what went on from the night before', () => {
  const diary = new Diary(sites, clock, monday)
  const at = (hour: number) => monday + hour * hourMs
  diary.book([0], 'boat', [[at(-2), at(6)]], 'watch')
  diary.book([1], 'boat', [[at(1), at(2)]], 'first')
  diary.book(
    [1],
    'boat',
    [
      [at(2.5), at(2.75)],
      [at(3), at(4)],
    ],
    'second',
  )
  diary.book([1], 'boat', [[at(7), at(8)]], 'too late')
  const named = (most: number) =>
    diary.busyBetween([0, 1], at(-20), at(7), most).map((one) => one.stepId)
  expect(named(2)).toEqual(['watch', 'second'])
  expect(named(3)).toEqual(['watch', 'second', 'first'])
})

const ids = new WeakMap<Booked, string>()
const idOf = (one: Booked): string => ids.get(one) ?? ''
