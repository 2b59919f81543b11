import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { intersect, joined, without } from './intervals'
import type { Interval } from './intervals'

const most = 30
const some = fc.array(
  fc.tuple(fc.nat(most), fc.nat(8)).map(([from, length]): Interval => [from, from + length]),
  { maxLength: 8 },
)
/** Independent: which whole hours are in. */
const hours = (list: readonly Interval[]): boolean[] =>
  Array.from({ length: most + 10 }, (_, at) => list.some(([from, to]) => from <= at && at < to))
const isSet = (list: readonly Interval[]): boolean =>
  list.every(([from, to], at) => to > from && (at === 0 || (list[at - 1]?.[1] ?? 0) < from))

describe('sets of intervals', () => {
  it('join, meet and are cut as their hours are', () => {
    fc.assert(
      fc.property(some, some, fc.nat(most), fc.nat(10), (a, b, from, length) => {
        const [left, right] = [joined(a), joined(b)]
        expect(hours(left)).toEqual(hours(a))
        expect(isSet(left)).toBe(true)
        const both = intersect(left, right)
        expect(hours(both)).toEqual(hours(a).map((is, at) => is && (hours(b)[at] ?? false)))
        expect(both.every(([one, other]) => other > one)).toBe(true)
        const cut = hours(without(left, from, from + length))
        expect(cut).toEqual(hours(a).map((is, at) => is && (at < from || at >= from + length)))
      }),
    )
  })
})
