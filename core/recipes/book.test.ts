/**
 * One worked example of every recipe, by hand from the trade's hours and formulas: each step with its
 * hours and wait, each material with its packs. Comments carry the sums that are not plain.
 */
import { describe, expect, it } from 'vitest'
import { packsFor } from '../fastening/count'
import { recipeBook } from './book'
import { recipeProblems } from './check'
import { expand } from './expand'
import type { Draft } from './expand'
import { initialInputs } from './recipe'
import type { RecipeInputs } from './recipe'

/** A draft as lines: 'strip.key operation hours | wait'; materials beneath with two blanks. */
function asLines({ steps }: Draft): string[] {
  return steps.flatMap(({ key, fields, materials }) => [
    [
      `${key} ${fields.operation} ${fields.hoursLikely}`,
      fields.waitKind === 'none' || !fields.waitHours
        ? null
        : `${fields.waitKind} ${fields.waitHours}`,
      fields.maxWaitHours === null ? null : `within ${fields.maxWaitHours}`,
    ]
      .filter((part) => part !== null)
      .join(' | '),
    ...materials.map(({ what, quantity, unit, pack }) => {
      const packs = pack === null ? '' : ` in ${packsFor(quantity, pack).packs}`
      return `  ${what}: ${Math.round(quantity * 100 + 1e-6) / 100} ${unit}${packs}`
    }),
  ])
}
const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.replace(/^ {6}/, '').trimEnd())
    .filter((line) => line.trim() !== '')

const bedded = (holes: number) => ({
  // 0.2 + 0.05 n; taking up 0.1 + 0.02 n
  bed: Number((0.2 + 0.05 * holes).toFixed(2)),
  up: Number((0.1 + 0.02 * holes).toFixed(2)),
})

