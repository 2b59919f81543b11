import { describe, expect, it } from 'vitest'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

describe('angles', () => {
  it('deadrise picks a housing or asks for a fairing', () => {
    // atan(95/300) = 17.57°: 2.4 off the one of 20.
    expect(answerOf('deadrise').says).toBe('17.6°, tilt 20°')
    // 16° lies 4 from either; a block of 80·tan 16° = 22.9.
    const between = { by: 'angle', angle: 16 }
    expect(answerOf('deadrise', between).takes).toBe('fairing')
    expect(shown('deadrise', between, ['Fairing block, thick side over thin'])).toEqual(['23 mm'])
  })
  it('the shaft line', () => {
    // atan(320/2400) = 7.59°, 2421 mm; oval 30 ÷ sin 11.59° = 149; tip 290 − 215 = 75 of 64.5; strut 320·2250/2400 = 300.
    const labels = [
      'Angle',
      'Oval through the skin',
      'Tip to hull',
      'Strut: shaft under the coupling by',
    ]
    expect(shown('shaft-line', {}, labels)).toEqual(['7.59°', '149 × 30 mm', '75 mm', '300 mm'])
    // A tube of 45: 45 ÷ sin(7.59 + 4)° = 224 mm, its rings 45 ÷ cos 7.59° = 45.4 high.
    expect(
      shown('shaft-line', { tube: 45 }, ['Oval through the skin', 'Rings and upright frames']),
    ).toEqual(['224 × 45 mm', '45.4 × 45 mm'])
    expect(answerOf('shaft-line', { gearbox: 60, strutAt: 2100 }).verdict).toBe('go')
    expect(answerOf('shaft-line', { gearbox: 40 }).verdict).toBe('stop')
    // Free span (2250 − 1000)/cos = 1261 over 40 × 30.
    expect(answerOf('shaft-line', { gearbox: 60 }).checks?.[2]?.state).toBe('look')
    expect(
      answerOf('shaft-line', { gearbox: 60, hullAbove: 270, strutAt: 2100 }).checks?.[0]?.state,
    ).toBe('look')
  })
})

describe('lining up', () => {
  const turn = (top: number, bottom: number, port: number, starboard: number) => ({
    top,
    bottom,
    port,
    starboard,
  })
  it('lifts the front where the gap is open on top', () => {
    // Mean top 0.43, bottom 0.20: 2.3 mm a metre; front 740: 1.702, back 160: 0.368. Athwart 0.05/100: 0.37 to starboard.
    const labels = ['Front mounts, lift', 'Back mounts, lift', 'Front, athwart']
    expect(shown('line-up-to-shims', { front: 740, back: 160 }, labels)).toEqual([
      'lift 1.7 mm',
      'lift 0.37 mm',
      'to starboard 0.37 mm',
    ])
  })
  it('takes the height of the flange off, and lets it be within a tenth', () => {
    const flat = { turns: [turn(0.3, 0.3, 0.3, 0.3)] }
    expect(
      shown('line-up-to-shims', { ...flat, high: 0.5 }, [
        'Front mounts, lift',
        'Back mounts, lift',
      ]),
    ).toEqual(['lower 0.5 mm', 'lower 0.5 mm'])
    expect(answerOf('line-up-to-shims', flat).says).toBe('in line')
    expect(answerOf('line-up-to-shims', { turns: [turn(0.3, 0.21, 0.3, 0.3)] }).verdict).toBe('go')
    expect(answerOf('line-up-to-shims', { turns: [turn(0.3, 0.19, 0.3, 0.3)] }).verdict).toBe(
      'look',
    )
  })
  it('is not misled by a flange that is itself out', () => {
    // Open on top by 0.2, and after half a turn on the bottom: the flange is out, the engine is not.
    expect(
      answerOf('line-up-to-shims', { turns: [turn(0.4, 0.2, 0.3, 0.3), turn(0.2, 0.4, 0.3, 0.3)] })
        .says,
    ).toBe('in line')
  })
})

describe('wear, waterline, slings', () => {
  it('wear between new and worst', () => {
    // (0.7 − 0.2)/(1.2 − 0.2) = 50 % in 5 seasons: 5 more.
    expect(shown('wear', { seasons: 5 }, ['Gone', 'A season', 'Seasons left'])).toEqual([
      '50 %',
      '10 %',
      '5',
    ])
    expect(answerOf('wear', { now: 1.2 }).says).toBe('worn out')
    // A shaft grows thinner: 35 new, 34.5 worst, 34.9 now: a fifth.
    expect(answerOf('wear', { fresh: 35, worst: 34.5, now: 34.9 }).says).toBe('20 % gone')
  })
  it('the waterline between two heights, the stripe along the skin', () => {
    // At 4 of 10 m: 1500 − 72 + 50 = 1478; 80 ÷ sin 20° = 234.
    const rows = answerOf('waterline-ashore').table?.rows ?? []
    expect(rows[1]?.slice(2)).toEqual(['1428 mm', '1478 mm', '88 mm'])
    expect(rows[3]?.at(-1)).toBe('234 mm')
    expect(troubleOf('waterline-ashore', { long: 8 })[0]).toMatch(/^stations\.3\.at/)
  })
  it('slings by where her weight lies', () => {
    // 8·(9 − 6.2)/6 = 3.73; a leg 1.867/cos 25° = 2.06
    const fore = answerOf('lift-split').figures[0]
    expect([fore?.value, fore?.note]).toEqual(['3.73 t', '2.06 t a leg'])
    expect(answerOf('lift-split', { centre: 6 }).says).toBe('4 t fore, 4 t aft')
    expect(troubleOf('lift-split', { centre: 9.5 })[0]).toMatch(/tip out/)
  })
})
