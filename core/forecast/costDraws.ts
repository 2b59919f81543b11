/** What a run costs in the end: prices that nobody has in writing, found work, and days in the yard, drawn. */
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { partCostMinor } from '../money/jobCost'
import { jobOfPart } from '../money/lines'
import type { Money } from '../money/accounts'
import type { Random } from '../random'
import { foundVariance } from './draws'
import type { Driver } from './draws'
import { normal } from './normal'

/** What lines of an account come to that nobody has a price in writing for, by the account's key. */
function openLines(rows: Pick<RefitRows, 'part' | 'tradeBooking' | 'job' | 'step'>) {
  const [jobs, steps] = [byId(rows.job), byId(rows.step)]
  const open = [
    ...rows.part
      .filter((one) => one.state === 'wanted' || one.state === 'specified')
      .map((one) => ({ jobId: jobOfPart(one, steps), minor: partCostMinor(one) })),
    ...rows.tradeBooking
      .filter((one) => one.state === 'asked')
      .map((one) => ({
        jobId: steps.get(one.stepId)?.jobId ?? null,
        minor: one.priceMinor ?? 0,
      })),
  ]
  return groupBy(open, ({ jobId }): string => `system ${jobs.get(jobId ?? '')?.systemId ?? ''}`)
}

/** How much of the spread of one line is left where several stray each by itself: √Σm² ÷ Σm, 1 for one or none. */
function shareTogether(lines: readonly { readonly minor: number }[]): number {
  const sum = lines.reduce((all, one) => all + one.minor, 0)
  return sum > 0 ? Math.sqrt(lines.reduce((all, one) => all + one.minor ** 2, 0)) / sum : 1
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
 * closed lines strayed, less where several lines are still open and no sum was typed for all of it; what is owed is the
 * least. Found work × what is found in the run.
 */
export function costDraws(rows: RefitRows, money: Money): CostDraws {
  const { spread, ratioSpread } = money.overrun
  // Each found job has prices of its own.
  const foundPriceSpread = spread * Math.sqrt(foundVariance(rows))
  const open = openLines(rows)
  const priced = money.accounts
    .filter((one) => one.account !== 'yard' && (one.planLeftMinor > 0 || one.foundOpenMinor > 0))
    .map((one) => ({
      ...one,
      // A sum typed for all of it is one guess, however many parts it stands for.
      spread: one.isTyped ? spread : spread * shareTogether(open.get(one.key) ?? []),
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
      const dearer = Math.exp(ratioSpread * all)
      const values = priced.map(() => normal(random))
      const accounts = priced.reduce((sum, one, at) => {
        const own = Math.exp(one.spread * (values[at] as number)) * dearer
        const toCome = Math.max(one.owedMinor, one.planLeftMinor * one.ratio * own)
        return sum + one.spentMinor + toCome + one.foundOpenMinor * own
      }, 0)
      const found =
        money.foundToComeMinor * foundFactor * dearer * Math.exp(foundPriceSpread * normal(random))
      return {
        minor: Math.round(sure + accounts + found + yardToComeMinor),
        values: [all, ...values],
      }
    },
  }
}
