/** What the lines of an order cost with their share of freight and tax, to the smallest coin. */
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { inOrder } from '../model/refit'
import { splitMoney } from '../money/money'
import { inOwn } from '../money/rate'

type Purchase = Row<'purchase'>
type Line = Row<'purchaseLine'>

interface LandedLine {
  readonly line: Line
  /** With freight and tax, in the order's currency; null: the line has no price yet. */
  readonly landedMinor: number | null
  /** The same in the refit's currency. */
  readonly ownMinor: number | null
}

export interface LandedOrder {
  readonly lines: readonly LandedLine[]
  /** Of lines that have a price. */
  readonly goodsMinor: number
  /** Goods, freight and tax in the order's currency: its lines add up to it, where all have a price. */
  readonly totalMinor: number
  readonly ownTotalMinor: number
  /** Lines without a price. */
  readonly unpriced: number
}

/**
 * Freight and tax shared out by price, largest remainder first; where no line costs anything, evenly. The whole is
 * changed into the refit's currency once and shared out again, so that both columns add up.
 */
export function landed(
  rows: Pick<RefitRows, 'purchaseLine'>,
  purchase: Purchase,
  own: string,
): LandedOrder {
  const lines = inOrder(rows.purchaseLine.filter((line) => line.purchaseId === purchase.id))
  const priced = lines.filter((line) => line.priceMinor !== null)
  const prices = priced.map((line) => line.priceMinor ?? 0)
  const goodsMinor = prices.reduce((sum, price) => sum + price, 0)
  const weights = goodsMinor > 0 ? prices : prices.map(() => 1)
  const share = (minor: number): number[] =>
    weights.length === 0 ? [] : splitMoney(minor, weights)
  const [freight, tax] = [share(purchase.freightMinor), share(purchase.taxMinor)]
  const totals = prices.map((price, at) => price + (freight[at] ?? 0) + (tax[at] ?? 0))
  const totalMinor = goodsMinor + purchase.freightMinor + purchase.taxMinor
  const ownTotalMinor = inOwn(totalMinor, purchase, own)
  const sum = totals.reduce((all, one) => all + one, 0)
  const ownShares = sum > 0 ? splitMoney(inOwn(sum, purchase, own), totals) : totals.map(() => 0)
  const at = new Map(priced.map((line, index) => [line.id, index]))
  return {
    lines: lines.map((line) => {
      const index = at.get(line.id)
      return {
        line,
        landedMinor: index === undefined ? null : (totals[index] ?? 0),
        ownMinor: index === undefined ? null : (ownShares[index] ?? 0),
      }
    }),
    goodsMinor,
    totalMinor,
    ownTotalMinor,
    unpriced: lines.length - priced.length,
  }
}
