/** Nights and second places in a diary, against what can be: nobody sleeps at one place and wakes at another. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../../testing/build'
import type { PlaceNeed } from '../../model/words'
import { dayMs, hourMs } from '../../time/civil'
import type { Interval } from '../../time/intervals'
import { zoneClock } from '../../time/zone'
import { openings } from '../openings'
import { Diary } from './diary'
import { makeSites, stays } from './sites'
import type { Sites } from './sites'

const clock = zoneClock('UTC')
const start = Date.UTC(2027, 3, 19)
const first = clock.dayOf(start)
const days = 8
const at = (day: number, hour: number) => (first + day) * dayMs + hour * hourMs

/** At the boat from 10 to 15 with the way there and back, from 8 after a night there, until 18 before one; in the shed 9 to 17. */
const sites: Sites = {
  people: [{ id: 'one' }] as unknown as Sites['people'],
  presence: (_, place, day, ends = 0) =>
    place === 'boat'
      ? [
          [
            day * dayMs + (ends & stays.sinceYesterday ? 8 : 10) * hourMs,
            day * dayMs + (ends & stays.untilTomorrow ? 18 : 15) * hourMs,
          ],
        ]
      : place === 'shed'
        ? [[day * dayMs + 9 * hourMs, day * dayMs + 17 * hourMs]]
        : [],
  ends: () => stays.sinceYesterday | stays.untilTomorrow,
  sleepsAt: () => null,
  pauseOn: () => null,
  move: (from, to) => (from === to ? null : hourMs),
  never: () => false,
  away: () => false,
}

interface Booked {
  readonly place: PlaceNeed
  readonly segments: readonly Interval[]
}

/** What cannot be of a week, as sentences. */
function faults(booked: readonly Booked[]): string[] {
  const on = (day: number) =>
    booked
      .flatMap(({ place, segments }) => segments.map(([from, to]) => ({ place, from, to })))
      .filter((one) => clock.dayOf(one.from) === first + day)
      .sort((a, b) => a.from - b.from)
  return Array.from({ length: days + 2 }, (_, day) => day).flatMap((day) => {
    const list = on(day)
    const found: string[] = []
    const moves = list.slice(1).filter((one, i) => one.place !== list[i]?.place)
    if (moves.length > 1) found.push(`day ${day}: to and fro`)
    for (const [i, one] of list.entries()) {
      const before = list[i - 1]
      if (before && one.from < before.to) found.push(`day ${day}: two things at once`)
      if (before && before.place !== one.place && one.from - before.to < hourMs)
        found.push(`day ${day}: no time for the way`)
      if (one.place === 'shed' && (one.from < at(day, 9) || one.to > at(day, 17)))
        found.push(`day ${day}: not in the shed`)
      if (one.place === 'boat' && (one.from < at(day, 8) || one.to > at(day, 18)))
        found.push(`day ${day}: not at the boat`)
      if (one.place === 'boat' && one.from < at(day, 10)) {
        if ((on(day - 1).at(-1)?.place ?? 'boat') !== 'boat')
          found.push(`day ${day}: slept elsewhere`)
        if (i > 0 && list[0]?.place !== 'boat') found.push(`day ${day}: woke elsewhere`)
      }
      if (one.place === 'boat' && one.to > at(day, 15)) {
        if ((on(day + 1)[0]?.place ?? 'boat') !== 'boat') found.push(`day ${day}: wakes elsewhere`)
        if (list.at(-1)?.place !== 'boat') found.push(`day ${day}: sleeps elsewhere`)
      }
    }
    return found
  })
}

const task = fc.record({
  place: fc.constantFrom<PlaceNeed[]>('boat', 'boat', 'shed'),
  hours: fc.integer({ min: 1, max: 9 }),
  day: fc.integer({ min: 0, max: days - 1 }),
  splittable: fc.boolean(),
  /** Which of the booked ones is taken out first, by its place among them. */
  out: fc.integer({ min: 0, max: 12 }),
})

