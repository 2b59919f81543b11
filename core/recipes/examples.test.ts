/**
 * One worked example of every recipe, by hand from the trade's hours and formulas: each step with its
 * order, hours, people, place, hull, weather and wait, each material with its packs. Comments carry the sums
 * that are not plain.
 */
import { describe, expect, it } from 'vitest'
import { asLines, lines, worked } from '../testing/recipes'
import { recipeBook } from './book'
import type { RecipeInputs } from './recipe'

/** The look in the slings by two, and the second look that holds nothing. */
const watched = `watch test 0.2 [P2 W] | calendar 24
      second test 0.1 [F G]`
const barrierTwice = [1, 2]
  .map(
    (n) => `barrier.${n} barrier 0.2 [A T10] | chem 6 ≥10 | within 48
        Epoxy barrier coat: 50 mL`,
  )
  .join('\n      ')
const bedAndPatch = `bed bed 0.6 [P2 A] | moisture 168
        Sealant for below the waterline: 1 cartridges in 1
      patch antifoul 0.2 [A T8] | calendar 24
        Antifouling: 100 mL`
/** Butyl taken up after a day and a week, by hours. */
const takenUp = (hours: number) => `settle setUp 0 [G] | calendar 24
      takeUp1 fit ${hours} [G] | calendar 144
      takeUp7 fit ${hours} [G]`

