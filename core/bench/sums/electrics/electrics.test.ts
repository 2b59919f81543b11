import { describe, expect, it } from 'vitest'
import { grownValues } from '../../grow'
import { plainTools } from '../../sum'
import { answerOf, shown, sumNamed, troubleOf } from '../../../testing/bench'
import { add, emptyRefit } from '../../../testing/build'

describe('what she uses', () => {
  it('in a day, and the bank for it', () => {
    // Needs (9.6 + 30 + 72 + 10)/12 = 10.13 Ah; wants 6.67 + 33.75 + 120/0.85/12 = 52.18; 62.31 × 2 ÷ 0.5 × 1.1 = 274.2.
    // 200·4.2·0.7/12 = 49; 13.3 Ah short: 20 min at 40 A.
    const labels = [
      'A day at anchor',
      'Bank for all of it',
      'Bank for needs alone',
      'The sun gives',
      'Short a day',
    ]
    expect(shown('loads-to-bank', {}, labels)).toEqual([
      '62.3 Ah',
      '274 Ah',
      '44.6 Ah',
      '49 Ah',
      '13.3 Ah',
    ])
    const short = answerOf('loads-to-bank').figures.find((one) => one.label === 'Short a day')
    expect(short?.note).toBe('engine 20 min at 40 A')
  })
  it('with lithium, and alongside', () => {
    // One load of 24 W for 10 h alongside at 24 V: 10 Ah; × 3 ÷ 0.8 × 1.1 = 41.25
    const loads = [
      {
        name: 'heater',
        watts: 24,
        many: 1,
        anchor: 0,
        passage: 0,
        alongside: 10,
        need: 'need',
        by: 'bank',
      },
    ]
    const given = { loads, volts: 24, days: 3, kind: 'lithium', place: 'alongside', panels: 0 }
    expect(shown('loads-to-bank', given, ['says', 'A day alongside'])).toEqual(['41 Ah', '10 Ah'])
    expect(answerOf('loads-to-bank', given).checks?.[0]?.text).toBe('Lithium')
  })
  it('by the cost of what is used', () => {
    // 550 ÷ (330·12/1000 × 0.5 × 480) = 0.579: its six years end before its 500 cycles.
    const [lead, agm, lithium] = answerOf('which-battery').figures
    expect(lead?.value).toBe('€0.58 a kWh')
    expect(lead?.note).toContain('aged out')
    // 950 ÷ (3.96·0.5·560), 1500 ÷ (2.4·0.8·960)
    expect([agm?.value, lithium?.value]).toEqual(['€0.86 a kWh', '€0.81 a kWh'])
    // Used every day lithium is the cheapest: 1500 ÷ (1.92·3000) = 0.26.
    expect(answerOf('which-battery', { perYear: 300 }).takes).toBe('Lithium iron phosphate')
  })
  it('through an inverter', () => {
    // 610 W ÷ 0.8 = 763 → 800; sander 3 × 400 + 210 = 1410 ÷ 2; 610/12/0.85 = 59.8 A.
    expect(shown('inverter', {}, ['Inverter', 'Draws, as said'])).toEqual(['800 W', '59.8 A'])
    const kettle = { things: [{ name: 'kettle', watts: 1800, start: 1 }] }
    // 2250 → 3000; 176.5 A of 300 Ah
    expect(answerOf('inverter', kettle).says).toBe('3000 W')
    expect(answerOf('inverter', kettle).verdict).toBe('look')
  })
})

describe('cables', () => {
  const run = (name: string, long: number, amps: number, drop: string, derate = 100) => ({
    runs: [{ name, long, amps, drop, derate, many: 1, colour: '', way: null, stands: 'new' }],
  })
  it('by drop, or by the fuse they bear', () => {
    // 2·6·12·0.0195/0.36 = 7.8 → 10 mm², 0.281 V; 1.25·12 = 15 A.
    expect(answerOf('cable-and-fuse', run('sun', 6, 12, 'three')).says).toBe('10 mm², 15 A')
    // 2·7.5·75·0.0195/1.2 = 18.3 → 25, which bears 71 A; fuse 93.75 → 100 A wants 50.
    const windlass = answerOf('cable-and-fuse', run('windlass', 7.5, 75, 'ten'))
    expect(windlass.says).toBe('50 mm², 100 A')
    expect(windlass.table?.rows[0]?.slice(2, 8)).toEqual([
      '100 A',
      '50 mm² ▲',
      '7.5 m',
      '75 A',
      '0.44 V',
      '1.2 V',
    ])
    // Half of the table: 10 mm² bears 20 A still; 4 A at 6 m in 10 %: 0.78 → 0.75? 2·6·4·0.0195/1.2 = 0.78 → 1 mm², 5 A of 4 → 1.5.
    expect(answerOf('cable-and-fuse', run('light', 6, 4, 'ten', 50)).says).toBe('1.5 mm², 5 A')
  })
})

describe('a bank by what is drawn at once', () => {
  it('is as large as its largest load wants it, by its kind', () => {
    // 1200 W through an inverter at 12 V: 1200 ÷ 12 ÷ 0.85 = 117.6 A; five hours of it, or two for lithium.
    const loads = [
      { name: 'lamp', watts: 10, anchor: 1, by: 'bank' },
      { name: 'kettle', watts: 1200, anchor: 0.1, by: 'inverter' },
    ]
    expect(shown('loads-to-bank', { loads }, ['By its draw'])).toEqual(['588 Ah'])
    expect(shown('loads-to-bank', { loads, kind: 'lithium' }, ['By its draw'])).toEqual(['235 Ah'])
  })
})

