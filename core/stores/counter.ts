/** What is bought or ordered at the counter, as the changes it takes: one order a shop and day. */
import type { ChangeItem } from '../model/changes'
import { oncePerRow } from '../model/changes'
import { supposing } from '../model/applyChange'
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import { patchOf } from '../model/removal'
import type { KeptAt } from '../model/words'
import type { BuyRow } from './board'
import { arriveItems, lineItems, nextNumber } from './ordering'
import { lineUnit } from './pool'

export interface CounterAsk {
  readonly row: Pick<BuyRow, 'pool' | 'wants'>
  readonly supplierId: string | null
  /** Civil date of the day. */
  readonly on: string
  /** In the unit of the line; more than 0. */
  readonly quantity: number
  /** Of all of it; null: nobody said. */
  readonly priceMinor: number | null
  /** Make of what was taken in its place; '': what was asked for. */
  readonly instead: string
  /** When it comes; null: it is in the bag. */
  readonly dueOn: string | null
  /** Where the bag goes. */
  readonly at: KeptAt
  readonly byId: string | null
}

/** What has a hand, a size or a specification wants a second look with the thing it is for. */
const wantsCheck = ({ wants }: CounterAsk['row']): boolean =>
  wants.some(({ part }) => part.hand !== 'none' || part.size !== '' || part.specification !== '')

/** The order to a shop of a day: all that is bought there goes on it. */
const orderOfDay = (
  rows: Pick<RefitRows, 'purchase'>,
  supplierId: string | null,
  on: string,
): Row<'purchase'> | null =>
  rows.purchase.find(
    (one) =>
      one.supplierId === supplierId &&
      one.orderedOn === on &&
      one.dueOn === null &&
      one.currency === '',
  ) ?? null

/** What a part gets of what is bought: all of it, or the rest of it becomes a part of its own that is still wanted. */
function sharedOut(
  { wants }: Pick<BuyRow, 'wants'>,
  quantity: number,
  newId: () => string,
): { readonly partIds: string[]; readonly split: ChangeItem[] } {
  const partIds: string[] = []
  let left = quantity
  for (const { part } of wants) {
    const perUnit = lineUnit(part.unit)[1]
    const wanted = part.quantity * perUnit
    if (left < tiny) break
    partIds.push(part.id)
    if (wanted > left + tiny) return { partIds, split: splitPart(part, left / perUnit, newId) }
    left -= wanted
  }
  return { partIds, split: [] }
}
const tiny = 1e-6
const tidy = (amount: number): number => Math.round(amount * 1e6) / 1e6

function splitPart(part: Row<'part'>, got: number, newId: () => string): ChangeItem[] {
  const { id: _id, version: _version, ...fields } = part
  return [
    patchOf('part', part, { quantity: tidy(got) }),
    {
      op: 'create',
      entity: 'part',
      id: newId(),
      // Made of it by hand: the recipe knows the other one.
      patch: { ...fields, quantity: tidy(part.quantity - got), recipePart: '', recipeMade: {} },
    },
  ]
}

/** One line more on the order of the day; what is in the bag came with it. */
export function counterItems(rows: RefitRows, ask: CounterAsk, newId: () => string): ChangeItem[] {
  const { row, supplierId, on, quantity, priceMinor, instead, dueOn, at } = ask
  const order = orderOfDay(rows, supplierId, on)
  const purchaseId = order?.id ?? newId()
  const { pool } = row
  const { partIds, split } = sharedOut(row, quantity, newId)
  const opened: ChangeItem[] = [
    ...split,
    ...(order
      ? []
      : [
          {
            op: 'create' as const,
            entity: 'purchase' as const,
            id: purchaseId,
            patch: { number: nextNumber(rows), supplierId, orderedOn: on },
          },
        ]),
  ]
  const before = supposing(rows, opened)
  const line = {
    name: instead === '' ? pool.name : instead,
    quantity,
    unit: pool.unit,
    packSize: pool.packSize,
    priceMinor,
    partIds,
  }
  const items = [
    ...opened,
    ...lineItems(before, purchaseId, { orderedOn: on, dueOn, supplierId }, [line], newId),
  ]
  if (dueOn !== null) return oncePerRow(items)
  const after = supposing(rows, items)
  const made = after.purchaseLine.find((one) => isNew(rows, one))
  if (!made) return oncePerRow(items)
  const isSeen = !wantsCheck(row)
  const arrival = {
    cameOn: on,
    quantity,
    checkedOn: isSeen ? on : null,
    checkedById: isSeen ? ask.byId : null,
    batch: '',
    expiresOn: null,
    faulty: 0,
    fault: '',
    returnBy: null,
    instead,
    at,
    restDueOn: null,
  }
  return oncePerRow([...items, ...arriveItems(after, made, arrival, partIds, newId)])
}

const isNew = (rows: Pick<RefitRows, 'purchaseLine'>, line: Row<'purchaseLine'>): boolean =>
  rows.purchaseLine.every((one) => one.id !== line.id)

/** Another supplier is asked for what one does not have. */
export const askElsewhere = (row: Pick<BuyRow, 'wants'>, supplierId: string): ChangeItem[] =>
  row.wants.map(({ part }) => patchOf('part', part, { supplierId }))

/** It is looked for second-hand until a day; then plan B. */
export const lookUntil = (row: Pick<BuyRow, 'wants'>, until: string, planB: string): ChangeItem[] =>
  row.wants.map(({ part }) => patchOf('part', part, { lookUntil: until, planB }))

/** A line to bring is in the bag, and goes to where the work is. */
export const broughtItems = (line: Row<'bringLine'>, at: KeptAt, on: string): ChangeItem[] => [
  patchOf('bringLine', line, { at, seenOn: on }),
]

/** More of what was low: the lot grows where it lies; what has a batch or an end of its own gets another beside it. */
export function refilledItems(
  rows: Pick<RefitRows, 'stock'>,
  lot: Row<'stock'>,
  quantity: number,
  newId: () => string,
): ChangeItem[] {
  if (lot.batch === '' && lot.expiresOn === null)
    return [patchOf('stock', lot, { quantity: tidy(lot.quantity + quantity) })]
  const order = keysAfter(inOrder(rows.stock).at(-1)?.order ?? null, 1)[0] as string
  const { name, unit, at, bin, size } = lot
  return [
    {
      op: 'create',
      entity: 'stock',
      id: newId(),
      patch: { name, unit, at, bin, size, quantity: tidy(quantity), order },
    },
  ]
}
