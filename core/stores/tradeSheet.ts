/** A trade's sheet: what is agreed by its lines, and what is asked before the invoice is paid. Source: handbook-2 G2. */
import type { Row } from '../model/entities'
import { formatMoney } from '../money/money'
import { counted } from '../units/counted'

type Item = Row<'tradeItem'>

export interface TradeSum {
  /** What was asked for at first and what was taken since; null: no price was said. */
  readonly agreedMinor: number | null
  /** Of proposals that were taken. */
  readonly takenMinor: number
  readonly takenDays: number
  /** Of proposals that nobody answered. */
  readonly openMinor: number
  readonly invoicedMinor: number
  /** A sentence each: what is to be cleared up. */
  readonly questions: readonly string[]
}

/** Lines of one booking in their order. `priceMinor`: the price of the booking; `currency`: the refit's. */
export function tradeSum(
  priceMinor: number | null,
  items: readonly Item[],
  currency: string,
): TradeSum {
  const taken = items.filter((one) => one.answer === 'taken')
  const takenMinor = sumOf(taken, (one) => one.proposalMinor)
  return {
    agreedMinor: priceMinor === null ? null : priceMinor + takenMinor,
    takenMinor,
    takenDays: sumOf(taken, (one) => one.proposalDays),
    openMinor: sumOf(items.filter(isUnanswered), (one) => one.proposalMinor),
    invoicedMinor: sumOf(items, (one) => one.invoiceMinor),
    questions: [
      ...items.flatMap((one) =>
        questionsOf(
          one,
          currency,
          items.some((each) => each.quoteMinor !== null),
        ),
      ),
      ...unlooked(items, currency),
    ],
  }
}

const sumOf = (items: readonly Item[], of: (one: Item) => number | null): number =>
  items.reduce((sum, one) => sum + (of(one) ?? 0), 0)

/** Something is proposed, and nobody said yes or no. */
export const isUnanswered = ({ answer, proposal }: Pick<Item, 'answer' | 'proposal'>): boolean =>
  answer === 'open' || (answer === 'none' && proposal.trim() !== '')

/** Lines of the invoice that nobody looked at, in one sentence. */
function unlooked(items: readonly Item[], currency: string): string[] {
  const open = items.filter((one) => (one.invoiceMinor ?? 0) > 0 && one.done === 'open')
  const [first] = open
  if (!first) return []
  const sum = formatMoney(
    sumOf(open, (one) => one.invoiceMinor),
    currency,
  )
  return [
    open.length === 1
      ? `${sum} is asked for “${first.what}”, and nobody looked at it.`
      : `${sum} is asked for ${counted(open.length, 'line')} that nobody looked at.`,
  ]
}

/** `isItemised`: the lines of the quote are written down, so that a line in none of them stands out. */
function questionsOf(item: Item, currency: string, isItemised: boolean): string[] {
  const money = (minor: number) => formatMoney(minor, currency)
  const invoice = item.invoiceMinor ?? 0
  const isOpen = isUnanswered(item)
  const list: string[] = []
  if (isOpen) list.push(`No answer yet to “${item.proposal}”.`)
  if (item.answer === 'taken' && item.proposalMinor === null)
    list.push(`“${item.proposal}” was taken without a price.`)
  if (invoice > 0 && (item.answer === 'left' || isOpen))
    list.push(`“${item.proposal}” was never agreed, and ${money(invoice)} is asked for it.`)
  if (item.quoteMinor !== null && invoice > item.quoteMinor)
    list.push(
      `“${item.what}” was ${money(item.quoteMinor)} in the quote, and ${money(invoice)} is asked.`,
    )
  if (isItemised && item.quoteMinor === null && item.answer === 'none' && !isOpen && invoice > 0)
    list.push(`${money(invoice)} is asked for “${item.what}”, and nobody agreed to it.`)
  if (item.answer === 'taken' && item.proposalMinor !== null && invoice > item.proposalMinor)
    list.push(
      `“${item.proposal}”: ${money(item.proposalMinor)} was agreed, ${money(invoice)} is asked.`,
    )
  if (item.done === 'wrong') list.push(`“${item.what}” is not right.`)
  return list
}
