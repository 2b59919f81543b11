/** Worked by hand from the formulas of the trade; sums that are not plain stand in comments. */
import { describe, expect, it } from 'vitest'
import { answerOf, shown, troubleOf } from '../../../testing/bench'

describe('cups', () => {
  it('are as large as the pot life lets the crew lay', () => {
    // 18 °C: 30·2^0.2 = 34.46 min for 100 g. m = (0.7·1300·0.5743·100^0.35)^(1/1.35) = 340 g → 4 cups of 300,
    // each 300/1300 h = 13.8 min; in it 34.46·(1/3)^0.35 = 23.5 min; resin 300·100/133 = 226.
    const answer = answerOf('pots-and-cups')
    expect(answer.says).toBe('4 × 300 g')
    expect(answer.table?.rows.map((row) => row.slice(0, 4))).toEqual([
      ['1', '09:00', '09:14', '09:23'],
      ['2', '09:14', '09:28', '09:37'],
      ['3', '09:28', '09:42', '09:51'],
      ['4', '09:42', '09:55', '10:05'],
    ])
    expect(shown('pots-and-cups', {}, ['Resin to', 'All laid'])).toEqual(['226 g', '09:55'])
  })
  it('are bound by what one may hold, and shorten as the day warms', () => {
    // 25 °C: 21.2 min; by pot life 441 g, the cup holds 300: 7 of 285.7, one every 5.7 min. It warms by nothing.
    const given = { total: 2000, rate: 3000, cup: 300, deckC: 25 }
    expect(shown('pots-and-cups', given, ['says', 'One every'])).toEqual(['7 × 286 g', '6 min'])
    const warming = answerOf('pots-and-cups', { ...given, warming: 3 })
    const lives = (warming.table?.rows ?? []).map((row) => {
      const at = (said: string) => Number(said.slice(0, 2)) * 60 + Number(said.slice(3))
      return at(row[3] as string) - at(row[1] as string)
    })
    expect(lives.at(-1)).toBeLessThan(lives[0] as number)
  })
  it('say when the last is too late', () => {
    expect(answerOf('pots-and-cups', { endH: 9.75 }).verdict).toBe('look')
    expect(answerOf('pots-and-cups', { endH: 10 }).verdict).toBe('go')
    // Begun at eleven at night, half past twelve is tomorrow's.
    expect(answerOf('pots-and-cups', { startH: 23, endH: 0.5 }).verdict).toBe('go')
    expect(answerOf('pots-and-cups', { startH: 23, endH: 23.5 }).verdict).toBe('look')
  })
})

describe('mixes', () => {
  it('by weight: 400 g to a fillet are 370.4 g of liquid, 278.5 + 91.9, and 29.6 of powder', () => {
    expect(
      shown('mix-by-weight', { use: 'fillet' }, ['Resin', 'Hardener', 'Powder', 'All of it']),
    ).toEqual(['278 g', '92 g', '30 g', '400 g'])
  })
  it('by volume: 500 mL weigh 554.4 g', () => {
    // A gram is 100/133/1.15 + 33/133/1 = 0.90193 mL.
    const given = { by: 'volume', volume: 500, use: 'wetOut' }
    expect(shown('mix-by-weight', given, ['Resin', 'Hardener', 'All of it', 'By volume'])).toEqual([
      '417 g',
      '138 g',
      '554 g',
      // 100/1.15 ÷ 33/1
      '2.64 to 1',
    ])
  })
  it('take the hardener that leaves time and is hard soonest', () => {
    // 25 °C, 250 g: fast 12·2^-0.5·0.4^0.35·0.7 = 4.3 min, slow 10.8, extra slow 18.0.
    expect(answerOf('which-hardener', { tempC: 25, minutes: 10 }).says).toBe('slow')
    expect(answerOf('which-hardener', { tempC: 25, minutes: 15 }).says).toBe('extra slow')
    expect(answerOf('which-hardener', { tempC: 25, minutes: 20 }).verdict).toBe('stop')
    // 10 °C: fast leaves 12.2, slow 30.5; extra slow must not go under 15.
    expect(answerOf('which-hardener', { tempC: 10, minutes: 40 }).verdict).toBe('stop')
  })
  it('catalyst: half way between 12 and 28 °C half way down the band', () => {
    // 20 °C: 1.75 % of 500 g = 8.75 g ÷ 1.15 = 7.6 mL, 228 drops (over 200, not said).
    expect(shown('catalyst', { tempC: 20 }, ['Share', 'By weight', 'By volume'])).toEqual([
      '1.75 %',
      '8.8 g',
      '7.6 mL',
    ])
    expect(shown('catalyst', { tempC: 28, mass: 200 }, ['Share', 'Drops'])).toEqual(['1 %', '52'])
    expect(troubleOf('catalyst', { tempC: 8 })[0]).toMatch(/^tempC: /)
    expect(troubleOf('catalyst', { low: 3 })[0]).toMatch(/^high: /)
  })
  it('what is left goes where most of it is used in the time', () => {
    // 80 g, 12 min: 20 + 40 = 60 in 8 min; 25 + 40 = 65 in 11; all three 85 is too much.
    expect(answerOf('left-in-the-cup').heading).toBe(
      'seal end grain, then old screw holes; 15 g over',
    )
    expect(answerOf('left-in-the-cup', { is: 'thick' }).says).toBe('2 take 45 g')
  })
})

