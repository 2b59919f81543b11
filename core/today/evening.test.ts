/** The end of a day: what stops leaving her, who comes next, whose hours were whose, what is made ready. */
import { describe, expect, it } from 'vitest'
import type { WeatherHour } from '../cure/dewPoint'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { zoneClock } from '../time/zone'
import { Weather } from '../weather/weather'
import { doneHours } from './doneHours'
import { leavingList, openNow, sayLeaving } from './leaving'
import { nextVisit } from './nextVisit'
import { readyTonight, takeHome } from './tonight'

const clock = zoneClock('UTC')
const day = Date.UTC(2027, 3, 17)
const at = (hour: number) => day + hour * 3_600_000
const on = '2027-04-17'

function deckOpen(): Building {
  const rows = emptyRefit()
  add(rows, 'zone', 'deck', { name: 'Foredeck', strake: 'deck', order: 'a' })
  add(rows, 'zone', 'cabin', { name: 'Cabin', strake: 'below', order: 'b' })
  job(rows, 'Hatch', { zoneId: 'deck' })
  step(rows, 'Hatch', 'cut', { operation: 'cut', state: 'done', doneAt: at(10), order: 'b' })
  step(rows, 'Hatch', 'frame', { operation: 'fit', order: 'c' })
  step(rows, 'Hatch', 'bed', { operation: 'bed', order: 'd' })
  return rows
}
const sky = (rainAt: number | null, until = 72): WeatherHour[] =>
  Array.from({ length: until }, (_, hour) => ({
    at: at(hour),
    tempC: 12,
    dewC: 5,
    rain: hour === rainAt,
  }))
function listOf(rows: Building, hours: readonly WeatherHour[], more: object = {}) {
  rows.forecast = []
  add(rows, 'forecast', 'f', { station: 'S', takenAt: day, hours: [...hours] })
  const frame = {
    on,
    leaveAt: at(17),
    next: { at: at(33), personIds: ['Ann'] },
    isAshore: true,
    curing: [],
    ...more,
  }
  return leavingList(rows, new Weather(rows, clock), frame, clock)
}
const kinds = (list: ReturnType<typeof listOf>) =>
  Object.fromEntries(list.lines.map((one) => [one.key, one.kind]))

describe('an opening', () => {
  it('is made by a cut, and shut by what beds it; work below and work not begun opens nothing', () => {
    const rows = deckOpen()
    expect(openNow(rows).map((one) => one.step.id)).toEqual(['cut'])
    rows.step[2] = { ...rows.step[2]!, state: 'done' }
    expect(openNow(rows)).toEqual([])
    rows.step[2] = { ...rows.step[2], state: 'open' }
    rows.step[0] = { ...rows.step[0]!, state: 'open' }
    expect(openNow(rows)).toEqual([])
    rows.step[0] = { ...rows.step[0], state: 'doing' }
    expect(openNow(rows)).toHaveLength(1)
    // Nothing of the job ever shuts it again: it opens nothing that stays.
    rows.step = rows.step.filter((one) => one.id !== 'bed')
    expect(openNow(rows)).toEqual([])
  })
  it('stops leaving her when rain comes before the next visit, or when nobody can say', () => {
    expect(kinds(listOf(deckOpen(), sky(24)))['open Hatch']).toBe('stop')
    expect(kinds(listOf(deckOpen(), sky(34)))['open Hatch']).toBe('todo')
    expect(kinds(listOf(deckOpen(), sky(null, 20)))['open Hatch']).toBe('stop')
    expect(kinds(listOf(deckOpen(), []))['open Hatch']).toBe('stop')
    const below = deckOpen()
    below.job[0] = { ...below.job[0]!, zoneId: 'cabin' }
    expect(kinds(listOf(below, sky(24)))['open Hatch']).toBeUndefined()
  })
  it('is only to be lashed under a cover that stands until then, and stops again where that comes down', () => {
    const rows = deckOpen()
    const tent = { title: 'Tent', zoneIds: ['deck'], upOn: '2027-04-01' }
    add(rows, 'cover', 't', { ...tent, downOn: '2027-05-01' })
    expect(kinds(listOf(rows, sky(24)))).toMatchObject({ 'cover deck': 'todo', 'shut t': 'todo' })
    rows.cover[0] = { ...rows.cover[0]!, downOn: on }
    expect(kinds(listOf(rows, sky(24)))['open Hatch']).toBe('stop')
  })
})

