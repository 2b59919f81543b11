/** The formulas of core by the names under which recipes call them. All take and give plain numbers. */
import { coatLitres, coatsForFilm, spreadingRateM2PerL } from '../cure/coverage'
import { backingPlateMm } from '../fastening/backingPlate'
import { beadMl, cartridges } from '../fastening/bead'
import { boltLength } from '../fastening/boltLength'
import { fasteningsWithSpares } from '../fastening/count'
import { cableMm2, fuseA } from '../electrics/cable'
import { clearanceMm, washersMm } from '../fastening/threads'
import { flatLengthMm } from '../geometry/bend'
import { bendMarks } from '../geometry/bendMarks'
import type { BendMarks } from '../geometry/bendMarks'
import { underwaterAreaM2 } from '../geometry/underwaterArea'
import { cupPlan } from '../laminate/cupPlan'
import { filletMlPerM } from '../laminate/fillet'
import { foamLiquidL } from '../laminate/foam'
import { patchStack, taperWidthMm } from '../laminate/patchStack'
import { pliesToLevel, plyThicknessMm, resinKgM3, resinKgPerM2 } from '../laminate/ply'
import { sleeveMl } from '../laminate/sleeve'
import { tabbingWidthsMm } from '../laminate/tabbing'
import { postsOnRun } from '../layout/postsOnRun'
import type { PostsOnRun } from '../layout/postsOnRun'
import { rollLengthM } from '../layout/rollLength'
import { equalSpans } from '../layout/spans'

export interface KnownFormula {
  /** What it takes, in order, with units. */
  readonly takes: readonly string[]
  /** What it gives, with its unit. */
  readonly gives: string
  readonly work: (...values: number[]) => number | string
}

const formula = (
  takes: readonly string[],
  gives: string,
  work: (...values: never[]) => number | string,
): KnownFormula => ({ takes, gives, work: work as KnownFormula['work'] })

/** Longest bolt that is stocked; longer is said, never guessed. */
function boltToBuy(sizeMm: number, stackMm: number, washersMm: number): number {
  const { buyMm } = boltLength(sizeMm, { stackMm, washersMm })
  if (buyMm === null)
    throw new RangeError('boltToBuy: no bolt that long is stocked; use threaded rod')
  return buyMm
}

const stackArea = (lengthMm: number, widthMm: number, taperMm: number, plies: number): number =>
  patchStack(lengthMm, widthMm, taperMm, plies, 'largestFirst').reduce(
    (sum, ply) => sum + ply.areaM2,
    0,
  )

const tabbingArea = (lengthM: number, legMm: number, filletMm: number, plies: number): number =>
  tabbingWidthsMm(legMm, filletMm, plies).reduce((sum, one) => sum + (one / 1000) * lengthM, 0)

/** A run with a gate (width 0: none) and two keep-outs (from = to: none). */
function postsOf(
  ...[length, longest, gateAt, gate, from1, to1, from2, to2]: readonly number[]
): PostsOnRun {
  const [a, b] = [gateAt ?? 0, (gateAt ?? 0) + (gate ?? 0)]
  const keepOuts = [
    [from1 ?? 0, to1 ?? 0],
    [from2 ?? 0, to2 ?? 0],
  ] as const
  return postsOnRun(
    length ?? 0,
    longest ?? 0,
    gate ? [a, b] : null,
    keepOuts.filter(([from, to]) => to > from),
  )
}
/** A closed frame with its joint in the middle of a long side, butt to butt. */
const frameOf = (longMm: number, wideMm: number, thickMm: number, radiusMm: number): BendMarks =>
  bendMarks({ longMm, wideMm, thickMm, radiusMm, startMm: 0, lapMm: 0 })
const frame = ['outside mm', 'outside mm', 'bar mm', 'inside radius mm']

const run = [
  'length m',
  'longest m',
  'gate at m',
  'gate m',
  'keep-out from m',
  'to m',
  'keep-out from m',
  'to m',
]