describe('the circuit list', () => {
  const line = (name: string, more: object = {}) => ({
    name,
    many: 1,
    long: 5,
    amps: 5,
    drop: 'ten',
    derate: 100,
    colour: '',
    way: null,
    stands: 'new',
    ...more,
  })
  it('gives every circuit its ways, cable, ends, fuses and labels', () => {
    // 2·5·5·0.0195/1.2 = 0.81 → 1 mm² bears 8, the fuse of 6.25 is 7.5 A. 3 alike: 2·5·3·1.1 = 33 m, 12 ends → 14.
    const answer = answerOf('cable-and-fuse', {
      ways: 6,
      runs: [line('lamps', { many: 3 }), line('pump', { way: 2, stands: 'there' })],
    })
    // Two stands; one lies on either side, and three side by side begin at 3.
    expect(answer.table?.rows.map((row) => row.slice(0, 4))).toEqual([
      ['pump (not this job’s)', '2', '7.5 A', '1 mm²'],
      ['lamps × 3', '3–5', '7.5 A', '1 mm²'],
    ])
    const parts = answer.puts.flatMap((put) =>
      put.is === 'part' ? [`${put.quantity} ${put.name}`] : [],
    )
    expect(parts).toEqual([
      '33 Cable 1 mm², tinned',
      '14 Crimped end for 1 mm²',
      '4 Fuse 7.5 A',
      '6 Cable label with way and name',
    ])
    expect(answer.figures.find((one) => one.label === 'Ways on the panel')).toMatchObject({
      value: '4 of 6',
      note: 'two ways to spare',
    })
  })
  it('says when the panel is too small, or two stand on one way', () => {
    const full = answerOf('cable-and-fuse', { ways: 2, runs: [line('lamps', { many: 3 })] })
    expect(full.verdict).toBe('stop')
    expect(full.heading).toBe('the panel has 2 ways, 3 are wanted')
    const clash = answerOf('cable-and-fuse', {
      runs: [line('a', { many: 2 }), line('b', { way: 4 }), line('c', { way: 4 })],
    })
    expect(clash.checks?.map((one) => one.text)).toEqual(['b and c stand on one way'])
    expect(clash.heading).toBe('b and c stand on one way')
    expect(troubleOf('cable-and-fuse', { runs: [line('far', { long: 100, amps: 150 })] })).toEqual([
      'runs.0.long: Shorten the run, lay two cables, or take a higher voltage.',
    ])
  })
  it('grows: the next job finds what was kept, laid, on the way it had', () => {
    const sum = sumNamed('cable-and-fuse')
    const rows = emptyRefit()
    const first = [line('lamps', { many: 2 }), line('pump')]
    const keptSum = (id: string, jobId: string, at: number, runs: object[]) =>
      add(rows, 'keptSum', id, {
        sumKey: sum.key,
        jobId,
        keptAt: at,
        inputs: { volts: 24, ways: 12, runs } as never,
      })
    keptSum('old', 'panel', 1, [line('older')])
    keptSum('new', 'panel', 2, first)
    const tools = plainTools('metric')
    const grown = grownValues(sum, rows.keptSum, 'fridge', [line('fridge')], tools)
    expect(grown).toMatchObject({
      volts: 24,
      ways: 12,
      runs: [
        { name: 'fridge', way: null, stands: 'new' },
        { name: 'lamps', way: 1, stands: 'there' },
        { name: 'pump', way: 3, stands: 'there' },
      ],
    })
    // Its own list is not brought to it a second time, and what does not grow begins as ever.
    expect(grownValues(sum, rows.keptSum, 'panel', [], tools)).toEqual({})
    expect(grownValues(sumNamed('inverter'), rows.keptSum, 'fridge', [], tools)).toEqual({})
  })
})

describe('what fails, what is read', () => {
  it('follows what hangs on what', () => {
    const rows = answerOf('if-one-thing-fails').table?.rows ?? []
    // Without the house bank the start bank starts her by the link switch.
    expect(rows.find((row) => row[0] === 'house bank')).toEqual([
      'house bank',
      'by hand',
      'by hand',
      'by hand',
      'dead',
      'works',
    ])
    expect(rows.find((row) => row[0] === 'nav panel')?.slice(1, 3)).toEqual(['works', 'works'])
    expect(rows.find((row) => row[0] === 'link switch')?.at(-1)).toBe('dead')
    // Two that hang on each other work for nobody.
    const loop = answerOf('if-one-thing-fails', {
      sources: [
        { name: 'a', on: 'b', way: 'all' },
        { name: 'b', on: 'a', way: 'all' },
      ],
      things: [{ name: 'lamp', on: 'a', way: 'all', hand: 'no' }],
    })
    expect(loop.table?.rows[1]?.[1]).toBe('dead')
    const unknown = { things: [{ name: 'lamp', on: 'nowhere', way: 'all', hand: 'no' }] }
    expect(answerOf('if-one-thing-fails', unknown).verdict).toBe('look')
  })
  it('volts', () => {
    // 12.5: a fifth of the way from 12.45 (75) to 12.7 (100).
    expect(answerOf('volts-read').says).toBe('80 %')
    expect(answerOf('volts-read', { rest: 12.125 }).says).toBe('38 %')
    expect(answerOf('volts-read', { on: 12.6 }).verdict).toBe('look')
    expect(answerOf('volts-read', { on: 14.2 }).verdict).toBe('go')
    expect(answerOf('volts-read', { rest: 12.5, before: 12.7 }).verdict).toBe('look')
    // 13.1 V: half way between 13.0 (30) and 13.2 (70).
    expect(answerOf('volts-read', { kind: 'lithium', rest: 13.1 }).says).toBe('50 %')
  })
})
