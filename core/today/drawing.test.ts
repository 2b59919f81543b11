/** The day as it is drawn: a clock stretched where words are, strands, boards; every line has its room. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bareLine } from './dayLine'
import type { DayLine } from './dayLine'
import { add, emptyRefit, job, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { Weather } from '../weather/weather'
import { boardsOf, dustBoard } from './boards'
import { dayScale } from './dayScale'
import { alongStrands } from './alongStrands'
import { sayDaySheet, shortTitle } from './sayDay'
import { columnOfLine, strandsOf } from './strands'
import { cautionList } from '../plan/facts'
import { wearMark, wearOf } from './wear'

const day = Date.UTC(2027, 3, 17)
const at = (hour: number) => day + hour * 3_600_000
const clock = zoneClock('UTC')

const line = (
  from: number,
  to: number,
  personIds: readonly string[],
  more: Partial<DayLine> = {},
): DayLine => ({
  ...bareLine,
  kind: 'work',
  what: '',
  from: at(from),
  to: at(to),
  personIds,
  ...more,
})

describe('the scale of the day', () => {
  it('gives each stretch its room, and shares what is left by the clock', () => {
    const held = [
      { from: 0, to: 60, px: 100 },
      { from: 60, to: 300, px: 20 },
    ]
    const tight = dayScale(held, 0)
    expect([tight.yOf(0), tight.yOf(60), tight.yOf(300), tight.height]).toEqual([0, 100, 120, 120])
    // 60 px more over 300 minutes: 12 of them before 60.
    const roomy = dayScale(held, 180)
    expect([roomy.yOf(60), roomy.yOf(300), roomy.yOf(180)]).toEqual([112, 180, 146])
    expect([roomy.yOf(-5), roomy.yOf(999)]).toEqual([0, 180])
  })
  it('never runs backwards, and never takes room from a line, whatever overlaps', () => {
    const stretch = fc
      .tuple(
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 1, max: 120 }),
      )
      .map(([from, length, px]) => ({ from, to: from + length, px }))
    fc.assert(
      fc.property(
        fc.array(stretch, { minLength: 1, maxLength: 14, size: 'max' }),
        fc.integer({ min: 0, max: 900 }),
        (held, wanted) => {
          const scale = dayScale(held, wanted)
          for (const one of held)
            expect(scale.yOf(one.to) - scale.yOf(one.from)).toBeGreaterThanOrEqual(one.px - 1e-6)
          for (let minute = 0; minute < 290; minute += 7)
            expect(scale.yOf(minute + 7)).toBeGreaterThanOrEqual(scale.yOf(minute))
          expect(scale.height).toBeGreaterThanOrEqual(wanted - 1e-6)
        },
      ),
    )
  })
})

describe('the strands', () => {
  const people = ['oona', 'piet']
  it('are twisted at one thing, apart at two, and idle where one has nothing', () => {
    const lines = [
      line(8, 9, people),
      line(9, 11, ['oona']),
      line(9, 10, ['piet']),
      line(12, 13, people),
    ]
    const [oona, piet] = strandsOf(lines, people)
    expect(
      piet?.parts.map((part) => [part.from, part.to, part.column, part.together, part.idle]),
    ).toEqual([
      [at(8), at(9), 0, true, false],
      [at(9), at(10), 1, false, false],
      [at(10), at(11), 1, false, true],
      // Nobody is at anything: they lie together until the next thing both do.
      [at(11), at(13), 0, true, false],
    ])
    expect(oona?.parts.map((part) => [part.from, part.column, part.together])).toEqual([
      [at(8), 0, true],
      [at(9), 0, false],
      [at(11), 0, true],
    ])
  })
  it('come over for no pause between two things that one does alone', () => {
    const lines = [
      line(8, 9, people),
      line(9, 12, ['oona']),
      line(9, 12, ['piet']),
      line(13, 15, ['oona']),
      line(13, 14, ['piet']),
    ]
    const [, piet] = strandsOf(lines, people)
    expect(piet?.parts.map((part) => [part.from, part.column, part.together, part.idle])).toEqual([
      [at(8), 0, true, false],
      [at(9), 1, false, false],
      // The pause, and what the other does at the end.
      [at(12), 1, false, true],
      [at(13), 1, false, false],
      [at(14), 1, false, true],
    ])
    // After the last of their own they do lie together, as before the first.
    const [, left] = strandsOf([...lines.slice(1, 3), line(14, 15, people)], people)
    expect(left?.parts.map((part) => [part.column, part.together])).toEqual([
      [1, false],
      [0, true],
    ])
  })
  it('share the last column from the third on', () => {
    const four = ['a', 'b', 'c', 'd']
    expect(four.map((id) => columnOfLine({ personIds: [id] }, four))).toEqual([0, 1, 2, 2])
    expect(columnOfLine({ personIds: ['c', 'b'] }, four)).toBe(1)
    expect(columnOfLine({ personIds: [] }, four)).toBe(0)
  })
})

describe('the boards', () => {
  const rows = emptyRefit()
  add(rows, 'zone', 'deck', { name: 'Deck', strake: 'deck', order: 'a' })
  job(rows, 'Deck', { zoneId: 'deck' })
  const plies = step(rows, 'Deck', 'plies', { operation: 'laminate', minTempC: 12 })
  const wires = step(rows, 'Deck', 'wires', { operation: 'wire' })
  const hours = Array.from({ length: 24 }, (_, hour) => ({
    at: at(hour),
    tempC: hour < 12 ? 9 : 15,
    dewC: hour < 20 ? 5 : 14,
    rain: false,
  }))
  add(rows, 'forecast', 'f', { station: 'S', takenAt: day, hours })
  const weather = new Weather(rows, clock)
  const limit = { at: at(17), beginBy: at(15), why: '' }
  it('forbid with a reason, allow up to the last start, and are left out where nothing is forbidden', () => {
    const boards = boardsOf(
      weather,
      [line(12, 14, ['a'], { step: plies, limit }), line(9, 10, ['a'], { step: wires })],
      [],
      at(8),
      at(18),
    )
    expect(boards.map((board) => [board.title, board.lastStart])).toEqual([['Plies', at(15)]])
    expect(boards[0]?.spans.map((span) => [span.from, span.to, span.why, span.limitC])).toEqual([
      [at(8), at(12), 'cold', 12],
      [at(12), at(15), null, null],
      [at(15), at(18), 'tooLate', null],
    ])
    expect(boardsOf(weather, [line(13, 14, ['a'], { step: plies })], [], at(13), at(18))).toEqual(
      [],
    )
  })
  it('allow dust until half an hour before wet work, and again when it is touch-dry', () => {
    const sand = step(rows, 'Deck', 'sand', { operation: 'grind' })
    const wet = line(12, 14, ['a'], { step: plies })
    const dusty = line(8, 9, ['a'], { step: sand })
    // Without a cure named three hours to touch-dry.
    expect(
      dustBoard(weather, [dusty, wet], at(8), at(18))?.spans.map((one) => [one.from, one.why]),
    ).toEqual([
      [at(8), null],
      [at(11.5), 'wet'],
      [at(17), null],
    ])
    expect(dustBoard(weather, [wet], at(8), at(18))).toBeNull()
    expect(dustBoard(weather, [dusty], at(8), at(18))).toBeNull()
  })
  it('stand for work that the day has no room for too', () => {
    const [board] = boardsOf(weather, [], [plies], at(18), at(24))
    expect(board?.spans.map((span) => [span.from, span.why])).toEqual([
      [at(18), null],
      [at(20), 'dew'],
    ])
  })
})

describe('the sentence of the day', () => {
  const rows = emptyRefit()
  job(rows, 'J')
  const of = (title: string, operation: 'fit' | 'laminate' = 'fit') =>
    step(rows, 'J', title, { operation })
  const leave = line(16, 16.5, ['a'], { kind: 'packUp' })
  it('names what the weather leaves least time for, and when they are away', () => {
    const lines = [
      line(9, 10, ['a'], { step: of('Sand') }),
      line(10, 11, ['a'], {
        step: of('Fill the low spots'),
        limit: { at: at(17), beginBy: at(16), why: '' },
      }),
      line(12, 13, ['a'], {
        step: of('Plies 5 and 6, six cups'),
        limit: { at: at(15), beginBy: at(14), why: '' },
      }),
      leave,
    ]
    expect(sayDaySheet(lines, at(8), clock)).toBe(
      'Plies 5 and 6 at 12:00, begun by 14:00. Away by 16:30.',
    )
    expect(sayDaySheet(lines, at(12.5), clock)).toBe(
      'Plies 5 and 6 is next, begun by 14:00. Away by 16:30.',
    )
    // Under way it is the end that counts.
    const begun = lines.map((one) =>
      one.step ? { ...one, step: { ...one.step, state: 'doing' as const } } : one,
    )
    expect(sayDaySheet(begun, at(12.5), clock)).toBe(
      'Plies 5 and 6 under way, done by 15:00. Away by 16:30.',
    )
    expect(sayDaySheet(lines, at(14), clock)).toBe('Its time has passed: 3 steps not ticked off.')
    expect(sayDaySheet([leave], at(14), clock)).toBe('All that was planned is done. Away by 16:30.')
    expect(sayDaySheet([line(9, 10, ['a'], { step: of('Sand') })], at(8), clock)).toBe(
      'Sand at 09:00. Away by 10:00.',
    )
  })
  it('cuts a title at a comma or at a word', () => {
    expect(shortTitle('Bed bitt, roller, cleats')).toBe('Bed bitt')
    expect(shortTitle('Check every through-hull fitting below the waterline')).toBe(
      'Check every through-hull fitting …',
    )
  })
})

describe('what is worn', () => {
  it('is said once, from the first that asks for it to the last, with who', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    const grind = step(rows, 'J', 'g', { operation: 'grind' })
    const fit = step(rows, 'J', 'f', { operation: 'fit' })
    const wear = wearOf([
      line(8, 9, ['a'], { step: grind }),
      line(9, 10, ['a'], { step: fit }),
      line(11, 12, ['b'], { step: grind }),
    ])
    expect(wear.map((one) => [one.mark, one.from, one.to, one.personIds])).toEqual([
      ['mask', at(8), at(12), ['a', 'b']],
    ])
  })
  it('is a mask where a step throws dust of its own, beside what its kind asks for', () => {
    const rows = emptyRefit()
    job(rows, 'J')
    const trim = step(rows, 'J', 't', { operation: 'laminate', dusty: true })
    const wetSanded = step(rows, 'J', 's', { operation: 'fair', dusty: false })
    expect(wearMark(trim)).toBe('mask')
    expect(wearOf([line(8, 9, ['a'], { step: trim })]).map((one) => one.mark)).toEqual([
      'mask',
      'glove',
    ])
    expect(cautionList({ ...trim, caution: 'Mind the fan' })).toEqual([
      'P3 respirator, goggles, extraction on.',
      expect.stringMatching(/^Gloves/),
      'Mind the fan',
    ])
    // What is sanded wet is still dust once it dries.
    expect(wearMark(wetSanded)).toBe('mask')
  })
})

describe('arrows along the day', () => {
  // Together, then two strands, then together again.
  const lines = [
    { top: 0, column: 0, joint: true },
    { top: 50, column: 0, joint: false },
    { top: 60, column: 1, joint: false },
    { top: 110, column: 1, joint: false },
    { top: 120, column: 0, joint: false },
    { top: 200, column: 0, joint: true },
  ]
  it('keep to the strand, through what is done together', () => {
    expect(alongStrands(lines, 0, 'down')).toBe(1)
    expect(alongStrands(lines, 1, 'down')).toBe(4)
    expect(alongStrands(lines, 4, 'down')).toBe(5)
    expect(alongStrands(lines, 5, 'up')).toBe(4)
    expect(alongStrands(lines, 2, 'up')).toBe(0)
    expect(alongStrands(lines, 5, 'down')).toBeNull()
  })
  it('cross to what is nearest in time', () => {
    expect(alongStrands(lines, 1, 'right')).toBe(2)
    expect(alongStrands(lines, 4, 'right')).toBe(3)
    expect(alongStrands(lines, 3, 'left')).toBe(4)
    expect(alongStrands(lines, 1, 'left')).toBeNull()
    expect(alongStrands(lines, 0, 'right')).toBeNull()
  })
})
