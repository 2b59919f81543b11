/** Errands in the waits of a day; times by hand. */
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import { clockTimeOf } from '../time/say'
import { zoneClock } from '../time/zone'
import { bareLine } from './dayLine'
import type { DayLine } from './dayLine'
import { errandsOf, sayErrand } from './errands'
import { takeWith } from './takeWith'

const clock = zoneClock('UTC')
/** Saturday 17 April 2027. */
const at = (time: string) => Date.parse(`2027-04-17T${time}:00Z`)

/** Ann grinds 9 to 10 and beds at 13; Ben is at it with her from 13. The shop is ten minutes away, open 9:30 to 12. */
function day(shop: object = {}) {
  const rows = emptyRefit()
  person(rows, 'Ann', [6], '08:00', '18:00')
  person(rows, 'Ben', [6], '08:00', '18:00')
  const yard = add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', travelMin: 40 })
  add(rows, 'place', 'shop', {
    name: 'Shop',
    kind: 'shop',
    travelMin: 30,
    opensAt: '09:30',
    shutsAt: '12:00',
    ...shop,
  })
  add(rows, 'drive', 'd', { fromPlaceId: 'shop', toPlaceId: 'yard', minutes: 10 })
  job(rows, 'Bitt')
  step(rows, 'Bitt', 'grind')
  step(rows, 'Bitt', 'bed')
  add(rows, 'bringLine', 'butyl', {
    stepId: 'bed',
    what: 'Butyl',
    amount: '2 rolls',
    at: 'toBuy',
    order: 'b',
  })
  const lines = [
    line(rows, 'grind', '09:00', '10:00', ['Ann', 'Ben']),
    line(rows, 'bed', '13:00', '15:00', ['Ann', 'Ben']),
  ]
  return { rows, yard, lines }
}
const line = (
  rows: Building,
  stepId: string,
  from: string,
  to: string,
  personIds: readonly string[],
): DayLine => ({
  ...bareLine,
  kind: 'work',
  what: '',
  from: at(from),
  to: at(to),
  step: rows.step.find((one) => one.id === stepId) ?? null,
  job: rows.job[0] ?? null,
  personIds,
})
function errandOf({ rows, yard, lines }: ReturnType<typeof day>, now = '08:00', from = '09:00') {
  const take = takeWith(rows, lines, { placeNeed: 'boat' })
  const personIds = rows.person.map((one) => one.id)
  const frame = { on: '2027-04-17', personIds, from: at(from), to: at('18:00'), place: yard }
  const [errand] = errandsOf(rows, take, lines, frame, clock, at(now))
  const said =
    errand &&
    sayErrand(
      errand,
      (id) => id,
      (when) => clockTimeOf(when, clock),
    )
  return { errand, said }
}

describe('an errand', () => {
  it('goes into the first wait that is long enough, inside the hours of the shop', () => {
    // 10 out, 15 there, 10 back. Free 10 to 13; the shop shuts at 12: leave by 11:35, back by 12:10.
    const { errand, said } = errandOf(day())
    expect(errand?.things.map((one) => one.what)).toEqual(['Butyl'])
    expect(errand?.trip).toEqual({
      personId: 'Ann',
      leaveFrom: at('10:00'),
      leaveBy: at('11:35'),
      backBy: at('12:10'),
    })
    expect(said).toBe(
      'Ann has time: leave from 10:00, at the latest at 11:35, back by 12:10. “bed” wants it at 13:00.',
    )
  })
  it('waits for the shop to open, and never leaves before now', () => {
    const early = day()
    early.lines[0] = line(early.rows, 'grind', '09:00', '09:05', ['Ann'])
    // Ben is free from nine; the shop opens at half past nine, ten minutes away.
    expect(errandOf(early).errand?.trip).toMatchObject({ personId: 'Ann', leaveFrom: at('09:20') })
    expect(errandOf(early, '10:30').errand?.trip?.leaveFrom).toBe(at('10:30'))
  })
  it('is back before the step that wants it, and not for one who is busy', () => {
    const tight = day()
    tight.lines[1] = line(tight.rows, 'bed', '10:35', '12:00', ['Ann', 'Ben'])
    expect(errandOf(tight).said).toMatch(/^Ann has time: leave at 10:00, back by 10:35\./)
    tight.lines[1] = line(tight.rows, 'bed', '10:34', '12:00', ['Ann', 'Ben'])
    expect(errandOf(tight).said).toMatch(/^Nobody has the 35 minutes for it/)
    expect(errandOf(tight).said).not.toContain('on the way')
    // The shop that opens at half past eight can be gone to before nine: 15 there, 10 on.
    tight.rows.place[1] = { ...tight.rows.place[1]!, opensAt: '08:35' }
    expect(errandOf(tight).said).toContain('fetch it on the way there')
    // They are there already: it is too late for that.
    expect(errandOf(tight, '09:00').said).not.toContain('on the way')
    tight.rows.place[1] = { ...tight.rows.place[1]!, opensAt: '09:30' }
    // Ben grinds alone from half past nine: grinding may be left.
    tight.lines[0] = line(tight.rows, 'grind', '09:00', '10:34', ['Ann'])
    tight.lines.push(line(tight.rows, 'grind', '09:00', '10:34', ['Ben']))
    const instead = errandOf(tight)
    expect(instead.errand?.trip).toBeNull()
    expect(instead.said).toBe(
      'Nobody is idle for the 35 minutes: Ann could leave “grind” for it, at the latest at 09:59. “bed” wants it at 10:34.',
    )
    tight.lines.pop()
    // Ben does not grind: he has the morning.
    tight.lines[0] = line(tight.rows, 'grind', '09:00', '10:00', ['Ann'])
    expect(errandOf(tight).errand?.trip).toMatchObject({ personId: 'Ben', leaveFrom: at('09:20') })
  })
  it('ends where the thing is wanted, however long somebody has nothing to do', () => {
    const short = day()
    short.lines[1] = line(short.rows, 'bed', '10:20', '12:00', ['Ann'])
    short.lines.push(line(short.rows, 'grind', '13:00', '14:00', ['Ben']))
    expect(errandOf(short).errand).toMatchObject({ trip: null, instead: null })
  })
  it('says that a shop is shut, and takes the one that is named', () => {
    expect(errandOf(day({ shutWeekdays: [6] })).said).toBe(
      'Shop is shut that day. “bed” wants it at 13:00.',
    )
    const named = day()
    add(named.rows, 'place', 'other', { name: 'Other', kind: 'shop', travelMin: 5, order: 'z' })
    expect(errandOf(named).errand?.shop.id).toBe('shop')
    named.rows.bringLine[0] = { ...named.rows.bringLine[0]!, shopId: 'other' }
    // Without a drive of its own the way goes by home: 40 + 5.
    expect(errandOf(named).errand).toMatchObject({ shop: { id: 'other' }, wayMin: 45 })
  })
  it('is none where all is there', () => {
    const there = day()
    there.rows.bringLine[0] = { ...there.rows.bringLine[0]!, at: 'boat' }
    expect(errandOf(there).errand).toBeUndefined()
  })
})