export const knownFormulas: Readonly<Record<string, KnownFormula>> = {
  ceil: formula(['number'], 'next whole number', (a: number) => Math.ceil(a - 1e-9)),
  floor: formula(['number'], 'whole number below', (a: number) => Math.floor(a + 1e-9)),
  min: formula(['number', 'number'], 'the smaller', (a: number, b: number) => Math.min(a, b)),
  max: formula(['number', 'number'], 'the larger', (a: number, b: number) => Math.max(a, b)),
  diagonal: formula(['side', 'side'], 'from corner to corner', (a: number, b: number) =>
    Math.hypot(a, b),
  ),
  circleM: formula(['diameter mm'], 'way round, m', (d: number) => (Math.PI * d) / 1000),
  circleM2: formula(['diameter mm'], 'area, m²', (d: number) => (Math.PI * d * d) / 4e6),
  resinKgPerM2: formula(['cloth g/m²', 'fibre share'], 'resin, kg/m²', resinKgPerM2),
  plyMm: formula(['cloth g/m²', 'fibre share'], 'ply in epoxy, mm', (w: number, share: number) =>
    plyThicknessMm(w, share, resinKgM3.epoxy),
  ),
  pliesToLevel: formula(
    ['level mm', 'ply mm'],
    'plies',
    (level: number, ply: number) => pliesToLevel(level, ply).plies,
  ),
  taperMm: formula(['thickness mm', 'ratio'], 'taper, mm', taperWidthMm),
  stackAreaM2: formula(['length mm', 'width mm', 'taper mm', 'plies'], 'cloth, m²', stackArea),
  tabbingAreaM2: formula(['length m', 'leg mm', 'fillet mm', 'plies'], 'cloth, m²', tabbingArea),
  filletMlPerM: formula(['radius mm'], 'filler, mL/m', filletMlPerM),
  sleeveMl: formula(
    ['hole mm', 'depth mm', 'undercut mm', 'core mm'],
    'thick mix a hole, mL',
    (diameterMm: number, depthMm: number, undercutMm: number, coreMm: number) =>
      sleeveMl({ diameterMm, depthMm, undercutMm, coreMm }),
  ),
  foamLiquidL: formula(['void L', 'growth'], 'liquid, L', foamLiquidL),
  cups: formula(
    ['mix g', 'laying g/h', 'largest cup g', 'pot life h', 'for g'],
    'cups',
    (total: number, rate: number, limit: number, lifeH: number, refMassG: number) =>
      cupPlan(total, rate, limit, { lifeH, refMassG }).cups,
  ),
  beadMl: formula(['bead mm', 'length m'], 'sealant, mL', beadMl),
  cartridges: formula(['sealant mL'], 'cartridges of 290 mL', cartridges),
  boltToBuy: formula(['size mm', 'stack mm', 'washers mm'], 'bolt to buy, mm', boltToBuy),
  washersMm: formula(['size mm', 'washers'], 'washers together, mm', washersMm),
  withSpares: formula(['each', 'fittings'], 'fastenings with spares', fasteningsWithSpares),
  plateLongMm: formula(
    ['footprint mm', 'footprint mm', 'bolts mm', 'bolts mm'],
    'long side, mm',
    (a: number, b: number, c: number, d: number) => Math.max(...backingPlateMm([a, b], [c, d])),
  ),
  plateShortMm: formula(
    ['footprint mm', 'footprint mm', 'bolts mm', 'bolts mm'],
    'short side, mm',
    (a: number, b: number, c: number, d: number) => Math.min(...backingPlateMm([a, b], [c, d])),
  ),
  spreadingRate: formula(['solids %', 'film µm'], 'rate, m²/L', spreadingRateM2PerL),
  coatLitres: formula(
    ['area m²', 'coats', 'rate m²/L'],
    'paint, L',
    (area: number, coats: number, rate: number) => coatLitres(area, coats, rate),
  ),
  coatsForFilm: formula(['film µm', 'a coat µm'], 'coats', coatsForFilm),
  flatMm: formula(
    ['leg mm', 'leg mm', 'angle °', 'inside radius mm', 'sheet mm'],
    'flat width, mm',
    (a: number, b: number, angleDeg: number, radiusMm: number, thicknessMm: number) =>
      flatLengthMm([a, b], [{ angleDeg, radiusMm, thicknessMm, k: 0.4 }]),
  ),
  frameCutMm: formula(
    frame,
    'bar to cut, mm',
    (...[a, b, c, d]: [number, number, number, number]) => frameOf(a, b, c, d).cutMm,
  ),
  frameMarks: formula(
    frame,
    'bends begin, mm from the cut end',
    (...all: [number, number, number, number]) =>
      frameOf(...all)
        .corners.map(({ fromMm }) => Number(fromMm.toFixed(1)))
        .join(' · '),
  ),
  posts: formula(run, 'posts', (...all: number[]) => postsOf(...all).marksM.length),
  largestSpanM: formula(run, 'largest span, m', (...all: number[]) => postsOf(...all).largestM),
  smallestSpanM: formula(run, 'smallest span, m', (...all: number[]) => postsOf(...all).smallestM),
  postMarks: formula(run, 'marks from the datum', (...all: number[]) =>
    postsOf(...all)
      .marksM.map((mark) => Number(mark.toFixed(3)))
      .join(' · '),
  ),
  rollM: formula(
    ['pieces', 'long m', 'wide m', 'pieces', 'long m', 'wide m', 'roll m', 'may turn 1 or 0'],
    'length off the roll, m',
    (...[n1, l1, w1, n2, l2, w2, roll, turn]: number[]) =>
      rollLengthM(
        [
          { count: n1 ?? 0, longM: l1 ?? 0, wideM: w1 ?? 0 },
          { count: n2 ?? 0, longM: l2 ?? 0, wideM: w2 ?? 0 },
        ].filter((piece) => piece.count > 0),
        roll ?? 0,
        turn === 1,
      ),
  ),
  cableMm2: formula(['run m', 'load A', 'volts', 'drop %'], 'cable, mm²', cableMm2),
  fuseA: formula(['load A'], 'fuse, A', fuseA),
  clearanceMm: formula(['size mm'], 'clearance hole, mm', clearanceMm),
  underwaterM2: formula(
    ['k', 'waterline m', 'beam m', 'draught m'],
    'underwater hull, m²',
    underwaterAreaM2,
  ),
  spans: formula(
    ['length m', 'longest m'],
    'equal spans',
    (length: number, longest: number) => equalSpans(length, longest).spans,
  ),
}