describe('the list before leaving', () => {
  it('is that of the day: cups after resin, a watch after welding, what runs, the ladder ashore', () => {
    const rows = deckOpen()
    step(rows, 'Hatch', 'ply', { operation: 'laminate', state: 'done', doneAt: at(12), order: 'x' })
    step(rows, 'Hatch', 'weld', { operation: 'weld', state: 'done', doneAt: at(16.5), order: 'y' })
    add(rows, 'cover', 'h', {
      title: 'Dryer',
      kind: 'heat',
      zoneIds: ['cabin'],
      upOn: on,
      downOn: '2027-05-01',
      addsC: 4,
    })
    const ashore = kinds(listOf(rows, sky(null)))
    expect(ashore).toMatchObject({
      cups: 'todo',
      watch: 'stop',
      'runs h': 'runs',
      stands: 'todo',
      ladder: 'last',
    })
    const afloat = kinds(listOf(rows, sky(null), { isAshore: false, leaveAt: at(17.6) }))
    expect([afloat.watch, afloat.ladder, afloat.lines]).toEqual([undefined, undefined, 'todo'])
    expect(kinds(listOf(deckOpen(), sky(null))).cups).toBeUndefined()
  })
  it('says what stops it until it is ticked, and then what is left', () => {
    const rows = deckOpen()
    expect(sayLeaving(listOf(rows, sky(24)))).toEqual({
      canBeLeft: false,
      said: 'foredeck: close or cover it.',
    })
    add(rows, 'leaving', 'l', { on, line: 'open Hatch', at: at(16) })
    // A tick of another day is none.
    add(rows, 'leaving', 'm', { on: '2027-04-16', line: 'drains', at: at(-8) })
    const ticked = listOf(rows, sky(24))
    expect(sayLeaving(ticked)).toEqual({
      canBeLeft: true,
      said: 'Nothing stops it; 5 of the list to do first.',
    })
    for (const one of ticked.lines)
      add(rows, 'leaving', `t${one.key}`, { on, line: one.key, at: at(16) })
    expect(sayLeaving(listOf(rows, sky(24))).said).toBe(
      'She can be left: all of the list is ticked.',
    )
  })
})

describe('the next visit', () => {
  it('is the next day of anybody, travel taken off, absences and set days minded', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6, 7], '08:00', '16:00')
    person(rows, 'Ben', [1], '09:00', '17:00')
    add(rows, 'place', 'yard', { name: 'Y', kind: 'yard', travelMin: 45 })
    const next = () => nextVisit(rows, rows.place[0]!, at(16), clock)
    expect(next()).toEqual({ at: at(24 + 8.75), personIds: ['Ann'] })
    add(rows, 'personDay', 'a', { personId: 'Ann', on: '2027-04-18', kind: 'cannotCome' })
    expect(next()).toEqual({ at: at(48 + 9.75), personIds: ['Ben'] })
    // Hours at the place, as somebody set the day up.
    add(rows, 'dayPlan', 'd', { on: '2027-04-19', personIds: ['Ben'], from: '10:30', to: '12:00' })
    expect(next()?.at).toBe(at(48 + 10.5))
    // An hour that the drive takes whole is no visit.
    rows.dayPlan = []
    rows.weekSlot = rows.weekSlot.map((one) =>
      one.personId === 'Ben' ? { ...one, to: '10:30' } : one,
    )
    expect(next()?.personIds).toEqual(['Ann'])
    rows.person = rows.person.map((one) => ({ ...one, gone: true }))
    expect(next()).toBeNull()
  })
})

