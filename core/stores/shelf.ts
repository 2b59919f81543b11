/** What lies on the shelf: moving it, what is low, what goes off. */
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { KeptAt } from '../model/words'
import { accepted, refused } from '../result'
import type { Result } from '../result'
import { addDays } from '../time/civil'

type Lot = Row<'stock'>

const tidy = (amount: number): number => Math.round(amount * 1e6) / 1e6

/** So much of a lot taken to another place: the lot there grows, or there is a new one. Refused: more than there is. */
export function moveLot(
  rows: Pick<RefitRows, 'stock'>,
  lot: Lot,
  amount: number,
  to: KeptAt,
  newId: () => string,
): Result<ChangeItem[]> {
  if (!(amount > 0)) return refused('Say how much of it goes.')
  if (amount > lot.quantity) return refused(`There are only ${lot.quantity} ${lot.unit} of it.`)
  if (to === lot.at) return refused('It is there already.')
  const rest = tidy(lot.quantity - amount)
  const same = rows.stock.find(
    (one) =>
      one.at === to &&
      one.name === lot.name &&
      one.unit === lot.unit &&
      one.batch === lot.batch &&
      one.expiresOn === lot.expiresOn &&
      one.size === lot.size,
  )
  if (rest === 0 && !same) return accepted([patchOf('stock', lot, { at: to, bin: '' })])
  const { id: _id, version: _version, ...fields } = lot
  return accepted([
    patchOf('stock', lot, { quantity: rest }),
    same
      ? patchOf('stock', same, { quantity: tidy(same.quantity + amount) })
      : {
          op: 'create',
          entity: 'stock',
          id: newId(),
          patch: {
            ...fields,
            quantity: amount,
            at: to,
            bin: '',
            // Low is asked of all places together, once.
            lowAt: null,
            order: keysAfter(inOrder(rows.stock).at(-1)?.order ?? null, 1)[0] as string,
          },
        },
  ])
}

/** So much of a lot used up. Refused: more than there is. */
export function takeFromLot(lot: Lot, amount: number): Result<ChangeItem[]> {
  if (!(amount > 0)) return refused('Say how much of it is gone.')
  if (amount > lot.quantity) return refused(`There are only ${lot.quantity} ${lot.unit} of it.`)
  return accepted([patchOf('stock', lot, { quantity: tidy(lot.quantity - amount) })])
}

/** Said so many days before something goes off. */
const warnDays = 30

export interface ShelfWarnings {
  /** Goes off within a month, or is off, the first first. */
  readonly goingOff: readonly Lot[]
  /** What is low, with all there is of it. */
  readonly low: readonly { readonly lot: Lot; readonly have: number }[]
}

/** What of the shelf wants a look on a civil date. Empty lots say nothing but that they are low. */
export function shelfWarnings(rows: Pick<RefitRows, 'stock'>, today: string): ShelfWarnings {
  const until = addDays(today, warnDays)
  const have = (lot: Lot) =>
    tidy(
      rows.stock
        .filter((one) => one.name === lot.name && one.unit === lot.unit && !one.isOffcut)
        // What is off does not count as there.
        .filter((one) => one.expiresOn === null || one.expiresOn >= today)
        .reduce((sum, one) => sum + one.quantity, 0),
    )
  return {
    goingOff: rows.stock
      .filter((lot) => lot.quantity > 0 && lot.expiresOn !== null && lot.expiresOn <= until)
      .sort((a, b) => ((a.expiresOn ?? '') < (b.expiresOn ?? '') ? -1 : 1)),
    low: rows.stock.flatMap((lot) =>
      lot.lowAt !== null && have(lot) < lot.lowAt ? [{ lot, have: have(lot) }] : [],
    ),
  }
}
