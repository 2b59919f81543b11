/** Where a part is: the one answer that kits, the day's list and the road between the places read. */
import type { Row } from '../model/entities'
import type { KeptAt } from '../model/words'

/** unsaid: it is here, and nobody said in which place. order: on its way. nowhere: still to be bought. */
export type ThingAt = KeptAt | 'unsaid' | 'order' | 'nowhere'

/** Parts still to be bought. */
export const isToBuy = ({ state }: Pick<Row<'part'>, 'state'>): boolean =>
  state === 'wanted' || state === 'specified' || state === 'quoted'

/** Where a part is by its state and place. A fitted one is on the boat. */
export function partAt({ state, at }: Pick<Row<'part'>, 'state' | 'at'>): ThingAt {
  if (state === 'ordered') return 'order'
  if (state === 'fitted') return 'boat'
  return state === 'arrived' ? (at ?? 'unsaid') : 'nowhere'
}

/** True for what somebody has to buy or wait for. */
export const isMissing = (at: ThingAt): boolean => at === 'order' || at === 'nowhere'
