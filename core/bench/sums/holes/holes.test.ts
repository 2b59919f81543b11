import { describe, expect, it } from 'vitest'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

const layer = (what: string, mm: number, there = 'there') => ({ what, mm, of: 'glass', there })

describe('bolts', () => {
  it('through a stack with layers to come', () => {
    // 10 + 2.4 + 12.7 + 3.2 + 10 + 5.5 to come = 43.8; a washer 2.5, locking nut 12, two turns 3.5: 61.8 → 65, 6.7 out.
    const layers = [
      layer('foot', 10),
      layer('to come', 5.5, 'toCome'),
      layer('plies', 2.4),
      layer('plug', 12.7),
      layer('lower skin', 3.2),
      layer('plate', 10),
    ]
    const given = { bolt: '12', bolts: 6, washers: 1, layers }
    expect(
      shown('bolt-in-a-stack', given, ['Take', 'Stack', 'Wanted at least', 'Sticks out']),
    ).toEqual(['M12 × 65', '43.8 mm', '61.8 mm', '6.7 mm'])
    expect(answerOf('bolt-in-a-stack', given).says).toBe('M12 × 65, 7')
    expect(answerOf('bolt-in-a-stack', { ...given, socketMm: 6 }).verdict).toBe('look')
  })
  it('with a plain nut, and in inches', () => {
    // 33.5 + 3.2 + 6.8 + 2.5 = 46 → 50
    expect(shown('bolt-in-a-stack', { nut: 'plain' }, ['Wanted at least', 'Sticks out'])).toEqual([
      '46 mm',
      '6.5 mm',
    ])
    expect(
      troubleOf('bolt-in-a-stack', { layers: [layer('log', 240), layer('log', 30)] })[0],
    ).toMatch(/Threaded rod/)
  })
  it.each(['on', 'sunk'])(
    'have their flag where they end, their want where two turns end (%s)',
    (head) => {
      // M12: 33.5 + washers 5 + nut 12 + 3.5 = 54 → 55; measured from under the head, which a washer of 2.5 lifts.
      const { drawing } = answerOf('bolt-in-a-stack', { bolt: '12', head })
      const from = head === 'sunk' ? 0 : -2.5
      const flag = drawing?.shapes.find((one) => one.is === 'shape' && one.fill === 'brass')
      expect(flag?.is === 'shape' ? flag.corners[0]?.[1] : null).toBeCloseTo(from + 55, 6)
      const band = drawing?.shapes.find((one) => one.is === 'box' && one.fill === 'short')
      if (band?.is !== 'box') throw new Error('nothing is wanted')
      expect(band.from[1] + band.size[1]).toBeCloseTo(from + 54, 6)
      expect(band.size[1]).toBeCloseTo(3.5, 6)
      const words = drawing?.shapes.flatMap((one) => (one.is === 'text' ? [one.text] : []))
      expect(words).toEqual(expect.arrayContaining(['50', '55 take', '60']))
    },
  )
  it('by stretch, one where two meet', () => {
    // 2 m: 14 + 1; 5 m: 34; 3 m: 20. Stacks 28, 24, 26 + 3.2 + 5.2 + 2 = 38.4, 34.4, 36.4 → 40, 35, 40: 35 and 34.
    const answer = answerOf('bolts-by-stretch')
    expect(answer.heading).toBe('38 × M6 × 35, 39 × M6 × 40')
    expect(answer.table?.rows.map((row) => row[1])).toEqual(['15', '34', '20'])
    const one = answerOf('bolts-by-stretch', {
      bolt: '8',
      toCome: 0,
      stretches: [{ name: 'rail', long: 1.5, spacing: 250, thick: 30 }],
    })
    // 6 + 1; 30 + 3.2 + 6.8 + 2.5 = 42.5 → 45; 7.7 → 8
    expect(one.heading).toBe('8 × M8 × 45')
  })
  it('pulled by a line', () => {
    // 18 kN at 110 mm, rows of three 120 apart: 5.5 kN; sideways 3; together √(5.5² + 27) = 7.57 of 37.9.
    const bitt = { load: 18, lever: 110, bolt: '12', bolts: 6, row: 3, spread: 120 }
    expect(
      shown('load-and-plate', bitt, ['Pull on a bolt', 'Sideways on a bolt', 'Both, as pull']),
    ).toEqual(['5.5 kN', '3 kN', '7.6 kN'])
    expect(answerOf('load-and-plate', bitt).heading).toContain('of the 37.9 kN')
    // 8 kN at 60 mm over 90, two: 2.67; and over 10 kN a surveyor, no plate.
    expect(shown('load-and-plate', { load: 8 }, ['Pull on a bolt', 'Both, as pull'])).toEqual([
      '2.7 kN',
      '4.4 kN',
    ])
    const heavy = answerOf('load-and-plate', { load: 40 })
    expect(heavy.verdict).toBe('stop')
    expect(heavy.figures.some((one) => one.label === 'Plate')).toBe(false)
    expect(troubleOf('load-and-plate', { row: 6 })[0]).toMatch(/^row: /)
  })
  it('a plate grows until the core is not crushed', () => {
    // 25 mm past the bolts: 140 × 100; twice the foot 22 400 → 177.1 × 126.5. Half of it under 3.33 kN: 0.30 MPa.
    expect(answerOf('load-and-plate').says).toBe('plate 178 × 127 mm')
    // Foam bears 0.5, half of it is used: 0.298 → × √(0.298/0.25) = 1.091.
    expect(answerOf('load-and-plate', { under: 'foam' }).says).toBe('plate 194 × 139 mm')
  })
})