describe('the next visit where the gate is shut or she is out', () => {
  it('waits until somebody can be there', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [1, 7], '08:00', '16:00')
    const yard = add(rows, 'place', 'yard', { name: 'Y', kind: 'yard', travelMin: 30 })
    const next = (more: object = {}) => nextVisit(rows, { ...yard, ...more }, at(16), clock)?.at
    expect(next()).toBe(at(24 + 8.5))
    // Opened at ten: there is no being there before.
    expect(next({ opensAt: '10:00' })).toBe(at(24 + 10))
    expect(next({ shutWeekdays: [7] })).toBe(at(48 + 8.5))
    add(rows, 'wantedDays', 'w', { from: '2027-04-18', to: '2027-04-24', why: 'sails' })
    expect(next()).toBe(at(8 * 24 + 8.5))
  })
})

describe('hours of what was done', () => {
  it('are from begun to ticked, each person, until they are booked', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    const done = {
      state: 'done' as const,
      startedAt: at(9),
      doneAt: at(10.5),
      byIds: ['Ann', 'Ben'],
    }
    step(rows, 'J', 'a', { ...done, hoursLikely: 2 })
    step(rows, 'J', 'nobody began it', { ...done, startedAt: null })
    step(rows, 'J', 'yesterday', { ...done, startedAt: at(-10), doneAt: at(-9) })
    step(rows, 'J', 'forgotten', { ...done, startedAt: at(-5), doneAt: at(8) })
    const found = doneHours(rows, on, ['Cat'], clock)
    // An hour and a half by two against two hours.
    expect(found.map((one) => [one.step.id, one.hours, one.personIds, one.ratio])).toEqual([
      ['a', 1.5, ['Ann', 'Ben'], 1.5],
    ])
    rows.step[0] = { ...rows.step[0]!, byIds: [] }
    expect(doneHours(rows, on, ['Cat', 'Dov'], clock)[0]?.personIds).toEqual(['Cat'])
    add(rows, 'hoursEntry', 'h', { stepId: 'a', personId: 'Ann', on, hours: 1 })
    expect(doneHours(rows, on, [], clock)).toEqual([])
  })
})

describe('the lists of the evening', () => {
  it('fetch, warm and charge for the next day, and take home what the shed wants before it', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    step(rows, 'J', 'lay', { operation: 'laminate' })
    step(rows, 'J', 'plate', { operation: 'fit', placeNeed: 'shed' })
    const bring = (id: string, stepId: string, place: 'boat' | 'shed') =>
      add(rows, 'bringLine', id, { stepId, what: id, amount: '', at: place, order: id })
    bring('Cloth', 'lay', 'shed')
    bring('Cups', 'lay', 'boat')
    bring('Pattern', 'plate', 'boat')
    const placed = (stepId: string, hour: number) => ({
      stepId,
      segments: [[at(hour), at(hour + 1)]] as const,
      readyAt: at(hour + 1),
      personIds: ['Ann'],
      binding: { kind: 'now' } as const,
    })
    const plan = { placements: [placed('lay', 33), placed('plate', 30)] }
    const weather = (tempC: number) => {
      rows.forecast = []
      add(rows, 'forecast', 'f', {
        station: 'S',
        takenAt: day,
        hours: sky(null).map((one) => ({ ...one, tempC })),
      })
      return new Weather(rows, clock)
    }
    const ready = (tempC: number) =>
      readyTonight(rows, plan, clock.dayOf(at(33)), weather(tempC), clock).map((one) => one.what)
    expect(ready(9)).toEqual(['Cloth', 'Resin kept warm indoors', 'Plies cut and numbered'])
    expect(ready(28)).toContain('Resin kept cool')
    expect(ready(18)).toEqual(['Cloth', 'Plies cut and numbered'])
    expect(takeHome(rows, plan, at(17), at(33)).map((one) => [one.what, one.forStep])).toEqual([
      ['Pattern', 'plate'],
    ])
    expect(takeHome(rows, plan, at(17), at(29))).toEqual([])
    // What the boat itself wants stays there.
    expect(takeHome(rows, plan, at(17), at(40)).map((one) => one.what)).toEqual(['Pattern'])
  })
})
