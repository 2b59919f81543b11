/** By how much what was bought came out dearer than it was guessed at. Source: handbook 8. */
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { landed } from '../stores/landed'
import { lineStates } from '../stores/lineState'
import { partCostMinor } from './jobCost'
import { tradeAccounts } from './tradeAccount'
import type { TradeAccount } from './tradeAccount'

/** The ratio until enough lines have closed. */
const ratioBefore = 1.2
const linesNeeded = 3

export interface Overrun {
  /** What the rest of a plan is taken at. */
  readonly ratio: number
  /** Closed lines that were guessed at: paid orders that came whole, trades that came and were billed. */
  readonly lines: number
  readonly guessedMinor: number
  readonly actualMinor: number
  /** How far one line strays from the others, of the logarithm. */
  readonly spread: number
  /** How far the ratio itself may be from what it will be, of the logarithm. */
  readonly ratioSpread: number
}

/** How far a line strays before any has closed, as if so many had said so. Assumed. */
const [spreadBefore, spreadLines] = [0.3, 4]

/** Spread of logarithms about their mean, leaning to 0.3 where they are few. */
function spreadOf(logs: readonly number[]): number {
  const mean = logs.reduce((sum, one) => sum + one, 0) / Math.max(1, logs.length)
  const squares = logs.reduce((sum, one) => sum + (one - mean) ** 2, 0)
  return Math.sqrt((spreadLines * spreadBefore ** 2 + squares) / (spreadLines + logs.length))
}

/** Sums of closed lines against their guesses; 1.2 until three have closed. `trades`: of the same rows. */
export function overrunOf(
  rows: RefitRows,
  trades: readonly TradeAccount[] = tradeAccounts(rows),
): Overrun {
  const own = rows.refit[0]?.currency ?? 'EUR'
  const states = lineStates(rows)
  const wants = groupBy(rows.lineWant, (one) => one.lineId)
  const parts = byId(rows.part)
  let [lines, guessedMinor, actualMinor, guessedSquared] = [0, 0, 0, 0]
  const logs: number[] = []
  const close = (guess: number, actual: number) => {
    if (guess <= 0 || actual <= 0) return
    lines++
    guessedMinor += guess
    actualMinor += actual
    guessedSquared += guess ** 2
    logs.push(Math.log(actual / guess))
  }
  for (const purchase of rows.purchase) {
    if (purchase.paidOn === null) continue
    for (const { line, ownMinor } of landed(rows, purchase, own).lines) {
      if (ownMinor === null || (states.get(line.id)?.toCome ?? 1) > 0) continue
      const wanting = (wants.get(line.id) ?? []).flatMap((one) => parts.get(one.partId) ?? [])
      // A line on which something was never guessed at says nothing about guesses.
      if (wanting.some((part) => part.priceMinor === null)) continue
      close(
        wanting.reduce((sum, part) => sum + partCostMinor(part), 0),
        ownMinor,
      )
    }
  }
  for (const { booking, billedMinor } of trades)
    if (booking.state === 'came') close(booking.priceMinor ?? 0, billedMinor)
  const ratio = lines >= linesNeeded ? actualMinor / guessedMinor : ratioBefore
  const spread = spreadOf(logs)
  // Lines that differ in size say less than as many equal ones.
  const says = lines >= linesNeeded ? guessedMinor ** 2 / guessedSquared : spreadLines
  const ratioSpread = spread / Math.sqrt(says)
  return { ratio, lines, guessedMinor, actualMinor, spread, ratioSpread }
}
