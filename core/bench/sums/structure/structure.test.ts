import { describe, expect, it } from 'vitest'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

describe('structure', () => {
  it('glue', () => {
    // 0.12 m²: faces 48 g; 60 mL of fill at 1.192 g/mL = 71.5; 119.5 × 1.15 = 137.
    expect(
      shown('glue-for-a-joint', {}, ['Mix in all', 'Wets the faces', 'Fills the gap']),
    ).toEqual(['137 g', '48 g', '72 g'])
    expect(
      shown('glue-for-a-joint', { gap: 0, clampEvery: 150, joints: 2 }, ['Mix in all', 'Clamps']),
    ).toEqual(
      // 96 × 1.15; (1500/150 + 1) × 2
      ['110 g', '22'],
    )
  })
  it('scarfs and sisters', () => {
    // 25 × 12; 300 + 2 × 300; sister: 900/100 + 1 = 10 → 11
    expect(answerOf('scarf-and-sister').says).toBe('scarf 300 mm')
    expect(shown('scarf-and-sister', { how: 'sister' }, ['New piece', 'Fastenings'])).toEqual([
      '900 mm',
      '10',
    ])
    expect(answerOf('scarf-and-sister', { ratio: '8' }).says).toBe('scarf 200 mm')
  })
  it('the bad among the unseen', () => {
    // 3.5/13 of 18 = 4.85 more: 7.85 × 6 + 18 = 65; renewing 120 is less from 20 on.
    expect(answerOf('count-the-bad').says).toBe('7.8 of 30, 65 h')
    expect(answerOf('count-the-bad', { renew: 40 }).takes).toBe('renew all')
    expect(troubleOf('count-the-bad', { bad: 15 })[0]).toMatch(/^bad: /)
    expect(troubleOf('count-the-bad', { seen: 40 })[0]).toMatch(/^seen: /)
  })
  it('the way for a core', () => {
    expect(answerOf('which-core-way').takes).toBe('recore-above')
    expect(answerOf('which-core-way', { area: 0.04 }).takes).toBe('dry-local-core')
    expect(answerOf('which-core-way', { area: 0.5, load: 'no', sample: 'powder' }).takes).toBe(
      'inject-panel',
    )
    const falls = answerOf('which-core-way', { area: 0.04, falling: 'no' })
    expect(falls.takes).not.toBe('dry-local-core')
  })
  it('what bends', () => {
    // 1200²/480 + 30 = 3030; 90 × 9 = 810
    expect(shown('will-it-bend', {}, ['Radius', 'Tightest for it'])).toEqual(['3030 mm', '810 mm'])
    // 500²/400 + 25 = 650; hardwood 150 × 12 = 1800 → 3 layers of 4
    expect(
      answerOf('will-it-bend', { chord: 500, height: 50, thick: 12, of: 'hardwoodDry' }).says,
    ).toBe('no: 3 layers')
    // A half circle: chord 200, height 100; along it π·100.
    expect(
      shown('will-it-bend', { chord: 200, height: 100, thick: 1 }, ['Radius', 'Along the curve']),
    ).toEqual(['100 mm', '314 mm'])
  })
  it('what sags', () => {
    // I = 18·40³/12 = 96 000; 981·800³/(48·8000·96 000) = 13.6 → 4 for 4 mm; or ∛(13.6/4)·40 = 60.2 high
    expect(shown('stiffeners', {}, ['Sag with one', 'Wanted', 'Or one as high as'])).toEqual([
      '13.6 mm',
      '4',
      '60.2 mm',
    ])
    expect(answerOf('stiffeners', { have: 4 }).verdict).toBe('go')
    expect(answerOf('stiffeners', { have: 3 }).verdict).toBe('look')
  })
  it('another stuff as stiff and as strong', () => {
    // 12·∛(8/70) = 5.82; 12·√(30/125) = 5.88
    expect(shown('as-stiff-as', {}, ['As stiff at', 'As strong at'])).toEqual(['5.8 mm', '5.9 mm'])
    // The same stuff is as thick, and weighs as much: 12 mm · 600.
    expect(shown('as-stiff-as', { to: 'plywood' }, ['As stiff at', 'Weighs'])).toEqual([
      '12 mm',
      '7.2 kg',
    ])
  })
})