describe('holes', () => {
  it('sleeved', () => {
    // M8 over 16, 18 deep: π/4·16²·18 + π(14² − 8²)·12 = 8595 mm³ × 1.25 = 10.74 mL, four 43.0.
    expect(shown('sleeved-holes', {}, ['says', 'Over-drill'])).toEqual(['43 mL for 4', '16 mm'])
    // M12 over 22, 15.1 deep, core 12.7 back 8: 19.14 mL, six 114.9.
    const bitt = { bolt: '12', overDrill: 10, holes: 6, outer: 2.4, core: 12.7, undercut: 8 }
    expect(answerOf('sleeved-holes', bitt).says).toBe('115 mL for 6')
  })
  it('are not drilled where something is in the way', () => {
    const marked = { outAlong: 500, outAcross: 100, inAlong: 500, inAcross: 100 }
    const safe = { behind: 40, beside: 60, oldHole: 38, room: 60, ...marked }
    const fine = answerOf('before-you-drill', safe)
    expect(fine.verdict).toBe('go')
    // 20 + (40 − 5)
    expect(fine.says).toBe('stop at 55 mm')
    const stops = (more: object) => answerOf('before-you-drill', { ...safe, ...more })
    // √(3² + 2²) = 3.6 within 4; √(4² + 2²) = 4.5 is not.
    expect(stops({ inAlong: 503, inAcross: 102 }).verdict).toBe('go')
    expect(stops({ inAlong: 504, inAcross: 102 }).verdict).toBe('stop')
    // Hit: 4.5 + 4; the plate: 15 + 4.
    expect(stops({ beside: 8 }).verdict).toBe('stop')
    expect(stops({ beside: 18 }).verdict).toBe('look')
    // The cone reaches 2.7, and 5 stay clear.
    expect(stops({ behind: 7 }).verdict).toBe('stop')
    expect(stops({ room: 14 }).verdict).toBe('stop')
    expect(stops({ oldHole: 8 }).verdict).toBe('look')
    // Nobody looked, or measured one of it: never "drill".
    expect(answerOf('before-you-drill').verdict).toBe('look')
    for (const one of ['room', 'inAcross', 'beside', 'behind', 'oldHole'])
      expect(stops({ [one]: null }).verdict).toBe('look')
  })
  it('tap, pilot, rivet', () => {
    // M6: 6 − 1; laminate 0.85·6; screw 30 − 5 in 20; rivet 5 + 20 + 9
    const labels = [
      'To be tapped',
      'Pilot in laminate',
      'Screw goes in',
      'Rivet, long',
      'From an edge',
    ]
    expect(shown('tap-and-pilot', {}, labels)).toEqual([
      '5 mm',
      '5.1 mm',
      '25 mm',
      '34 mm',
      '18 mm',
    ])
    expect(
      shown('tap-and-pilot', { bolt: '8', into: 'metal' }, ['To be tapped', 'Clearance hole']),
    ).toEqual(
      // 8 − 1.25
      ['6.75 mm', '9 mm'],
    )
  })
  it('counted for a list, alike sizes together', () => {
    // 16 → 17.6 → 18; 8 + 36 = 44 → 48.4 → 49
    expect(answerOf('fastenings-for-a-list').heading).toBe('18 of M8 × 50, 49 of M6 × 40')
    const one = { fittings: [{ name: 'hinge', many: 3, each: 5, size: 'M5 × 25', pack: 10 }] }
    expect(shown('fastenings-for-a-list', one, ['M5 × 25'])).toEqual(['2 × 10'])
  })
})

