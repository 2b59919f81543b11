/** Every sum that was paid or promised, a line each: what all accounts, months and totals are added up from. */
import type { Job, Part, Row } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Account, SpendKind } from '../model/words'
import { landed } from '../stores/landed'
import { inOrderOfDays } from './inOrderOfDays'
import { partCostMinor } from './jobCost'
import { splitMoney } from './money'
import { inOwn } from './rate'
import { tradeAccounts } from './tradeAccount'
import type { TradeAccount } from './tradeAccount'
import { yardAccounts } from './yardMeter'

/** Where money belongs; a system only with account 'system'. */
interface Place {
  readonly account: Account
  readonly systemId: string | null
}

export interface MoneyLine extends Place {
  readonly key: string
  /** Where it is written down. */
  readonly from: 'order' | 'part' | 'trade' | 'spend' | 'yard'
  readonly rowId: string
  /** False: ordered, booked or run up, and still owed. */
  readonly isSpent: boolean
  /** Civil date it was paid, or is due; null: nobody knows. */
  readonly on: string | null
  readonly what: string
  readonly kind: SpendKind
  /** In the refit's currency; less than 0: money back. */
  readonly minor: number
  /** What of it was planned: its guess; 0 for found work, which no plan had. */
  readonly plannedMinor: number
  readonly jobId: string | null
}

const accountOfKind: Readonly<Record<SpendKind, Account>> = {
  part: 'other',
  trade: 'other',
  yard: 'yard',
  tool: 'tools',
  travel: 'travel',
  lodging: 'travel',
  other: 'other',
}

/** What lines are made with: jobs, and where money of a job or a kind belongs. */
interface Ledger {
  readonly rows: RefitRows
  readonly own: string
  readonly jobs: ReadonlyMap<string, Job>
  readonly steps: ReadonlyMap<string, Row<'step'>>
  readonly trades: readonly TradeAccount[]
  readonly placeOf: (jobId: string | null, systemId: string | null, kind: SpendKind) => Place
  /** The sum that was planned, nothing for found work. */
  readonly planned: (jobId: string | null, minor: number) => number
}

function ledgerOf(rows: RefitRows, trades: readonly TradeAccount[]): Ledger {
  const jobs = byId(rows.job)
  return {
    rows,
    own: rows.refit[0]?.currency ?? 'EUR',
    jobs,
    steps: byId(rows.step),
    trades,
    placeOf: (jobId, systemId, kind) => {
      const system = systemId ?? jobs.get(jobId ?? '')?.systemId ?? null
      return system === null
        ? { account: accountOfKind[kind], systemId: null }
        : { account: 'system', systemId: system }
    },
    planned: (jobId, minor) => (isFoundJob(jobs.get(jobId ?? '')) ? 0 : minor),
  }
}

/** A job that came up while another was being done: nobody planned it. */
export const isFoundJob = (job: Pick<Job, 'parentJobId'> | undefined): boolean =>
  job !== undefined && job.parentJobId !== null

/** Whose job a part is. */
export const jobOfPart = (
  part: Pick<Part, 'jobId' | 'neededByStepId'>,
  steps: ReadonlyMap<string, Row<'step'>>,
): string | null => part.jobId ?? steps.get(part.neededByStepId ?? '')?.jobId ?? null

function orderLines(ledger: Ledger): MoneyLine[] {
  const { rows, own, steps } = ledger
  const wants = groupBy(rows.lineWant, (one) => one.lineId)
  const parts = byId(rows.part)
  return rows.purchase.flatMap((purchase): MoneyLine[] => {
    if (purchase.orderedOn === null) return []
    const isSpent = purchase.paidOn !== null
    const common = {
      from: 'order' as const,
      rowId: purchase.id,
      isSpent,
      on: purchase.paidOn ?? purchase.dueOn,
      kind: 'part' as const,
    }
    const order = landed(rows, purchase, own)
    const lines = order.lines.flatMap(({ line, ownMinor }): MoneyLine[] => {
      if (ownMinor === null) return []
      const wanting = (wants.get(line.id) ?? []).flatMap((one) => parts.get(one.partId) ?? [])
      const byJob = [...groupBy(wanting, (part) => jobOfPart(part, steps) ?? '')]
      const weights = byJob.map(([, some]) => weightOf(some))
      const isEven = weights.some((one) => one === 0)
      const shares =
        byJob.length === 0
          ? [ownMinor]
          : splitMoney(ownMinor, isEven ? weights.map(() => 1) : weights)
      return (byJob.length === 0 ? [['', []] as const] : byJob).map(([job, some], at) => {
        const jobId = job === '' ? null : job
        const minor = shares[at] ?? 0
        const guess = some.reduce((sum, part) => sum + partCostMinor(part), 0)
        return {
          ...common,
          ...ledger.placeOf(jobId, null, 'part'),
          key: `order ${line.id} ${job}`,
          what: line.name,
          minor,
          plannedMinor: ledger.planned(jobId, guess > 0 ? guess : minor),
          jobId,
        }
      })
    })
    // Freight and tax of an order whose lines have no price yet belong to nobody.
    const rest = order.ownTotalMinor - lines.reduce((sum, one) => sum + one.minor, 0)
    return rest === 0
      ? lines
      : [
          ...lines,
          {
            ...common,
            account: 'other',
            systemId: null,
            key: `order ${purchase.id} rest`,
            what: `Freight and tax of order ${purchase.number}`,
            minor: rest,
            plannedMinor: rest,
            jobId: null,
          },
        ]
  })
}

