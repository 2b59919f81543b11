/** The way round her: where to look first by what she is built of, bow to stern, and what nobody looked at. */
import type { Row, Zone } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { HullMaterial, Strake } from '../model/words'
import { bowToStern } from './marks'

type Walk = Row<'walk'>

/** The walk that is under way, or the last one. Null: nobody has walked her yet. */
export const currentWalk = (walks: readonly Walk[]): Walk | null =>
  [...walks].sort((a, b) =>
    a.startedOn < b.startedOn ? 1 : a.startedOn > b.startedOn ? -1 : 0,
  )[0] ?? null

/** Where each construction goes first. */
const firstBy: Readonly<Record<HullMaterial | 'unknown', readonly Strake[]>> = {
  solidLaminate: ['deck', 'rig', 'underwater', 'below'],
  coredLaminate: ['deck', 'underwater', 'rig', 'below'],
  woodPlanked: ['underwater', 'below', 'deck', 'rig'],
  woodMoulded: ['deck', 'below', 'underwater', 'rig'],
  steel: ['below', 'underwater', 'deck', 'rig'],
  aluminium: ['underwater', 'below', 'deck', 'rig'],
  mixed: ['deck', 'rig', 'below', 'underwater'],
  unknown: ['deck', 'rig', 'below', 'underwater'],
}

/** Why this order, for people. */
export const whyThisOrder: Readonly<Record<HullMaterial | 'unknown', string>> = {
  solidLaminate: 'Laminate on the hull: water gets in from above first, so the deck comes first.',
  coredLaminate: 'Cored hull: the deck, then every hole through the bottom.',
  woodPlanked: 'Planked: seams, garboards and frame heels go first, from outside and then inside.',
  woodMoulded: 'Moulded wood: rain water rots it from the deck down.',
  steel: 'Steel rusts from inside, where water stands: the bilge comes first.',
  aluminium: 'Aluminium is eaten under water and under fittings of other metals: there first.',
  mixed: 'Mixed construction: from above down.',
  unknown:
    'What she is built of is not said: from above down. Say it in Settings for a better order.',
}

/** Places in the order in which they are walked. Places away from the boat and those without a position are left out. */
export function routeOf(
  zones: readonly Zone[],
  hullMaterial: HullMaterial | null,
): readonly Zone[] {
  const order = firstBy[hullMaterial ?? 'unknown']
  return order.flatMap((strake) =>
    bowToStern(zones).filter((zone) => zone.strake === strake && zone.along !== null),
  )
}

/** Places of the route that the walk has not been to, in order. Where nobody walks, every place. */
export function notLookedAt(
  rows: Pick<RefitRows, 'zone' | 'look' | 'refit'>,
  walk: Walk | null,
): readonly Zone[] {
  const seen = new Set(
    rows.look
      .filter((one) => one.walkId === walk?.id && one.outcome !== 'couldNot')
      .map((one) => one.zoneId),
  )
  return routeOf(rows.zone, rows.refit[0]?.hullMaterial ?? null).filter(
    (zone) => !seen.has(zone.id),
  )
}

/** The next place of the walk: not looked at and not tried; null: all were. */
export function nextStop(
  rows: Pick<RefitRows, 'zone' | 'look' | 'refit'>,
  walk: Walk | null,
): Zone | null {
  const tried = new Set(rows.look.filter((one) => one.walkId === walk?.id).map((one) => one.zoneId))
  return notLookedAt(rows, walk).find((zone) => !tried.has(zone.id)) ?? null
}