describe('bedding', () => {
  const take = (given: object) => answerOf('bedding-and-bead', given as never).takes
  it('by joint, and why not the others', () => {
    expect(take({})).toBe('butyl')
    expect(take({ bolted: 'no' })).not.toBe('butyl')
    expect(take({ joint: 'teak' })).toBe('polysulphide')
    expect(take({ joint: 'hullDeck', off: 'no' })).toBe('puPermanent')
    expect(take({ joint: 'underwater', under: 'yes', off: 'no' })).toBe('puPermanent')
    expect(take({ joint: 'underwater', under: 'yes' })).toBe('polysulphide')
    expect(take({ joint: 'glazing', plastic: 'window' })).toBe('silicone')
    const figures = answerOf('bedding-and-bead', { under: 'yes' }).figures
    expect(figures.find((one) => one.label === 'Butyl tape')?.value).toBe('no')
    expect(figures.find((one) => one.label === 'Silicone')?.note).toMatch(/^nothing sticks/)
  })
  it('cartridges, and days until it is through', () => {
    // π/4·8²·20 = 1005 mL × 1.15 ÷ 290 = 3.99 → 4; (10/2.5)² = 16 days
    const answer = answerOf('bedding-and-bead', { joint: 'teak', bead: 8, long: 20 })
    expect(answer.heading).toBe('polysulphide, 4 cartridges, cured through in 16 days')
    // 67.9 mL × 1.15 → 1
    expect(answerOf('bedding-and-bead', { joint: 'teak', long: 2.4 }).says).toBe('polysulphide, 1')
  })
  it('metals: 0.20 V may touch, more is kept apart while it is wet and no anode', () => {
    const pair = (first: string, second: string, more: object = {}) =>
      answerOf('metals-that-meet', {
        touch: [{ name: 'p', first, second, wet: 'wet', anode: 'no', ...more }],
      }).verdict
    expect(pair('stainlessActive', 'aluminium')).toBe('look')
    expect(pair('bronze', 'brass')).toBe('go')
    // 0.05 and 0.25: exactly 0.20
    expect(pair('titanium', 'lead')).toBe('look')
    expect(pair('bronze', 'copper')).toBe('go')
    expect(pair('zinc', 'bronze')).toBe('look')
    expect(pair('zinc', 'bronze', { anode: 'yes' })).toBe('go')
    expect(pair('carbon', 'aluminium', { wet: 'dry' })).toBe('go')
    expect(shown('metals-that-meet', {}, ['bolt in the mast'])).toEqual(['0.35 V'])
  })
})