const examples: readonly (readonly [string, RecipeInputs, string])[] = [
  [
    'sleeve-and-bed',
    { holes: 6 },
    // Hole 8 + 8 = 16; a sleeve π/4·16²·20 + π(14² − 8²)·12 = 8998 mm³ × 1.25 = 11.25 mL; six 67.48.
    // Bolt 6 + 8 + 12 + 6 + 2 + 3.2 + 6.8 + 2.5 = 46.5 → 50; 6.6 → 7 bolts. Plate 140 × 100 = 14 000
    // against 2 × 9600 → × 1.171. Bead 0.4 + 6 × π·18 mm = 0.74 m. Bed 0.2 + 0.05 × 6, up 0.1 + 0.02 × 6.
    `
      strip strip 1.2
      probe survey 0.6
      overDrill drill 0.9 [D]
      fill fill 0.6 [D T10] | chem 16 ≥10
        Epoxy thickened for filling: 67.48 mL
        Tape under the holes: 6 pieces
      reDrill drill 0.48
      plate fit 0.6 [S]
        Backing plate 164 × 117.1 × 6 mm: 1 pieces
      dryFit fit 0.3
      bed bed 0.5 [P2 D]
        Bolt M8 × 50 mm: 7 pieces in 2
        Nut M8: 7 pieces in 2
        Washer M8: 14 pieces in 2
        Butyl tape: 0.74 m in 1
      hose test 0.3 [P2]
      ${takenUp(0.22)}
      log label 0.1`,
  ],
  [
    'find-leak',
    { fittings: 12 },
    `
      dry survey 0.5 | dry 24
        Paper strips to see a drop by: 12 pieces
      hose test 2 [P2]
      finding survey 0.1`,
  ],
  [
    'dry-local-core',
    { areaM2: 0.04, holes: 4, bedding: 'sealant' },
    // 0.04 m² × 12 mm = 480 mL × 1.25 in two pours of at most 10 mm; 2 h a 0.05 m²; bead 0.84 m × π/4·6² → 1
    `
      open drill 0.5 [D]
      pick strip 1.6 [D]
      dry setUp 0 | dry 240
      reading test 0.2
      fill.1 fill 0.5 [T10] | chem 6 ≥10
        Epoxy thickened for filling: 300 mL
        Tape and dam: 4 pieces
      fill.2 fill 0.5 [T10] | chem 24 ≥10
        Epoxy thickened for filling: 300 mL
      reDrill drill 0.32
      bedSealant bed 0.4 [P2 D] | moisture 72
        Sealant, serviceable: 1 cartridges in 1
      hose test 0.3 [P2]`,
  ],
  [
    'recore-above',
    { areaM2: 2, edgeM: 6, fittings: 2 },
    // Ply 0.567, four 2.27, taper × 12 = 27.2 mm. One ply (2 + 6 × 0.0136) × 1.1 = 2.29 m², resin as much as
    // glass. Two lay 2/0.7 m² an hour, 1286 g of mix; a pot of half an hour at 100 g allows 305 g: 2061/305 → 7.
    // Primer 2/10/0.85, paint 2/11/0.85.
    `
      map survey 0.5
      tent setUp 2 [P1-2]
      prop setUp 1
      strip strip 0.6
      cut cut 3 [D]
      rake strip 5 [D] | dry 720
      reading test 0.2
      taper grind 2.4 [D]
      prime prime 1.2 [D T12] | chem 12 ≥12
        Epoxy, mixed, to prime the skin: 0.5 kg
      core fit 4 [S]
        Core 12 mm: 2.2 m²
      bedCore laminate 3 [P2 D T12] | chem 24 ≥12
        Thick bedding mix: 6.9 L
      tap test 0.4
      level fill 2 [D T10] | chem 16 ≥10
        Fairing filler: 2 L
      ${[1, 2]
        .map(
          (n) => `plies.${n} laminate 2.8 [P2 D T12] | chem 24 ≥12 | within 72
        Biaxial 450 g/m², stitched: 4.58 m²
        Epoxy, mixed: 2.06 kg
        Cups of at most 400 g: 7 pieces
        Peel ply: 2.29 m²`,
        )
        .join('\n      ')}
      fair.1 fair 4 [D T10] | chem 16 ≥10
        Fairing filler: 1.2 L
      fair.2 fair 4 [D T10] | chem 16 ≥10
        Fairing filler: 1.2 L
      primer.1 prime 0.8 [D T10] | chem 12 ≥10 | within 48
        Two-part primer: 0.24 L
      primer.2 prime 0.8 [D T10] | chem 12 ≥10 | within 48
        Two-part primer: 0.24 L
      paint.1 paint 1 [D T10] | chem 24 ≥10
        Deck paint: 0.21 L
      paint.2 paint 1 [D T10] | chem 24 ≥10
        Deck paint: 0.21 L`,
  ],
  [
    'recore-below',
    { areaM2: 2, edgeM: 6, liningH: 4 },
    // Ply 0.567, three 1.7, taper × 12 = 20.4 mm: one ply (2 + 6 × 0.0102) × 1.1 = 2.27 m², resin as much as
    // glass. Paint 2 × 2 m² at 10 m²/L and 0.85.
    `
      lining strip 2
      prop setUp 1
      cut cut 4.4
      rake strip 7 | dry 168
      reading test 0.2
      taper grind 3.6
      prime prime 1.6 [T12] | chem 12 ≥12
        Epoxy, mixed, to prime the skin: 0.5 kg
      core fit 4.4 [S]
        Core 12 mm: 2.2 m²
      bedCore laminate 5 [P2 T12] | chem 24 ≥12
        Thick bedding mix: 6.9 L
      tap test 0.4
      ${[1, 2, 3]
        .map(
          (n) => `plies.${n} laminate 2 [P2 T12] | chem 24 ≥12 | within 72
        Biaxial 450 g/m², stitched: 2.27 m²
        Epoxy, mixed: 1.02 kg
        Peel ply: 2.27 m²`,
        )
        .join('\n      ')}
      seal paint 1 [T10] | chem 24 ≥10
        Bilge paint: 0.47 L
      back close 2`,
  ],
  [
    'inject-panel',
    {},
    // 60 holes at 0.02 h. 0.6 m² × 15 mm × half = 4.5 L; ÷ 15 × 1.15
    `
      reading test 0.2
      grid drill 1.2 [D]
      cup test 0.2
      inject.1 fill 0.48 [D T10] | chem 12 ≥10
        Two-part closed-cell foam: 0.35 L in 1
      plug fair 0.6 [D]
        Plugs or filler for the holes: 60 pieces`,
  ],
  [
    'through-hull',
    {},
    // Ply of 600 g 0.756 mm, 15/0.756 = 19.8 → 20 in sessions of 7, 7, 6 over π/4·0.23² = 0.0415 m²: 1 h and
    // 0.7 h a m² and ply; cloth × 1.1, resin × 0.6. Inner skin 4/0.756 → 6 plies over 230 + 48 mm. Taper 0.4 h
    // × 0.723 m. Pad bedded 3 mm deep × 1.25. Bead 8 mm twice round 130 mm: 41 mL → 1. Clips 4.4 → 5.
    `
      measure survey 0.5 [A]
      moisture test 0.1 [A]
      pilot drill 0.2 [A]
      clear cut 1.2 [A]
      taper grind 0.29 [A]
      ${[1, 2]
        .map(
          (n) => `solid.${n} laminate 1.2 [A T12] | chem 24 ≥12 | within 72
        Biaxial 600 g/m², stitched: 0.32 m²
        Epoxy, mixed: 0.19 kg
        Peel ply: 0.05 m²`,
        )
        .join('\n      ')}
      solid.3 laminate 1.17 [A T12] | chem 24 ≥12 | within 72
        Biaxial 600 g/m², stitched: 0.27 m²
        Epoxy, mixed: 0.17 kg
        Peel ply: 0.05 m²
      innerSkin laminate 1.25 [A T12] | chem 24 ≥12
        Biaxial 600 g/m², stitched: 0.4 m²
        Epoxy, mixed: 0.24 kg
      bore drill 0.5 [A]
      pad fit 0.8 [A T12] | chem 24 ≥12
        Backing pad 130 mm: 1 pieces
        Thick bedding mix: 49.78 mL
      dryFit fit 0.4 [P2 A]
        Through-hull and valve, 50 mm, bronze or dezincification-resistant: 1 pieces
      ${barrierTwice}
      ${bedAndPatch}
      connect plumb 0.6 [A]
        Hose: 1.65 m
        Hose clip, stainless: 5 pieces
      work test 0.1 [A]
      log label 0.1 [A]
      ${watched}`,
  ],
  [
    'sea-valve',
    { outcome: 'replace' },
    `
      strip strip 0.8 [A]
      check survey 0.2 [A]
      dryFit fit 0.4 [P2 A]
        Valve, 50 mm, bronze or dezincification-resistant: 1 pieces
      ${barrierTwice}
      ${bedAndPatch}
      work test 0.1 [A]
      clip plumb 0.4 [A]
        Hose clip, stainless: 5 pieces
      log label 0.1 [A]
      ${watched}`,
  ],
  [
    'transducer',
    { body: 'fairing', way: 'sleeve', bore: 12, pad: 60 },
    // Hole 28, filled 25 deep: π/4·28²·25 + π(24² − 14²)·15 = 33 301 mm³ × 1.25 = 41.6 mL. Pad 2827 mm² × 3 × 1.25.
    `
      bucket test 0.5 [@electrics E]
        Transducer for 12° deadrise: 1 pieces
      measure survey 0.5 [A]
      mark survey 0.6 [P2 A]
      fairing cut 1 [S]
        Fairing block: 1 pieces
      moisture test 0.1 [A]
      pilot drill 0.2 [A]
      overDrill drill 0.15 [A]
      fillSleeve fill 0.1 [A T10] | chem 16 ≥10
        Epoxy thickened for filling: 41.63 mL
      bore drill 0.5 [A]
      pad fit 0.8 [A T12] | chem 24 ≥12
        Backing pad 60 mm: 1 pieces
        Thick bedding mix: 10.6 mL
      dryFit fit 0.4 [P2 A]
        Housing and blanking plug, 12 mm: 1 pieces
      ${barrierTwice}
      ${bedAndPatch}
      connect wire 0.6 [@electrics A]
        Cable clip: 10 pieces
      work test 0.1 [A]
      log label 0.1 [A]
      ${watched}`,
  ],
  [
    'strip-barrier-antifoul',
    {},
    // 70 % at 125 µm: 5.6 m²/L; 250/125 = 2 coats, 40/5.6/0.85 = 8.40 L each. Antifouling 40/10/0.85 × 1.1.
    // Patches 6 × 0.1 m²: 0.6/5.6/0.85 and 0.6/10/0.85 a coat.
    `
      wash clean 1.5 [P1-2 A]
      scrape strip 20 [P1-2 A]
      rinse clean 1.2 [A] | dry 720
      reading test 0.6 [A]
      barrier.1 barrier 2.4 [P1-2 A D T10] | chem 8 ≥10 | within 48
        Epoxy barrier coat: 8.4 L in 4
      fair fair 12 [A D T10] | chem 16 ≥10
        Epoxy fairing filler: 4 L in 4
      key grind 2 [A D]
      barrierRest.1 barrier 2.4 [P1-2 A D T10] | chem 8 ≥10 | within 24
        Epoxy barrier coat: 8.4 L in 4
      antifoul.1 antifoul 2.4 [P1-2 A D T8] | chem 12 ≥8
        Antifouling: 5.18 L in 3
      antifoul.2 antifoul 2.4 [P1-2 A D T8] | chem 12 ≥8
        Antifouling: 5.18 L in 3
      move move 0 [A]
      patchKey grind 1.2 [A D]
      patchBarrier.1 barrier 0.3 [A D T10] | chem 8 ≥10 | within 48
        Epoxy barrier coat: 0.13 L in 1
      patchBarrier.2 barrier 0.3 [A D T10] | chem 8 ≥10 | within 24
        Epoxy barrier coat: 0.13 L in 1
      patchAntifoul.1 antifoul 0.3 [A D T8] | chem 12 ≥8
        Antifouling, left over from the coats: 0.07 L
      patchAntifoul.2 antifoul 0.3 [A D T8] | chem 12 ≥8
        Antifouling, left over from the coats: 0.07 L
      anodes fit 0.8 [A]
        Anode: 4 pieces
      immersion survey 0.1 [A] | calendar 24`,
  ],
  [
    'anodes',
    { count: 5, metal: 'aluminium' },
    `
      clean clean 1 [A]
      fit fit 1 [A]
        Anode, aluminium: 5 pieces
        Fastening and shake-proof washer: 11 pieces
      bond test 0.5 [A]`,
  ],
  [
    'shaft-and-gland',
    { rudder: 'yes' },
    // 4 rings × π·43 mm × 1.1 = 0.594 m. The gland is packed round the shaft, so after it.
    `
      height survey 0.2 [E]
      rudderOff strip 2 [P2 @mechanics A]
      draw strip 1.5 [P2 @mechanics A]
      wear survey 0.4 [@mechanics A]
      bearing fit 2 [@mechanics A]
        Bearing for a 35 mm shaft: 1 pieces
      fit fit 2 [P2 @mechanics A]
      gland fit 1 [@mechanics A]
        Packing 8 mm: 0.59 m
      rudderOn fit 2 [P2 @mechanics A]
      grease fit 0.4 [A]
        Waterproof grease: 1 pieces
      secure fit 0.3 [A]
      watch test 0.1 [P2 W]
      settle test 0.2 [F G] | calendar 24
      align fit 2 [@mechanics F G]`,
  ],
  [
    'posts-and-rail',
    {},
    // 3 m before the gate: 2 spans of 1.5; 3.5 m after it: 3 of 1.167; 7 posts, 28 holes × 11.247 mL. Bolt as in
    // recipe 1; 30.8 → 31. Bead 7 × 0.4 + 28 × π·18 mm. Each base by recipe 1: strip 0.3 + 0.15 a hole, bed 0.2 +
    // 0.05, hose 0.3, up 0.1 + 0.02. Lines 2 × 7.2 × 1.05, ends at both sides of the gate.
    `
      walk survey 1 [P2]
      plan survey 0.5
      wedges fit 2.1 [S]
        Wedge blank: 7 pieces
      fabricate contract 0 [away] | calendar 360
      strip strip 6.3
      probe survey 2.8
      overDrill drill 4.2 [D]
      fill fill 2.8 [D T10] | chem 16 ≥10
        Epoxy thickened for filling: 314.91 mL
        Tape under the holes: 28 pieces
      reDrill drill 2.24
      plate fit 4.2 [S]
        Backing plate 164 × 117.1 × 6 mm: 7 pieces
      dryFit fit 2.1
        Post: 7 pieces
      bed bed 2.8 [P2 D]
        Bolt M8 × 50 mm: 31 pieces in 7
        Nut M8: 31 pieces in 7
        Washer M8: 62 pieces in 7
        Butyl tape: 4.38 m in 1
      lines fit 1.4
        Guard line: 15.12 m
        End fitting for a line: 8 pieces
      hose test 2.1 [P2]
      ${takenUp(1.26)}
      log label 0.1`,
  ],
  [
    'rebed-trim',
    { method: 'gasket' },
    // Two beads π/4·6²·2.4 = 135.7 mL × 1.15/290 → 1
    `
      mask fit 0.5
      lift strip 4.8 [D] | within 10
      bed bed 0.96 [P2 D] | moisture 12
        Sealant: 1 cartridges in 1
        Masking tape: 5.28 m in 1
        Sheet and tape to shut her if the day runs out: 2.4 m
      nip fit 0.24
      second bed 0.48 [D] | moisture 120
      hose test 0.3 [P2]
      log label 0.1`,
  ],
  [
    'locker-lid',
    { resin: 'epoxy' },
    // Cloth 2 × 0.5 × 1.1; resin 1.1 × 0.45 × 0.58/0.42; bonding 0.3 × 1.6; tie coat 0.5/8/0.85; 2 % of 0.3 kg
    `
      grind grind 1 [S]
      stringers laminate 1.2 [S T12] | chem 16 ≥12
        Stringer: 1.76 m
        Bonding mix, epoxy: 0.48 kg
      plies laminate 0.8 [S T12] | chem 16 ≥12 | within 72
        Stitched combination cloth 450 g/m², no emulsion binder: 1.1 m²
        Epoxy, mixed: 0.68 kg
        Peel ply: 0.55 m²
      trim fit 1
      tie prime 0.3 [S] | chem 12
        Tie coat: 0.07 L
      ${[1, 2, 3]
        .map(
          (n) => `gel.${n} paint 0.4 [S T15] | chem 3 ≥15
        Gelcoat without wax: 0.3 kg
        Peroxide catalyst, 2 %: 6 g`,
        )
        .join('\n      ')}
      gelLast paint 0.4 [S T15] | chem 24 ≥15
        Gelcoat with wax: 0.3 kg
        Peroxide catalyst, 2 %: 6 g
      polish finish 1.5 [S]
        Wet paper, three grits: 6 sheets`,
  ],
  [
    'post-through-deck',
    {},
    // Joint 1.2 m. Fillet 20²(1 − π/4) × 1.2 × 1.25 = 128.8 mL. Tabs 131.4 + 155.4 + 179.4 + 203.4 = 669.7 mm
    // × 1.2 m × 1.1 = 0.884 m²; a quarter of each a face. Edge sealed 15 × 15 mm, foot bedded 5 mm.
    `
      blank laminate 3 [S T12] | chem 24 ≥12
        Timber for a 100 mm post: 1 pieces
        Epoxy glue: 0.4 kg
      cut cut 1.5 [D T10] | chem 16 ≥10
        Epoxy thickened for filling: 112.5 mL
        Sheet and tape to shut the hole: 1 m
      foot laminate 2 [P2 T12] | chem 24 ≥12
        Thick bedding mix: 62.5 mL
      ${[1, 2, 3, 4]
        .map(
          (n) => `tabs.${n} laminate 1.5 [T12] | chem 24 ≥12 | within 72
        Fillet mix: 32.19 mL
        Biaxial 450 g/m², stitched: 0.22 m²
        Epoxy, mixed: 0.1 kg
        Peel ply: 0.06 m²`,
        )
        .join('\n      ')}
      spacers laminate 0.5 [T12] | chem 16 ≥12
        Spacer: 4 pieces
        Epoxy glue: 0.2 kg
      spar drill 0.8 [P2]
        Through-bolt for the spar, with washers: 3 pieces
      seal bed 0.4 [D] | moisture 72
        Sealant: 1 cartridges in 1
      hose test 0.3 [P2]`,
  ],
  [
    'hull-deck-joint',
    { stackB: 14, stackC: 26, toCome: 4 },
    // 2000/150 → 14 a stretch and one at the bow: 15, 14, 14 = 43; 15, 15, 13 a pass. With spares 16.5 → 17, 15.4 → 16.
    // M6: stack + 4 to come + 3.2 + 5.2 + 2: 38.4 → 40, 28.4 → 30, 40.4 → 45. Nuts 47.3 → 48, washers 94.6 → 95.
    // Bead 169.6 mL → 1. Screws every 300 mm.
    `
      third.1 fit 3 [P2 E]
        Bolt M6 × 40 mm: 17 pieces in 4
        Bolt M6 × 30 mm: 16 pieces in 4
        Bolt M6 × 45 mm: 16 pieces in 4
        Nut M6, locking: 48 pieces in 10
        Washer M6: 95 pieces in 10
      third.2 fit 3 [P2 E]
      third.3 fit 2.6 [P2 E]
      gaps bed 0.6 [D] | moisture 72
        Permanent polyurethane: 1 cartridges in 1
      hose test 0.5 [P2]
      strake close 1.8 [P2]
        Screw for the strake: 22 pieces in 1`,
  ],
  [
    'sister-frame',
    {},
    // 2 × 1.2 × 1.2 = 2.88 m; glue a quarter; 1200/150 + 1 = 9 each, 19.8 → 20; one butt block
    `
      clear strip 1
      pattern survey 1 [@woodwork]
      bend laminate 2 [@woodwork S T12] | chem 24 ≥12
        Timber strip for the sisters: 2.88 m
        Epoxy glue: 0.72 kg
      fasten fit 3 [@woodwork]
        Fastening: 20 pieces in 1
      scarf fit 0.5 [@woodwork T12] | chem 24 ≥12
        Epoxy glue: 0.15 kg
      test test 0.4
      lining close 1`,
  ],
  [
    'electrical-system',
    {},
    // 6 at 8 A, 6 m, 3 % of 12 V: 5.2 → 6 mm², 10 A, 79.2 m. 5 at 3 A, 10 %: 0.585 → 0.75 mm², which bears the 5 A fuse
    // (3.75 up), 66 m. 1 at 75 A, 8 m: 19.5 → 25 mm², but 71 A is under the 100 A fuse: 50 mm² with 105; 17.6 m. 12 in
    // all: 52.8 → 53 ends, spares 6.6 → 7, 5.5 → 6, 1.1 → 2. Eleven ways × 1.2 = 13.2 → 14. Bank 125 A.
    `
      loads survey 1.7 [@electrics]
      schematic survey 4.4 [@electrics]
      mockUp fit 2 [@electrics S]
      buy buy 0 [away] | calendar 168
        Tinned cable, single core 6 mm²: 79.2 m in 2
        Fuse 10 A: 7 pieces
        Tinned cable, single core 0.75 mm²: 66 m in 2
        Fuse 5 A: 6 pieces
        Tinned cable, single core 50 mm²: 17.6 m in 1
        Fuse 100 A: 2 pieces
        Panel with 14 ways: 1 pieces
        Crimped end: 53 pieces in 6
        Bank fuse 125 A that breaks the bank’s fault current, with holder: 2 pieces
        Sheathing: 66 m
        Label, two a circuit: 24 pieces
      panel cut 4 [@electrics S]
      cable wire 9.6 [@electrics]
      ends wire 4.8 [@electrics]
      check test 3 [@electrics]
      labels label 1.2
      signOff test 1 [@electrics]`,
  ],
  [
    'solar-on-arch',
    {},
    // 16 holes × 11.247 mL; each foot by recipe 1. Panel fastenings 13.2 → 14, deck bolts 17.6 → 18. Bead 4 × 0.4
    // + 16 × π·18 mm = 2.505. 2 × 8 × 15 × 0.0195/0.6 = 7.8 → 10 mm²; 18.75 → 20 A.
    `
      mockUp survey 2 [P2]
      fabricate contract 0 [away] | calendar 480
      dryFit fit 3 [P2]
      finish contract 0 [away] | calendar 288
      probe survey 1.6
      overDrill drill 2.4 [D]
      fill fill 1.6 [D T10] | chem 16 ≥10
        Epoxy thickened for filling: 179.95 mL
        Tape under the holes: 16 pieces
      reDrill drill 1.28
      plate fit 2.4 [S]
        Backing plate 164 × 117.1 × 6 mm: 4 pieces
      isolate fit 0.6
        Isolating sleeve and washers: 14 pieces
      count survey 0.2
        Panel bolt, nut, washers: 14 pieces in 2
      hoist fit 2 [P3 D]
      bed bed 1.6 [P2 D]
        Bolt M8 × 50 mm: 18 pieces in 4
        Nut M8: 18 pieces in 4
        Washer M8: 36 pieces in 4
        Butyl tape: 2.51 m in 1
      fuse wire 0.5 [@electrics]
        Fuse 20 A with holder: 2 pieces
      cable wire 0.8 [@electrics]
        Solar cable 10 mm², two cores: 8.8 m
        Deck gland: 1 pieces
      volts test 0.3 [@electrics]
      hose test 1.2 [P2]
      ${takenUp(0.72)}
      log label 0.1`,
  ],
  [
    'recover-lining',
    {},
    // 4 × 1.1 × 0.5 + 2 × 0.8 × 0.4 = 2.84 m². With 100 mm to wrap 1.2 × 0.6 and 0.9 × 0.5: on 1.4 m two rows of two
    // at 1.2 and one of two at 0.9: 3.3 m × 1.03. Glue both faces at 4 m²/L.
    `
      lift strip 2.4
      scrape strip 2.27 [S]
      plan survey 0.5 [S]
      glue fit 1.99 [S]
        Covering, 1.4 m wide: 3.4 m
        Contact glue, both faces: 1.42 L in 2
      back close 0.6`,
  ],
  [
    'varnish-wood',
    { school: 'epoxy', where: 'below' },
    // 3/9/0.85 and 3/12/0.85
    `
      strip strip 1.8
      sand grind 1.2 [D]
        Paper 120 and 180: 6 sheets
      ${[1, 2, 3]
        .map(
          (n) => `seal.${n} prime 0.45 [D T12] | chem 8 ≥12 | within 48
        Clear epoxy, mixed: 0.39 L`,
        )
        .join('\n      ')}
      key grind 1.2 [D]
      varnish.1 varnish 0.45 [D T10] | chem 24 ≥10
        Varnish with sun filter: 0.29 L
        Paper 320: 3 sheets
      varnish.2 varnish 0.45 [D T10] | chem 24 ≥10
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
      lead contract 0 [away] | calendar 720
      collect fit 1 [away]
      check test 0.5`,
  ],
  [
    'engine-recommission',
    {},
    `
      photograph label 0.5
      cooling fit 2 [@mechanics]
        Impeller and gasket: 1 pieces
        Engine anode: 1 pieces
      fuel fit 2 [@mechanics L:fuel]
        Fuel filter: 2 pieces
      oil fit 1 [@mechanics]
        Engine oil: 6 L in 2
        Oil filter: 1 pieces
        Belt: 2 pieces
      seaCock plumb 0.2 [@mechanics A]
      start test 1.5 [P2 @mechanics A]
      look test 0.5 [@mechanics A]
      trial test 3 [P2 F G]`,
  ],
  [
    'strip-out',
    {},
    `
      photograph label 0.4
      wires label 1 [@electrics]
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
      pickle plumb 1 [@mechanics]
        Antifreeze: 10 L in 2
      air fit 0.5
        Moisture trap: 3 pieces
      cover fit 3 [P2]
        Cover: 75.24 m²
      battery test 0.5 [@electrics] | calendar 672
      visit.1 survey 0.5 | calendar 672
      visit.2 survey 0.5 | calendar 672`,
  ],
  [
    'water-lip',
    {},
    // Legs 30 + 25 less 2 × 5 − π/2 × 3.8 = 4.03 → 50.97 mm. Mitred (2 + 8 × 0.025) × 1.1; 22 fastenings; bead 56.5 mL → 1
    `
      measure survey 0.4
      list survey 0.3
      bend cut 1.2 [S]
        Sheet strip 51 × 2 mm: 2.42 m
      dryFit fit 0.8
      drain plumb 0.6
        Drain, hose tail and clips: 1 pieces
      bed bed 0.8 [D] | moisture 24
        Rivet or bolt: 22 pieces in 3
        Sealant: 1 cartridges in 1
      hose test 0.3 [P2]`,
  ],
  [
    'water-lip',
    { corners: 'folded' },
    // Upright outside 604 × 404: corners π/2 × 4 = 6.28, 2 × 594 + 2 × 394 + 25.13 = 2001.13 mm, × 1.1 of strip. The first
    // bend 297 from the end, then 6.28 + 394, 6.28 + 594, 6.28 + 394 on.
    `
      measure survey 0.4
      list survey 0.3
      fold cut 1.2 [S]
        Sheet strip 51 × 2 mm: 2.2 m
      dryFit fit 0.8
      drain plumb 0.6
        Drain, hose tail and clips: 1 pieces
      bed bed 0.8 [D] | moisture 24
        Rivet or bolt: 22 pieces in 3
        Sealant: 1 cartridges in 1
      hose test 0.3 [P2]`,
  ],
  [
    'paint-surface',
    { areaM2: 10, old: 'soft', school: 'twoPart', tread: 'yes' },
    // 50 % at 50 µm: 10 m²/L, 10/10/0.85 = 1.18 L a coat. Soft under two-part: off, two primers. Tape 22 m → a roll of 50.
    `
      rub test 0.2
      wash clean 0.5 [D]
      strip strip 5
      fair fair 1.5 [D T10] | chem 12 ≥10
        Fairing filler: 1 L
      key grind 2 [D]
        Paper 220 and 320: 20 sheets
      mask fit 0.4
        Fine-line masking tape: 22 m in 1
      primer.1 prime 1 [D T10] | chem 12 ≥10 | within 72
        Primer for that paint: 1.18 L
      primer.2 prime 1 [D T10] | chem 12 ≥10 | within 72
        Primer for that paint: 1.18 L
      twoPart.1 paint 1.5 [P1-2 D T12] | chem 16 ≥12 | within 48
        Two-part paint, mixed: 1.18 L
      twoPart.2 paint 1.5 [P1-2 D T12] | chem 16 ≥12 | within 48
        Two-part paint, mixed: 1.18 L
        Non-skid grit: 1.5 kg
      twoPart.3 paint 1.5 [P1-2 D T12] | chem 16 ≥12 | within 48
        Two-part paint, mixed: 1.18 L
      pull finish 0.3`,
  ],
  [
    'bare-metal',
    {},
    // Both windows shut after four hours. Primer 2/7/0.85, top 2/10/0.85.
    `
      degrease clean 0.3
      bare grind 1.6 [D] | within 4
        Discs and paper: 8 sheets
      wash clean 0.6 [D T10] | within 4
        Etching wash for that metal: 0.3 L
      primer.1 prime 0.24 [D T10] | chem 8 ≥10 | within 48
        Epoxy primer for metal: 0.34 L
      primer.2 prime 0.24 [D T10] | chem 8 ≥10 | within 48
        Epoxy primer for metal: 0.34 L
      top.1 paint 0.24 [D T10] | chem 16 ≥10 | within 48
        Top coat: 0.24 L
      top.2 paint 0.24 [D T10] | chem 16 ≥10 | within 48
        Top coat: 0.24 L`,
  ],
  [
    'seams',
    {},
    // 5 × 6 mm × 40 m = 1200 mL × 1.15 ÷ 290 = 4.8 → 5.
    `
      walk survey 0.6
      rake strip 4
      fasten fit 1
        Fastenings and bungs: 11 pieces
        Bedding for bungs: 20 mL
      dry setUp 0 | dry 72
      reading test 0.2
      tape prime 2.4 [D T8] | chem 1 ≥8 | within 8
        Bond breaker tape: 42 m
        Primer for seam rubber: 160 mL
      rubber bed 3.2 [P1-2 D T8] | moisture 120
        Seam rubber: 5 cartridges in 5
      sand finish 2.4 [D]
      hose test 0.5 [P2]`,
  ],
  [
    'crack-in-laminate',
    { sides: 'both' },
    // 6/0.567 → 11 plies in 3 sessions; taper 72, steps of 6.545: Σ(150 + 13.09k)(40 + 13.09k) = 0.3169 m². Ground
    // 294 × 184 = 0.0541 m². A session 0.3 + (1.65 + 0.317)/3.
    `
      why survey 0.5
      taper grind 0.48 [D]
      backer laminate 0.6 [T12] | chem 12 ≥12
        Backer or mould sheet: 0.01 m²
        Epoxy, mixed: 0.1 kg
      plies.1 laminate 0.96 [D T12] | chem 16 ≥12 | within 72
        Biaxial 450 g/m², stitched: 0.12 m²
        Epoxy, mixed: 0.05 kg
        Peel ply: 0.07 m²
      plies.2 laminate 0.96 [D T12] | chem 16 ≥12 | within 72
        Biaxial 450 g/m², stitched: 0.12 m²
        Epoxy, mixed: 0.05 kg
        Peel ply: 0.07 m²
      plies.3 laminate 0.96 [D T12] | chem 16 ≥12 | within 72
        Biaxial 450 g/m², stitched: 0.12 m²
        Epoxy, mixed: 0.05 kg
        Peel ply: 0.07 m²
      inside laminate 0.6 [T12] | chem 16 ≥12
        Biaxial 450 g/m², stitched: 0.12 m²
        Epoxy, mixed: 0.05 kg
      tap test 0.1
      fair fair 0.35 [D T10] | chem 12 ≥10
        Fairing filler: 0.04 L
      seal.1 paint 0.21 [D T10] | chem 16 ≥10 | within 48
        Primer or gelcoat to match: 0.01 L
      seal.2 paint 0.21 [D T10] | chem 16 ≥10 | within 48
        Primer or gelcoat to match: 0.01 L`,
  ],
  [
    'renew-structure',
    {},
    // Joint 3 m: fillet 15²(1 − π/4)·3·1.25 = 181 mL; tabs (123.6 + 147.6 + 171.6)·3 m·1.1 = 1.461 m². Bed 1.5·18·4·1.25.
    `
      support setUp 0.8
      pattern survey 0.4
      cut cut 1.2
      grind grind 0.75
      make fit 1.25 [S]
        Stuff for the pieces, 80 × 18 mm: 1.65 m
      seal prime 0.2 [T10] | chem 8 ≥10 | within 48
        Epoxy, mixed, to seal: 0.07 kg
      bed laminate 0.9 [P2 T12] | chem 12 ≥12
        Thick bedding mix: 135 mL
      tab laminate 2.85 [T12] | chem 16 ≥12
        Fillet mix: 181.07 mL
        Biaxial 450 g/m², stitched: 1.46 m²
        Epoxy, mixed: 0.66 kg
        Peel ply: 0.49 m²
      tap test 0.3
      paint paint 0.6 [T10] | chem 16 ≥10
        Bilge paint: 0.03 L`,
  ],
  [
    'tank',
    { voidL: 30 },
    // Clips 4 × 4 = 16 → 18. Foam 30/15·1.15 = 2.3 L.
    `
      empty plumb 1 | calendar 24
      wayIn strip 1.8
      mark label 0.4
      out move 1.75 [P2-3]
      look survey 1
      pressure test 0.8
      bedIn fit 2.25 [P2-3]
        Straps and chocks: 4 pieces
        Rubber strip: 4 m
      hoses plumb 0.8
        Hose clip, stainless: 18 pieces
        Hose for that stuff: 2.4 m
      fill test 0.5 | calendar 24
      foam fill 1 [T12] | chem 12 ≥12
        Two-part closed-cell foam: 2.3 L in 3
      back close 1.2`,
  ],
  [
    'small-fittings',
    {},
    // Over 12, 16 deep: (π/4·12²·16 + π(11² − 6²)·12)·1.25 = 6.267 mL × 24. Bolt 26 + 3.2 + 5.2 + 2 = 36.4 → 40; 12 → 14.
    `
      mark survey 0.6
      drill drill 2.88 [D]
      fill fill 1.92 [D T10] | chem 16 ≥10
        Epoxy thickened for filling: 150.42 mL
      again drill 1.44
      dryFit fit 0.48
      bed bed 1.26 [P2 D]
        Butyl tape: 2.07 m in 1
        Bolt M6 × 40 mm: 14 pieces
        Screw 6 mm: 14 pieces
      hose test 0.3 [P2]
      takeUp fit 0.22 [G]
      log label 0.1`,
  ],
  [
    'new-shaft-line',
    {},
    // √(2400² + 320²) = 2421 mm. Two bearers: 3 h, 400 mL, 1.2 m², 0.8 kg each.
    `
      measure survey 1.5 [A]
      stretch survey 1.5 [P2 A]
      sign test 0.8 [P2 A]
      order contract 0 [away] | calendar 720
        Shaft 30 mm, to drawing: 1 pieces
        Stern tube and gland for 30 mm: 1 pieces
        Strut and bearing for 30 mm: 1 pieces
      bearers laminate 6 [P2 A T12] | chem 24 ≥12
        Thick bedding mix: 800 mL
        Biaxial 600 g/m², stitched: 2.4 m²
        Epoxy, mixed: 1.6 kg
      tube laminate 3 [P2 A T12] | chem 24 ≥12
        Thick bedding mix: 500 mL
        Biaxial 600 g/m², stitched: 0.5 m²
        Epoxy, mixed: 0.3 kg
      strut bed 2.5 [P2 A] | moisture 168
        Sealant for below the waterline: 1 cartridges in 1
        Strut bolts and plate: 1 pieces
      engine fit 4 [P2 @mechanics A]
      gland fit 2 [@mechanics A]
        Packing or seal kit: 1 pieces
      rough test 1 [A]
      watch test 0.2 [P2 W] | calendar 24
      final test 2 [@mechanics F G]`,
  ],
]

describe('every recipe, one example by hand', () => {
  it('has one for each', () => {
    expect([...new Set(examples.map(([key]) => key))]).toEqual(
      recipeBook.map((recipe) => recipe.key),
    )
  })
  it.each(examples)('%s', (key, given, expected) =>
    expect(asLines(worked(key, given))).toEqual(lines(expected)),
  )
})
