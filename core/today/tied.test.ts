/** A crowded day: what is short and free is one line, and nothing that binds is out of sight. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import type { Step } from '../model/entities'
import { hourMs, minuteMs } from '../time/civil'
import { bareLine } from './dayLine'
import type { DayLine } from './dayLine'
import { tiedDay } from './tied'

const nine = Date.UTC(2027, 3, 17, 9)
/** A step of so many minutes, so many minutes after nine. */
function line(id: string, after: number, minutes: number, more: Partial<DayLine> = {}): DayLine {
  const rows = emptyRefit()
  job(rows, 'job')
  add(rows, 'zone', 'cockpit', { name: 'Cockpit', order: 'a' })
  step(rows, 'job', id, { title: id, operation: 'fit' })
  return {
    ...bareLine,
    kind: 'work',
    what: '',
    from: nine + after * minuteMs,
    to: nine + (after + minutes) * minuteMs,
    personIds: ['ida'],
    step: rows.step[0] ?? null,
    job: rows.job[0] ?? null,
    ...more,
  }
}
const ownStep = () => line('s5', 0, 1).step as Step
const never = () => false
const cockpit = () => 'Cockpit'
/** So many quarters of an hour, one after the other. */
const quarters = (many: number, more: (at: number) => Partial<DayLine> = () => ({})) =>
  Array.from({ length: many }, (_, at) => line(`s${at}`, at * 15, 15, more(at)))
const idsOf = (lines: readonly DayLine[] | undefined) =>
  lines?.map((one) => one.step?.id ?? one.what)

describe('a crowded day', () => {
  it('of twelve stays as it is, of thirteen is tied, of four people too', () => {
    expect(tiedDay(quarters(12), 3, never, cockpit).lines).toHaveLength(12)
    const { lines, ties } = tiedDay(quarters(13), 1, never, cockpit)
    expect(lines.map((one) => [one.what, one.from, one.to])).toEqual([
      ['13 short steps, Cockpit', nine, nine + 13 * 15 * minuteMs],
    ])
    expect(idsOf([...ties.values()][0])).toEqual(quarters(13).map((one) => one.step?.id))
    expect(tiedDay(quarters(2), 4, never, cockpit).lines.map((one) => one.what)).toEqual([
      'two short steps, Cockpit',
    ])
  })

  it.each<[string, Partial<DayLine>]>([
    ['takes long', { to: nine + 3 * hourMs }],
    ['has a limit', { limit: { at: nine, beginBy: nine, why: 'dew' } }],
    ['is waited for', { waitUntil: nine + 9 * hourMs }],
    ['stands in forbidden hours', { against: 'rain' }],
    ['has a caution', { caution: 'Two at the crane' }],
    ['is done by two', { personIds: ['ida', 'tam'] }],
    ['goes on another day', { continues: true }],
    ['is under way', { step: { ...ownStep(), state: 'doing' } }],
    ['wants a mask', { step: { ...ownStep(), operation: 'grind' } }],
  ])('what %s stands, with ties before and after it', (_, more) => {
    const all = quarters(14, (at) => (at === 5 ? more : {}))
    const day = tiedDay(all, 1, never, cockpit)
    expect(idsOf(day.lines)).toEqual([
      'five short steps, Cockpit',
      's5',
      'eight short steps, Cockpit',
    ])
  })

  it('another place, a pause, somebody else or what is asked for by itself parts a tie', () => {
    const places = (one: DayLine) => (Number(one.step?.id.slice(1)) < 4 ? 'Cockpit' : 'Bilge')
    const late = quarters(14).map((one, at) =>
      at < 9 ? one : { ...one, from: one.from + hourMs, to: one.to + hourMs },
    )
    expect(idsOf(tiedDay(late, 1, (one) => one.step?.id === 's12', places).lines)).toEqual([
      'four short steps, Cockpit',
      'five short steps, Bilge',
      'three short steps, Bilge',
      's12',
      's13',
    ])
    // Tam's lie beside Ida's, and part nothing of hers.
    const tams = quarters(7).map((one) => ({ ...one, personIds: ['tam'] }))
    const both = tiedDay([...quarters(7), ...tams], 2, never, cockpit)
    expect(both.lines.map((one) => [one.what, one.personIds])).toEqual([
      ['seven short steps, Cockpit', ['ida']],
      ['seven short steps, Cockpit', ['tam']],
    ])
    expect(tiedDay(quarters(14), 1, never, () => '').lines).toHaveLength(14)
  })

  it('loses no line and lays none on another of the same person', () => {
    const one = fc.record({
      minutes: fc.integer({ min: 5, max: 50 }),
      pause: fc.constantFrom(0, 0, 0, 20),
      who: fc.constantFrom('ida', 'tam'),
      place: fc.constantFrom('Cockpit', 'Bilge', ''),
    })
    fc.assert(
      fc.property(fc.array(one, { minLength: 13, maxLength: 30 }), (asked) => {
        const free = { ida: 0, tam: 0 }
        const all = asked.map(({ minutes, pause, who, place }, at) => {
          const own = line(`s${at}`, free[who as 'ida'] + pause, minutes, { personIds: [who] })
          free[who as 'ida'] += pause + minutes
          return { own, place }
        })
        const placeOf = (line: DayLine) => all.find((one) => one.own === line)?.place ?? ''
        const { lines, ties } = tiedDay(
          all.map((one) => one.own),
          2,
          never,
          placeOf,
        )
        const seen = lines.flatMap((line) => ties.get(line) ?? [line])
        expect(new Set(seen)).toEqual(new Set(all.map((one) => one.own)))
        expect(seen).toHaveLength(all.length)
        for (const who of ['ida', 'tam']) {
          const own = lines.filter((line) => line.personIds[0] === who)
          const sorted = [...own].sort((a, b) => a.from - b.from)
          for (const [at, line] of sorted.entries())
            expect(line.from).toBeGreaterThanOrEqual(sorted[at - 1]?.to ?? 0)
        }
      }),
    )
  })
})
