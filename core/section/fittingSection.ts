/** A section through one bolt of a fitting, mm, true to scale; y downwards, the top of the deck at 0. */
import type { Drawing, Shape, Stuff } from '../bench/drawing'
import { box } from '../bench/parts'
import type { FittingMake } from './fittingMake'

/** Laminate beside what is drawn, and bolt that stands out above and below, mm. */
const beside = 14
const [headHigh, headWide, nutHigh] = [0.65, 1.7, 0.8]
/** How far into a bare core water is drawn: into as much as is made solid now, at least so much. */
const leastWetMm = 8

/** Half of what is shown of the deck, mm: the same for two sections that are compared. */
export const halfShownMm = (...makes: readonly FittingMake[]): number =>
  Math.max(...makes.map((one) => one.solid?.toMm ?? one.holeMm / 2 + leastWetMm)) + beside

/**
 * Lays the section out.
 * @param half see halfShownMm
 * @param isWet the core is bare and took in water
 */
export function fittingSection(make: FittingMake, half: number, isWet = false): Drawing {
  const { boltMm, holeMm, skinsMm, coreMm, solid } = make
  const [skin, hole] = [skinsMm / 2, holeMm / 2]
  const thick = skinsMm + coreMm
  const [base, plate] = [make.baseMm ?? 0, make.plateMm ?? 0]
  const both = (from: number, to: number, y: number, high: number, fill: Stuff): Shape[] =>
    to <= from || high <= 0
      ? []
      : [box(from, y, to - from, high, { fill }), box(-to, y, to - from, high, { fill })]
  const drilled = solid ? solid.drilledMm / 2 : hole
  const coreFrom = solid?.toMm ?? hole
  const wetTo = isWet && !solid ? Math.max(leastWetMm, (half - beside - hole) * 0.8) + hole : hole
  const footing = Math.min(half * 0.8, Math.max(2.2 * boltMm, half * 0.55))
  const shapes: Shape[] = [
    ...both(drilled, half, 0, skin, 'glass'),
    ...both(hole, drilled, 0, skin, 'resin'),
    ...both(Math.max(coreFrom, wetTo), half, skin, coreMm, 'core'),
    ...both(hole, coreFrom, skin, coreMm, 'resin'),
    ...both(hole, wetTo, skin, coreMm, 'waste'),
    ...both(hole, half, skin + coreMm, skin, 'glass'),
    ...(base > 0 ? [box(-footing, -base, 2 * footing, base, { fill: 'metal' })] : []),
    ...(plate > 0 ? [box(-footing, thick, 2 * footing, plate, { fill: 'metal' })] : []),
    box(-boltMm / 2, -base, boltMm, base + thick + plate + nutHigh * boltMm * 1.4, {
      fill: 'metal',
    }),
    box(-boltMm * headWide * 0.5, -base - headHigh * boltMm, boltMm * headWide, headHigh * boltMm, {
      fill: 'metal',
    }),
    box(-boltMm * headWide * 0.5, thick + plate, boltMm * headWide, nutHigh * boltMm, {
      fill: 'metal',
    }),
  ]
  return { shapes, inMm: true, said: sayMake(make) }
}

const mm = (length: number): string => `${Number(length.toFixed(1))} mm`

/** What the section shows, from the top. */
export function sayMake({ boltMm, skinsMm, coreMm, solid, baseMm, plateMm }: FittingMake): string {
  const filled = solid
    ? `solid to ${mm(solid.toMm)} from the middle of the bolt`
    : 'bare up to the hole'
  return [
    ...(baseMm === null ? [] : [`base ${mm(baseMm)}`]),
    `skins ${mm(skinsMm)} together`,
    `core ${mm(coreMm)}, ${filled}`,
    ...(plateMm === null ? [] : [`plate ${mm(plateMm)}`]),
    `bolt M${boltMm}`,
  ].join('; ')
}
