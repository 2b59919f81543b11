/** A trade's split tally: what was agreed above, what is billed below, line by line, and where the halves do not meet. */
import type { TradeAccount } from './tradeAccount'

interface TallyLine {
  readonly key: string
  readonly label: string
  /** 'quote': in the price; 'change': agreed later; 'rest': of the price, named by no line; 'extra': nobody agreed to it. */
  readonly kind: 'quote' | 'change' | 'rest' | 'extra'
  readonly agreedMinor: number
  /** Null: no bill names it. */
  readonly billedMinor: number | null
}

export interface Tally {
  readonly lines: readonly TallyLine[]
  /** Billed and named by no line; less than 0: lines name more than the bills. */
  readonly unnamedMinor: number
}

/** Agreed halves add up to all that is agreed; billed ones, with what no line names, to all that is billed. */
export function tallyOf({ booking, items, agreedMinor, billedMinor }: TradeAccount): Tally {
  const lines = items.flatMap((one): TallyLine[] => {
    const common = { key: one.id, billedMinor: one.invoiceMinor }
    if (one.answer === 'taken')
      return [
        {
          ...common,
          label: one.proposal || one.what,
          kind: 'change',
          agreedMinor: one.proposalMinor ?? 0,
        },
      ]
    if (one.quoteMinor !== null)
      return [{ ...common, label: one.what, kind: 'quote', agreedMinor: one.quoteMinor }]
    return one.invoiceMinor === null
      ? []
      : [{ ...common, label: one.what, kind: 'extra', agreedMinor: 0 }]
  })
  const named = lines.reduce((sum, one) => sum + one.agreedMinor, 0)
  const rest = agreedMinor - named
  const billedNamed = lines.reduce((sum, one) => sum + (one.billedMinor ?? 0), 0)
  return {
    lines: [
      ...lines.filter((one) => one.kind === 'quote'),
      ...(rest > 0
        ? [
            {
              key: `rest ${booking.id}`,
              label: lines.some((one) => one.kind === 'quote')
                ? 'The rest of the quote'
                : 'The quote',
              kind: 'rest' as const,
              agreedMinor: rest,
              billedMinor: null,
            },
          ]
        : []),
      ...lines.filter((one) => one.kind === 'change'),
      ...lines.filter((one) => one.kind === 'extra'),
    ],
    unnamedMinor: billedMinor - billedNamed,
  }
}