describe('a diary with nights and ways', () => {
  it('never has anybody sleep at one place and wake at another, whatever was taken out', () => {
    let nights = 0
    fc.assert(
      fc.property(fc.array(task, { minLength: 2, maxLength: 14, size: 'max' }), (tasks) => {
        const diary = new Diary(sites, clock, start)
        let booked: (Booked & { id: string })[] = []
        for (const [index, one] of tasks.entries()) {
          const gone = booked[one.out]
          if (gone && diary.canRelease([0], gone.segments, gone.id)) {
            diary.release([0], gone.segments, gone.id)
            booked = booked.filter((other) => other !== gone)
          }
          const found = diary.find({
            crew: [0],
            place: one.place,
            windows: [[-Infinity, Infinity]],
            from: at(one.day, 0),
            workMs: one.hours * hourMs,
            splittable: one.splittable,
            giveUpAt: at(days, 24),
          })
          if (!found) continue
          diary.book([0], one.place, found.segments, `s${index}`)
          booked.push({ id: `s${index}`, place: one.place, segments: found.segments })
          expect(faults(booked)).toEqual([])
        }
        nights += booked
          .flatMap((one) => one.segments)
          .filter(
            ([from, to]) => new Date(from).getUTCHours() < 9 || new Date(to).getUTCHours() > 17,
          ).length
      }),
      { numRuns: 300 },
    )
    // Else the nights were never slept.
    expect(nights).toBeGreaterThan(100)
  })

  const find = (diary: Diary, place: PlaceNeed, hours: number) =>
    diary.find({
      crew: [0],
      place,
      windows: [[-Infinity, Infinity]],
      from: at(0, 0),
      workMs: hours * hourMs,
      splittable: false,
      giveUpAt: at(days, 24),
    })
  it('goes to a second place only for more than the way', () => {
    const diary = new Diary({ ...sites, ends: () => stays.notAtAll }, clock, start)
    diary.book([0], 'boat', [[at(0, 10), at(0, 12)]], 'a')
    // Twenty minutes less than the hour of the way: another day. An hour: after it.
    expect(find(diary, 'shed', 2 / 3)?.start).toBe(at(1, 9))
    expect(find(diary, 'shed', 1)?.start).toBe(at(0, 13))
  })
})

describe('the hours at a place', () => {
  it('join nights at the ends of a day only: between two stretches everybody drives', () => {
    const rows = emptyRefit()
    add(rows, 'place', 'b', {
      name: 'B',
      kind: 'berth',
      travelMin: 60,
      setUpMin: 0,
      packUpMin: 0,
      nights: 'aboard',
    })
    person(rows, 'Ann', [1, 2], '06:00', '10:00')
    for (const weekday of [1, 2])
      add(rows, 'weekSlot', `late${weekday}`, {
        personId: 'Ann',
        weekday,
        from: '16:00',
        to: '20:00',
      })
    const found = makeSites(rows, clock, [])
    const both = stays.sinceYesterday | stays.untilTomorrow
    expect(found.presence(0, 'boat', first, both)).toEqual([
      [at(0, 6), at(0, 9)],
      [at(0, 17), at(0, 20)],
    ])
    // Monday and Tuesday only: there is one night.
    expect([0, 1, 2].map((day) => found.ends(0, first + day))).toEqual([
      stays.untilTomorrow,
      stays.sinceYesterday,
      stays.notAtAll,
    ])
  })
})

describe('openings', () => {
  it('are of her: what is cut in the shed opens nothing, and what is filled there shuts nothing', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    step(rows, 'J', 'panel', { operation: 'cut', placeNeed: 'shed' })
    step(rows, 'J', 'hole', { operation: 'cut' })
    step(rows, 'J', 'panel filled', { operation: 'fill', placeNeed: 'shed' })
    step(rows, 'J', 'bed', { operation: 'bed' })
    const placed = new Map(
      ['panel', 'hole', 'panel filled', 'bed'].map((id, day) => [
        id,
        { segments: [[at(day, 10), at(day, 11)]] as const, readyAt: at(day, 12) },
      ]),
    )
    expect(openings(rows, placed).map((one) => [one.step.id, one.from, one.to])).toEqual([
      ['hole', at(1, 10), at(3, 12)],
    ])
  })
  it('go by what a step says of itself', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    step(rows, 'J', 'pilot hole', { operation: 'drill', opens: false })
    step(rows, 'J', 'skin fitting out', { operation: 'fit', opens: true })
    step(rows, 'J', 'threads filled', { operation: 'fill', closes: false })
    step(rows, 'J', 'plug in', { operation: 'fit', closes: true })
    const placed = new Map(
      rows.step.map(({ id }, day) => [
        id,
        { segments: [[at(day, 10), at(day, 11)]] as const, readyAt: at(day, 12) },
      ]),
    )
    expect(openings(rows, placed).map((one) => [one.step.id, one.from, one.to])).toEqual([
      ['skin fitting out', at(1, 10), at(3, 12)],
    ])
  })
})
