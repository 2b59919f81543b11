/** What a run costs in the end: prices that nobody has in writing, found work, and days in the yard, drawn. */
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { jobOfPart } from '../money/lines'
import type { Money } from '../money/accounts'
import type { Random } from '../random'
import type { Driver } from './draws'
import { normal } from './normal'

/** Lines of an account that nobody has a price in writing for, by the account's key. */
function openLines(rows: Pick<RefitRows, 'part' | 'tradeBooking' | 'job' | 'step'>) {
  const [jobs, steps] = [byId(rows.job), byId(rows.step)]
  const open = [
    ...rows.part
      .filter((one) => one.state === 'wanted' || one.state === 'specified')
      .map((one) => jobOfPart(one, steps)),
    ...rows.tradeBooking
      .filter((one) => one.state === 'asked')
      .map((one) => steps.get(one.stepId)?.jobId ?? null),
  ]
  return groupBy(open, (jobId): string => `system ${jobs.get(jobId ?? '')?.systemId ?? ''}`)
}

interface CostDraws {
  readonly drivers: readonly Driver[]
  /** Whole cost of a run, minor units. `yardToComeMinor`: from tomorrow on, by the run's own dates. */
  readonly draw: (
    random: Random,
    foundFactor: number,
    yardToComeMinor: number,
  ) => { readonly minor: number; readonly values: readonly number[] }
}

/**
 * Each account's rest of the plan × the overrun so far × how its own prices come out: log-normal, spread as far as
 * closed lines strayed, ÷ √lines still open where no sum was typed for all of it; what is owed is the least. Found work × what is found in the run.
 */
export function costDraws(rows: RefitRows, money: Money): CostDraws {
  const { spread, lines } = money.overrun
  const ratioDoubt = spread / Math.sqrt(4 + lines)
  const open = openLines(rows)
  const priced = money.accounts
    .filter((one) => one.account !== 'yard' && (one.planLeftMinor > 0 || one.foundOpenMinor > 0))
    .map((one) => ({
      ...one,
      // A sum typed for all of it is one guess, however many parts it stands for.
      spread: one.isTyped
        ? spread
        : spread / Math.sqrt(Math.max(1, open.get(one.key)?.length ?? 0)),
    }))
  const isPriced = new Set(priced.map((one) => one.key))
  const sure = money.accounts
    .filter((one) => !isPriced.has(one.key))
    .reduce((sum, one) => sum + one.spentMinor + one.owedMinor, 0)
  return {
    drivers: [
      { kind: 'prices', of: '' },
      ...priced.map(({ key }) => ({ kind: 'price' as const, of: key })),
    ],
    draw(random, foundFactor, yardToComeMinor) {
      const all = normal(random)
      const dearer = Math.exp(ratioDoubt * all)
      const values = priced.map(() => normal(random))
      const accounts = priced.reduce((sum, one, at) => {
        const own = Math.exp(one.spread * (values[at] as number)) * dearer
        const toCome = Math.max(one.owedMinor, one.planLeftMinor * one.ratio * own)
        return sum + one.spentMinor + toCome + one.foundOpenMinor * own
      }, 0)
      const found = money.foundToComeMinor * foundFactor * dearer
      return {
        minor: Math.round(sure + accounts + found + yardToComeMinor),
        values: [all, ...values],
      }
    },
  }
}