const examples: readonly (readonly [string, RecipeInputs, string])[] = [
  [
    'sleeve-and-bed',
    { holes: 6 },
    // Hole 8 + 8 = 16; a sleeve π/4·16²·20 + π(14² − 8²)·12 = 8998 mm³ × 1.25 = 11.25 mL; six 67.48.
    // Bolt 6 + 8 + 12 + 6 + 2 + 3.2 + 6.8 + 2.5 = 46.5 → 50; 6.6 → 7 bolts. Plate 140 × 100 = 14 000
    // against 2 × 9600 → × 1.171. Bead 0.4 + 6 × π·18 mm = 0.74 m.
    `
      strip strip 1.2
      probe survey 0.6
      overDrill drill 0.9
      fill fill 0.6 | chem 16
        Epoxy thickened for filling: 67.48 mL
        Tape under the holes: 6 pieces
      reDrill drill 0.48
      plate fit 0.6
        Backing plate 164 × 117.1 × 6 mm: 1 pieces
      dryFit fit 0.3
      bed bed ${bedded(6).bed}
        Bolt M8 × 50: 7 pieces in 2
        Nut M8: 7 pieces in 2
        Washer M8: 14 pieces in 2
        Butyl tape: 0.74 m in 1
      hose test 0.3 | calendar 24
      takeUp1 fit ${bedded(6).up} | calendar 144
      takeUp7 fit ${bedded(6).up}`,
  ],
  [
    'find-leak',
    { fittings: 12 },
    `
      dry survey 0.5 | dry 24
        Paper strips to see a drop by: 12 pieces
      hose test 2
      finding survey 0.1`,
  ],
  [
    'dry-local-core',
    { areaM2: 0.04, holes: 4, bedding: 'sealant' },
    // 0.04 m² × 12 mm = 480 mL × 1.25; 2 h a 0.05 m²; bead 0.84 m × π/4·6² = 23.8 mL → 1
    `
      open drill 0.5
      pick strip 1.6
      dry setUp 0 | dry 240
      reading test 0.2
      fill fill 1 | chem 24
        Epoxy thickened for filling: 600 mL
        Tape and dam: 4 pieces
      reDrill drill 0.32
      bedSealant bed 0.4 | moisture 72
        Sealant, serviceable: 1 cartridges in 1
      hose test 0.3`,
  ],
  [
    'recore-above',
    { areaM2: 2, edgeM: 6, fittings: 2 },
    // Ply 0.567, four 2.27, taper × 12 = 27.2 mm. Cloth 4 × (2 + 6 × 0.0136) × 1.1 = 9.16 m²; resin as much
    // as glass, 4.12 kg. Session 2.06 kg; pot allows 484 g, cup 400 → 6. Primer 2/10/0.85, paint 2/11/0.85.
    `
      map survey 0.5
      tent setUp 2
      prop fit 1
      strip strip 0.6
      cut cut 3
      rake strip 5 | dry 720
      reading test 0.2
      taper grind 2.4
      prime prime 1.2 | chem 12
        Epoxy, mixed, to prime the skin: 0.5 kg
      core fit 4
        Core 12 mm: 2.2 m²
      bedCore laminate 3 | chem 24
        Thick bedding mix: 6.9 L
      tap test 0.4
      level fill 2 | chem 16
        Fairing filler: 2 L
      plies.1 laminate 2.8 | chem 24 | within 72
        Biaxial 450 g/m²: 4.58 m²
        Epoxy, mixed: 2.06 kg
        Cups, 400 g: 6 pieces
      plies.2 laminate 2.8 | chem 24 | within 72
        Biaxial 450 g/m²: 4.58 m²
        Epoxy, mixed: 2.06 kg
        Cups, 400 g: 6 pieces
      fair.1 fair 4 | chem 16
        Fairing filler: 1.2 L
      fair.2 fair 4 | chem 16
        Fairing filler: 1.2 L
      primer.1 prime 0.8 | chem 12 | within 48
        Two-part primer: 0.24 L
      primer.2 prime 0.8 | chem 12 | within 48
        Two-part primer: 0.24 L
      paint.1 paint 1 | chem 24
        Deck paint: 0.21 L
      paint.2 paint 1 | chem 24
        Deck paint: 0.21 L`,
  ],
  [
    'inject-panel',
    {},
    // 0.6 m² × 15 mm × half = 4.5 L; ÷ 15 × 1.15
    `
      grid drill 0.18
      cup test 0.2
      inject fill 0.48 | chem 12
        Two-part closed-cell foam: 0.35 L in 1
      plug fair 0.6
        Plugs or filler for the holes: 60 pieces`,
  ],
  [
    'through-hull',
    {},
    // Ply of 600 g 0.756 mm, 15/0.756 = 19.8 → 20; 20 × π/4·0.23² × 1.1 = 0.914 m², resin × 0.6.
    // Bead 8 mm twice round 130 mm: 41 mL → 1. Clips 4.4 → 5.
    `
      measure survey 0.5
      moisture test 0.1
      pilot drill 0.2
      clear cut 1.2
      solid laminate 1.5 | chem 24
        Biaxial 600 g/m²: 0.91 m²
        Epoxy, mixed: 0.55 kg
      bore drill 0.5
      pad fit 0.8 | chem 24
        Backing pad 130 mm: 1 pieces
      dryFit fit 0.4
      barrier.1 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      barrier.2 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      bed bed 0.6 | moisture 168
        Sealant for below the waterline: 1 cartridges in 1
      patch antifoul 0.2
        Antifouling: 100 mL
      connect plumb 0.6
        Through-hull and valve, 50 mm: 1 pieces
        Hose: 1.65 m
        Hose clip, stainless: 5 pieces
      work test 0.1
      watch test 0.2`,
  ],
  [
    'sea-valve',
    { outcome: 'replace' },
    `
      strip strip 0.8
      check survey 0.2
      dryFit fit 0.4
      barrier.1 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      barrier.2 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      bed bed 0.6 | moisture 168
        Sealant for below the waterline: 1 cartridges in 1
      patch antifoul 0.2
        Antifouling: 100 mL
      work test 0.1
      clip plumb 0.4
        Valve, 38 mm, dezincification-resistant or bronze: 1 pieces
        Hose clip, stainless: 5 pieces
      watch test 0.2`,
  ],
  [
    'transducer',
    { body: 'fairing', way: 'sleeve', bore: 12, pad: 60 },
    // Hole 28, filled 25 deep: π/4·28²·25 + π(24² − 14²)·15 = 33 301 mm³ × 1.25 = 41.6 mL
    `
      bucket test 0.5
        Transducer for 12° deadrise: 1 pieces
      mark survey 0.6
      fairing cut 1
        Fairing block: 1 pieces
      moisture test 0.1
      pilot drill 0.2
      overDrill drill 0.15
      fillSleeve fill 0.1 | chem 16
        Epoxy thickened for filling: 41.63 mL
      bore drill 0.5
      dryFit fit 0.4
      barrier.1 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      barrier.2 barrier 0.2 | chem 6 | within 48
        Epoxy barrier coat: 50 mL
      bed bed 0.6 | moisture 168
        Sealant for below the waterline: 1 cartridges in 1
      patch antifoul 0.2
        Antifouling: 100 mL
      watch test 0.2`,
  ],
  [
    'strip-barrier-antifoul',
    {},
    // 70 % at 125 µm: 5.6 m²/L; 250/125 = 2 coats, 40/5.6/0.85 = 8.40 L each. Antifouling 40/10/0.85 × 1.1.
    `
      wash clean 1.5
      scrape strip 20
      rinse clean 1.2 | dry 720
      reading test 0.6
      barrier.1 barrier 2.4 | chem 8 | within 48
        Epoxy barrier coat: 8.4 L in 4
      fair fair 12 | chem 16
        Epoxy fairing filler: 4 L in 4
      key clean 2
      barrierRest.1 barrier 2.4 | chem 8 | within 24
        Epoxy barrier coat: 8.4 L in 4
      antifoul.1 antifoul 2.4 | chem 12
        Antifouling: 5.18 L in 3
      antifoul.2 antifoul 2.4 | chem 12
        Antifouling: 5.18 L in 3
      move move 0
      patchBarrier barrier 1.8 | chem 8 | within 24
      patchAntifoul antifoul 0.6 | chem 12
      anodes fit 0.8
        Anode: 4 pieces`,
  ],
  [
    'anodes',
    { count: 5, metal: 'aluminium' },
    `
      clean clean 1
      fit fit 1
        Anode, aluminium: 5 pieces
        Fastening and shake-proof washer: 11 pieces
      bond test 0.5`,
  ],
  [
    'shaft-and-gland',
    { rudder: 'yes' },
    // 4 rings × π·43 mm × 1.1 = 0.594 m
    `
      height survey 0.2
      rudderOff strip 2
      draw strip 1.5
      wear survey 0.4
      bearing fit 2
        Bearing for a 35 mm shaft: 1 pieces
      gland fit 1
        Packing 8 mm: 0.59 m
      fit fit 2
      rudderOn fit 2
      grease fit 0.4
        Waterproof grease: 1 pieces
      secure fit 0.3
      settle test 0.2 | calendar 24
      align fit 2`,
  ],
  [
    'posts-and-rail',
    {},
    // 7.2/1.6 → 5 spans, 6 posts and one for the gate, 28 holes: 28 × 11.247 mL. Bolt 34 + 3.2 + 6.8 + 2.5 → 50;
    // 30.8 → 31. Lines 2 × 7.2 × 1.05.
    `
      walk survey 1
      plan survey 0.5
      wedges fit 2.1
        Wedge blank: 7 pieces
      fabricate contract 0 | calendar 360
      overDrill drill 4.2
      fill fill 2.8 | chem 16
        Epoxy thickened for filling: 314.91 mL
        Tape under the holes: 28 pieces
      reDrill drill 2.24
      dryFit fit 2.1
      bed bed ${bedded(28).bed}
        Post: 7 pieces
        Bolt M8 × 50: 31 pieces in 7
        Nut M8: 31 pieces in 7
        Washer M8: 62 pieces in 7
        Guard line: 15.12 m
        Butyl tape: 2.8 m in 1
      hose test 0.3 | calendar 24
      takeUp1 fit ${bedded(28).up} | calendar 144
      takeUp7 fit ${bedded(28).up}`,
  ],
  [
    'rebed-trim',
    { method: 'gasket' },
    // Two beads π/4·6²·2.4 = 135.7 mL × 1.15/290 → 1
    `
      mask fit 0.5
      lift strip 4.8
      bed bed 0.96 | moisture 24
        Sealant: 1 cartridges in 1
        Masking tape: 5.28 m in 1
      nip fit 0.24
      second bed 0.48 | moisture 24`,
  ],
  [
    'locker-lid',
    { resin: 'epoxy' },
    // Cloth 2 × 0.5 × 1.1; resin 1.1 × 0.45 × 0.58/0.42 + 0.3 × 1.6 = 1.164 kg; tie coat 0.5/8/0.85
    `
      grind grind 1
      stringers laminate 1.2 | chem 16
        Stringer: 1.76 m
      plies laminate 0.8 | chem 16 | within 72
        Combination cloth 450 g/m²: 1.1 m²
        Epoxy, mixed: 1.16 kg
        Peel ply: 0.55 m²
      trim fit 1
      tie prime 0.3 | chem 12
        Tie coat: 0.07 L
      gel.1 paint 0.4 | chem 3
        Gelcoat without wax: 0.3 kg
      gel.2 paint 0.4 | chem 3
        Gelcoat without wax: 0.3 kg
      gel.3 paint 0.4 | chem 3
        Gelcoat without wax: 0.3 kg
      gelLast paint 0.4 | chem 24
        Gelcoat with wax: 0.3 kg
      polish finish 1.5
        Wet paper, three grits: 6 sheets`,
  ],
  [
    'post-through-deck',
    {},
    // Joint 1.2 m. Fillet 20²(1 − π/4) × 1.2 × 1.25 = 128.8 mL. Tabs 131.4 + 155.4 + 179.4 + 203.4 = 669.7 mm
    // × 1.2 m × 1.1 = 0.884 m²; a quarter of each a face.
    `
      blank laminate 3 | chem 24
        Timber for a 100 mm post: 1 pieces
      cut cut 1.5 | chem 16
      foot laminate 2 | chem 24
      ${[1, 2, 3, 4]
        .map(
          (n) => `tabs.${n} laminate 1.5 | chem 24 | within 72
        Fillet mix: 32.19 mL
        Biaxial 450 g/m²: 0.22 m²
        Epoxy, mixed: 0.1 kg`,
        )
        .join('\n      ')}
      spacers laminate 0.5 | chem 16
      spar drill 0.8
      seal bed 0.4 | moisture 72
        Sealant: 1 cartridges in 1
      hose test 0.3`,
  ],
  [
    'hull-deck-joint',
    {},
    // 6000/150 + 1 = 41 bolts: 14, 14, 13; with spares 15.4 → 16, 16, 14.3 → 15. Bead 169.6 mL → 1.
    `
      third.1 fit 2.8
        Bolt M6 with nut and washers: 16 pieces in 4
      third.2 fit 2.8
        Bolt M6 with nut and washers: 16 pieces in 4
      third.3 fit 2.6
        Bolt M6 with nut and washers: 15 pieces in 3
      gaps bed 0.6 | moisture 72
        Permanent polyurethane: 1 cartridges in 1
      hose test 0.5
      strake close 1.8`,
  ],
  [
    'sister-frame',
    {},
    // 2 × 1.2 × 1.2 = 2.88 m; glue a quarter; 1200/150 + 1 = 9 each, 19.8 → 20
    `
      clear strip 1
      pattern survey 1
      bend laminate 2 | chem 24
        Timber strip for the sisters: 2.88 m
        Epoxy glue: 0.72 kg
      fasten fit 3
        Fastening: 20 pieces in 1
      scarf fit 1
      test test 0.4
      lining close 1`,
  ],
  [
    'electrical-system',
    {},
    // 2 × 12 × 6 × 1.1 = 158.4 m; 52.8 → 53 ends; 13.2 → 14 fuses
    `
      loads survey 1.7
      schematic survey 4.4
      mockUp fit 2
      buy buy 0 | calendar 168
        Tinned cable, single core: 158.4 m in 4
        Crimped end: 53 pieces in 6
        Fuse: 14 pieces
        Sheathing: 72 m
        Label, two a circuit: 24 pieces
      panel cut 4
      cable wire 9.6
      ends wire 4.8
      check test 3
      labels label 1.2
      signOff test 1`,
  ],
  [
    'solar-on-arch',
    {},
    // 13.2 → 14; bead 8 mm × 2 m = 100.5 mL → 1
    `
      fabricate contract 0 | calendar 480
      dryFit fit 3
      finish contract 0 | calendar 288
      isolate fit 0.6
        Isolating sleeve and washers: 14 pieces
      count survey 0.2
        Panel bolt, nut, washers: 14 pieces in 2
      hoist fit 2
      bed bed 1.5 | moisture 72
        Sealant, serviceable: 1 cartridges in 1
      battery wire 0.3
      cable wire 0.8
        Solar cable, two cores: 8.8 m
        Deck gland: 1 pieces
      volts test 0.3`,
  ],
  [
    'recover-lining',
    {},
    // (5 + 0.05 × 20) × 1.15 = 6.9 m² ÷ 1.4; glue both faces at 4 m²/L
    `
      lift strip 2.4
      scrape strip 4
      plan survey 0.5
      glue fit 3.5
        Covering, 1.4 m wide: 4.93 m
        Contact glue, both faces: 2.5 L in 3
      back close 0.6`,
  ],
  [
    'varnish-wood',
    { school: 'epoxy', where: 'below' },
    // 3/9/0.85 and 3/12/0.85
    `
      strip strip 3
      seal.1 prime 0.45 | chem 8 | within 48
        Clear epoxy, mixed: 0.39 L
      seal.2 prime 0.45 | chem 8 | within 48
        Clear epoxy, mixed: 0.39 L
      seal.3 prime 0.45 | chem 8 | within 48
        Clear epoxy, mixed: 0.39 L
      key clean 1.2
      varnish.1 varnish 0.45 | chem 24
        Varnish with sun filter: 0.29 L
        Paper 320: 3 sheets
      varnish.2 varnish 0.45 | chem 24
        Varnish with sun filter: 0.29 L
        Paper 320: 3 sheets`,
  ],
  [
    'out-to-trade',
    {},
    `
      bag label 1
        Bag and label: 6 pieces
      quote survey 0.5
      agree survey 0.3
      lead contract 0 | calendar 720
      collect fit 1
      check test 0.5`,
  ],
  [
    'engine-recommission',
    {},
    `
      photograph label 0.5
      cooling fit 2
        Impeller and gasket: 1 pieces
        Engine anode: 1 pieces
      fuel fit 2
        Fuel filter: 2 pieces
      oil fit 1
        Engine oil: 6 L in 2
        Oil filter: 1 pieces
        Belt: 2 pieces
      start test 1.5
      look test 0.5
      trial test 3`,
  ],
  [
    'strip-out',
    {},
    `
      photograph label 0.4
      wires label 1
        Wire label: 20 pieces
      bag strip 2
        Zip bag and label: 9 pieces
      map survey 0.3
      store label 0.4`,
  ],
  [
    'deep-clean',
    { places: 2 },
    `
      empty.1 clean 0.5
      empty.2 clean 0.5
      vacuum clean 1
      wash clean 1.4
      mat fit 1.2
        Ventilating mat: 6.6 m²
      stow finish 2`,
  ],
  [
    'winter-lay-up',
    { visits: 2 },
    // 12 × 5.7 × 1.1
    `
      drain plumb 2
      pickle plumb 1
        Antifreeze: 10 L in 2
      air fit 0.5
        Moisture trap: 3 pieces
      cover fit 3
        Cover: 75.24 m²
      battery test 0.5 | calendar 672
      visit.1 survey 0.5 | calendar 672
      visit.2 survey 0.5 | calendar 672`,
  ],
  [
    'water-lip',
    {},
    // Legs 30 + 25 less 2 × 5 − π/2 × 3.8 = 4.03 → 50.97 mm. Round 2 m; 22 fastenings; bead 56.5 mL → 1
    `
      measure survey 0.4
      list survey 0.3
      bend cut 1.2
        Sheet strip 51 × 2 mm: 2.2 m
      dryFit fit 0.8
      drain plumb 0.6
        Drain, hose tail and clips: 1 pieces
      bed bed 0.8 | moisture 24
        Rivet or bolt: 22 pieces in 3
        Sealant: 1 cartridges in 1
      hose test 0.3`,
  ],
]

describe('every recipe, one example by hand', () => {
  it('has one for each', () => {
    expect(examples.map(([key]) => key)).toEqual(recipeBook.map((recipe) => recipe.key))
  })
  it.each(examples)('%s', (key, given, expected) => {
    const recipe = recipeBook.find((one) => one.key === key)
    if (!recipe) throw new Error(`no recipe ${key}`)
    expect(recipeProblems(recipe)).toEqual([])
    const worked = expand(recipe, { ...initialInputs(recipe), ...given })
    if (!worked.ok) throw new Error(worked.problems[0]?.message)
    expect(asLines(worked.draft)).toEqual(lines(expected))
  })
})