describe('laminate', () => {
  it('plies to a level', () => {
    // 450 g/m² at 0.5: 0.1758 + 0.3913 = 0.5671 mm; 3 ÷ it = 5.29 → 6, 0.40 over.
    expect(shown('plies-to-a-level', {}, ['Plies', 'One ply', 'Over the level', 'Taper'])).toEqual([
      '6',
      '0.57 mm',
      '0.4 mm',
      '36 mm',
    ])
    // Mat of 300 at 0.32 in polyester, ρ 1200: 0.1172 + 0.6375/1.2 = 0.6484; 4 mm → 7, 0.54 over; 2 m² × 7 × 1.1 = 15.4 × 0.6375 kg.
    const mat = { level: 4, cloth: 300, kind: 'mat', resin: 'polyester', areaM2: 2 }
    expect(
      shown('plies-to-a-level', mat, ['Plies', 'Over the level', 'Cloth', 'Resin, mixed']),
    ).toEqual(['7', '0.54 mm', '15.4 m²', '9.82 kg'])
    expect(troubleOf('plies-to-a-level', { binder: 'emulsion' })[0]).toMatch(/^binder: /)
  })
  it('patches by both schools', () => {
    // Taper 72, six steps of 12: (120 + 24k)(80 + 24k), 264 × 224 the largest; in all 0.2108 m².
    const rows = answerOf('patch-and-taper').table?.rows ?? []
    expect(rows[0]?.slice(1, 3)).toEqual(['264 mm', '224 mm'])
    expect(rows.at(-1)?.slice(1, 3)).toEqual(['144 mm', '104 mm'])
    expect(shown('patch-and-taper', {}, ['Cloth'])).toEqual(['0.21 m²'])
    // 50 × 50 in 5 mm at 8:1, four plies: 70² + 90² + 110² + 130² = 42 000 mm².
    const light = {
      long: 50,
      wide: 50,
      thick: 5,
      ratio: 'light',
      plies: 4,
      school: 'smallestFirst',
    }
    const small = answerOf('patch-and-taper', light)
    expect(small.table?.rows[0]?.slice(1, 3)).toEqual(['70 mm', '70 mm'])
    expect(shown('patch-and-taper', light, ['Cloth'])).toEqual(['0.04 m²'])
  })
  it('tabbing and its fillet', () => {
    // 15²(1 − π/4)·2·1.25 = 120.7 mL; strips 123.6, 147.6, 171.6 → 0.4427 m² × 2 × 1.1 = 0.974, resin × 0.45.
    expect(shown('tabbing-and-fillet', {}, ['Filler', 'Cloth', 'Resin, mixed'])).toEqual([
      '121 mL',
      '0.97 m²',
      '0.44 kg',
    ])
    const rows = answerOf('tabbing-and-fillet', { fillet: 20, plies: 2 }).table?.rows ?? []
    // 100 + 31.4
    expect(rows.map((row) => row[1])).toEqual(['131 mm', '155 mm'])
  })
})

describe('coats', () => {
  it('litres and tins', () => {
    // 500/60 = 8.33 m²/L; 12/8.33/0.85 = 1.694 a coat; 3.388 → 5 tins of 0.75, 0.36 over; wet 120.
    expect(
      shown('coats-and-tins', {}, ['In all', 'A coat', 'Left over', 'Wet, on the comb']),
    ).toEqual(['3.39 L', '1.69 L', '0.36 L', '120 µm'])
    // Film: 250/125 → 2 coats; 40 m² at 700/125 = 5.6 → 8.40 L each.
    const film = { areaM2: 40, solids: 70, by: 'film', film: 250, coatFilm: 125, tin: 5 }
    expect(shown('coats-and-tins', film, ['A coat', 'In all'])).toEqual(['8.4 L', '16.8 L'])
    expect(answerOf('coats-and-tins', film).takes).toBe('4')
  })
  it('the area under water by three ways', () => {
    // 0.75·10·(3.5 + 1.7); 39·2/10/0.85·1.1 = 10.1 L.
    expect(answerOf('antifoul-area').says).toBe('39 m², 10.1 L')
    // Trapezoids 3.75 + 9 + 9.5 + 5.5 = 27.75, and 6 m² of keel.
    expect(shown('antifoul-area', { way: 'girths', keel: 6 }, ['Under water'])).toEqual(['33.8 m²'])
    // 4·10·0.85/2
    expect(shown('antifoul-area', { way: 'litres' }, ['Under water'])).toEqual(['17 m²'])
  })
  it('the dew point, and three degrees over it', () => {
    // 15 °C at 65 %: 8.47; 20 °C at 80 %: 16.44, so that 21 is 4.6 over and 19.4 is 3.0 over.
    expect(shown('dew-now', {}, ['Dew point'])).toEqual(['8.5 °C'])
    const warm = (surfaceC: number) => answerOf('dew-now', { airC: 20, humidity: 80, surfaceC })
    expect(warm(19.45).verdict).toBe('go')
    expect(warm(19.3).verdict).toBe('stop')
    expect(warm(16).heading).toMatch(/^it is wet/)
  })
  it('foam', () => {
    // 0.5 m² × 30 mm = 15 L ÷ 15 × 1.15
    expect(shown('foam-and-vents', {}, ['Void', 'Liquid', 'Pours', 'Vents'])).toEqual([
      '15 L',
      '1.15 L',
      '1',
      '5',
    ])
    expect(shown('foam-and-vents', { deep: 250 }, ['Void', 'Pours'])).toEqual(['125 L', '3'])
  })
})