const weightOf = (parts: readonly Part[]): number =>
  parts.reduce((sum, part) => sum + partCostMinor(part), 0)

/** Parts that are here, or promised, by no order that is written down. */
function looseParts({ rows, steps, placeOf, planned }: Ledger): MoneyLine[] {
  const ordered = new Set(rows.lineWant.map((one) => one.partId))
  return rows.part.flatMap((part): MoneyLine[] => {
    const minor = partCostMinor(part)
    const isSpent = part.state === 'arrived' || part.state === 'fitted'
    if (minor === 0 || ordered.has(part.id) || !(isSpent || part.state === 'ordered')) return []
    const jobId = jobOfPart(part, steps)
    return [
      {
        ...placeOf(jobId, null, 'part'),
        key: `part ${part.id}`,
        from: 'part',
        rowId: part.id,
        isSpent,
        on: isSpent ? (part.orderedOn ?? part.arrivesOn) : part.arrivesOn,
        what: part.name,
        kind: 'part',
        minor,
        plannedMinor: planned(jobId, minor),
        jobId,
      },
    ]
  })
}

/** What trades are still to be paid, of what was agreed with them. */
function tradesOwed(ledger: Ledger): MoneyLine[] {
  return ledger.trades.flatMap((one): MoneyLine[] => {
    if (one.owedMinor === 0) return []
    const jobId = ledger.steps.get(one.booking.stepId)?.jobId ?? null
    return [
      {
        ...ledger.placeOf(jobId, null, 'trade'),
        key: `trade ${one.booking.id}`,
        from: 'trade',
        rowId: one.booking.id,
        isSpent: false,
        on: one.booking.to,
        what: one.booking.trade,
        kind: 'trade',
        minor: one.owedMinor,
        plannedMinor: ledger.planned(jobId, one.plannedOf(one.owedMinor)),
        jobId,
      },
    ]
  })
}

/** A sum by its shares: as they are written where they add up to it, as those of one's own currency do. */
function sharesOf(total: number, split: readonly Row<'spendShare'>[]): number[] {
  const minors = split.map((one) => one.minor)
  const sum = minors.reduce((all, one) => all + one, 0)
  return sum === total ? minors : splitMoney(total, minors)
}

/** What was paid, by its shares. */
function spends(ledger: Ledger): MoneyLine[] {
  const { rows, own, steps, placeOf, planned } = ledger
  const shares = groupBy(rows.spendShare, (one) => one.spendId)
  const trades = new Map(ledger.trades.map((one) => [one.booking.id, one]))
  return rows.spend.flatMap((spend): MoneyLine[] => {
    const total = inOwn(spend.minor, spend, own) * (spend.isBack ? -1 : 1)
    const trade = trades.get(spend.bookingId ?? '')
    const ofTrade = trade ? (steps.get(trade.booking.stepId)?.jobId ?? null) : null
    const split = inOrder(shares.get(spend.id) ?? [])
    const minors = split.length === 0 ? [total] : sharesOf(total, split)
    return minors.map((minor, at) => {
      const share = split[at]
      const jobId = share ? share.jobId : ofTrade
      const guess = trade ? trade.plannedOf(minor) : minor
      const { account, systemId } = placeOf(jobId, share?.systemId ?? null, spend.kind)
      return {
        account,
        systemId,
        key: `spend ${spend.id} ${share?.id ?? ''}`,
        from: 'spend' as const,
        rowId: spend.id,
        isSpent: true,
        on: spend.on,
        what: spend.what,
        kind: spend.kind,
        minor,
        plannedMinor: planned(jobId, guess),
        jobId,
      }
    })
  })
}

/** What the yard has run up and not asked for yet. `today`: civil date. */
const yardOwed = ({ rows, own }: Ledger, today: string): MoneyLine[] =>
  yardAccounts(rows, own, today).flatMap((one): MoneyLine[] =>
    one.owedMinor === 0
      ? []
      : [
          {
            account: 'yard',
            systemId: null,
            key: `yard ${one.haulOut.id}`,
            from: 'yard',
            rowId: one.haulOut.id,
            isSpent: false,
            on: today,
            what: `${one.haulOut.name}: run up, no bill yet`,
            kind: 'yard',
            minor: one.owedMinor,
            plannedMinor: one.owedMinor,
            jobId: null,
          },
        ],
  )

/** By the row a line is of: its key is put together, and dear to compare. */
const byRow = (a: MoneyLine, b: MoneyLine): number =>
  a.rowId < b.rowId ? -1 : a.rowId > b.rowId ? 1 : a.key < b.key ? -1 : 1

/** Every line, those with a day first by day. `today`: civil date; `trades`: of the same rows. */
export function moneyLines(
  rows: RefitRows,
  today: string,
  trades: readonly TradeAccount[] = tradeAccounts(rows),
): MoneyLine[] {
  const ledger = ledgerOf(rows, trades)
  const lines = [
    ...orderLines(ledger),
    ...looseParts(ledger),
    ...tradesOwed(ledger),
    ...spends(ledger),
    ...yardOwed(ledger, today),
  ]
  return inOrderOfDays(lines, byRow)
}

/** What lines add up to, minor units. */
export const sumOf = (lines: readonly MoneyLine[]): number =>
  lines.reduce((sum, one) => sum + one.minor, 0)
