/** Accounts by system: planned, spent, owed, likely in the end; and what nobody thought of. Source: handbook 8. */
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Account } from '../model/words'
import { accounts as accountNames } from '../model/words'
import { accounts as accountSaid } from '../model/said'
import type { StoredPlan } from '../model/stored'
import { isStillToBuy } from '../model/partState'
import { isOpen, plannedHours } from '../plan/planned'
import type { Derived } from '../progress/derive'
import { inOrderOfDays } from './inOrderOfDays'
import { jobCosts, partCostMinor } from './jobCost'
import { isFoundJob, jobOfPart, moneyLines, sumOf } from './lines'
import type { MoneyLine } from './lines'
import { overrunOf } from './overrun'
import type { Overrun } from './overrun'
import { tradeAccounts } from './tradeAccount'
import { yardAhead } from './yardAhead'
import type { YardAhead } from './yardAhead'
import { capital } from '../units/counted'

export interface AccountFigures {
  /** 'system' with its id, or the account itself. */
  readonly key: string
  readonly account: Account
  readonly systemId: string | null
  readonly name: string
  readonly plannedMinor: number
  /** False: what parts, trades and yard are guessed at, as nobody typed a sum. */
  readonly isTyped: boolean
  readonly spentMinor: number
  /** Ordered, booked, run up. */
  readonly owedMinor: number
  /** What of the plan no payment has used up yet. */
  readonly planLeftMinor: number
  /** Parts and trades of found work that nobody has ordered: no plan has them. */
  readonly foundOpenMinor: number
  /** The factor the rest of the plan is taken at. */
  readonly ratio: number
  /** spent + max(owed, rest of the plan × ratio) + found work still open. */
  readonly likelyMinor: number
  /** Share of its planned hours that is done, 0 to 1; null: no work belongs to it. */
  readonly doneShare: number | null
  readonly lines: readonly MoneyLine[]
}

/** Something that cost more, or less, than was planned. */
interface Burn {
  readonly on: string | null
  /** The job it was for; '' for money of none. */
  readonly jobId: string | null
  readonly what: string
  readonly minor: number
}

interface Contingency {
  readonly percent: number
  readonly totalMinor: number
  readonly burntMinor: number
  readonly leftMinor: number
  /** Each payment that took from it or gave back, by day. */
  readonly burns: readonly Burn[]
}

export interface Money {
  readonly currency: string
  readonly lines: readonly MoneyLine[]
  readonly accounts: readonly AccountFigures[]
  readonly plannedMinor: number
  readonly spentMinor: number
  readonly owedMinor: number
  /** Found work still to come, in money. */
  readonly foundToComeMinor: number
  /** All accounts, and found work still to come. */
  readonly likelyMinor: number
  readonly overrun: Overrun
  readonly contingency: Contingency
}

/** A sum planned for each account: typed, else guessed. */
function plans(rows: RefitRows, yard: YardAhead) {
  const typed = new Map(
    rows.budget.map((one) => [keyOf(one.account, one.systemId), one.minor] as const),
  )
  const guesses = guessedPlans(rows)
  return (key: string): { readonly minor: number; readonly isTyped: boolean } => {
    const own = typed.get(key)
    if (own !== undefined) return { minor: own, isTyped: true }
    return { minor: key === 'yard' ? yard.wholeMinor : (guesses.get(key) ?? 0), isTyped: false }
  }
}

const keyOf = (account: Account, systemId: string | null): string =>
  account === 'system' ? `system ${systemId ?? ''}` : account

/** What parts and trades of planned jobs are guessed at, by account. */
function guessedPlans(rows: RefitRows): Map<string, number> {
  const costOf = jobCosts(rows)
  const sums = new Map<string, number>()
  for (const job of rows.job) {
    if (isFoundJob(job) || job.decision === 'dropped' || job.decision === 'accepted') continue
    const key = job.systemId === null ? 'other' : keyOf('system', job.systemId)
    sums.set(key, (sums.get(key) ?? 0) + costOf(job.id).totalMinor)
  }
  return sums
}

/** Parts and trades of found work that nobody ordered or booked, by account. */
function foundStillOpen(rows: RefitRows): Map<string, number> {
  const [jobs, steps] = [byId(rows.job), byId(rows.step)]
  const sums = new Map<string, number>()
  const add = (jobId: string | null, minor: number) => {
    const job = jobs.get(jobId ?? '')
    if (!job || !isFoundJob(job) || job.decision !== 'plan') return
    const key = job.systemId === null ? 'other' : keyOf('system', job.systemId)
    sums.set(key, (sums.get(key) ?? 0) + minor)
  }
  for (const part of rows.part)
    if (isStillToBuy(part)) add(jobOfPart(part, steps), partCostMinor(part))
  for (const one of rows.tradeBooking)
    if (one.state === 'asked') add(steps.get(one.stepId)?.jobId ?? null, one.priceMinor ?? 0)
  return sums
}

/** Planned hours done of all, by system. */
function sharesDone(rows: RefitRows): Map<string, number> {
  const jobs = byId(rows.job)
  const sums = new Map<string, { done: number; all: number }>()
  for (const step of rows.step) {
    const job = jobs.get(step.jobId)
    if (!job?.systemId || step.state === 'dropped') continue
    if (isOpen(step) && job.decision !== 'plan') continue
    const key = keyOf('system', job.systemId)
    const was = sums.get(key) ?? { done: 0, all: 0 }
    const hours = plannedHours(step)
    sums.set(key, {
      done: was.done + (step.state === 'done' ? hours : 0),
      all: was.all + hours,
    })
  }
  return new Map(
    [...sums].flatMap(([key, { done, all }]) => (all > 0 ? [[key, done / all] as const] : [])),
  )
}

/** Payments against a plan, in the order in which they were made: what is left of it, and what went beyond. */
function used(lines: readonly MoneyLine[], plannedMinor: number) {
  let left = plannedMinor
  const burns = lines
    .filter((one) => one.isSpent)
    .map((one): Burn => {
      const within = Math.min(one.plannedMinor, Math.max(0, left))
      left -= within
      return { on: one.on, jobId: one.jobId, what: one.what, minor: one.minor - within }
    })
  return { leftMinor: left, burns: burns.filter((one) => one.minor !== 0) }
}

/** All of it. `derived`: of the same rows and plan. */
export function moneyOf(rows: RefitRows, plan: StoredPlan | null, derived: Derived): Money {
  const trades = tradeAccounts(rows)
  const lines = moneyLines(rows, derived.today, trades)
  const overrun = overrunOf(rows, trades)
  const ahead = yardAhead(rows, plan, derived)
  const planOf = plans(rows, ahead)
  const foundOpen = foundStillOpen(rows)
  const done = sharesDone(rows)
  const ofSystem = groupBy(lines, (one) => one.systemId)
  const ofAccount = groupBy(lines, (one) => (one.systemId === null ? one.account : null))
  const places = [
    ...inOrder(rows.system).map((one) => ({
      account: 'system' as const,
      systemId: one.id,
      name: one.name,
    })),
    ...accountNames
      .filter((one) => one !== 'system')
      .map((account) => ({
        account,
        systemId: null,
        name: capital(accountSaid[account]),
      })),
  ]
  const burns: Burn[] = []
  const accounts = places.map(({ account, systemId, name }): AccountFigures => {
    const key = keyOf(account, systemId)
    const own = (systemId === null ? ofAccount.get(account) : ofSystem.get(systemId)) ?? []
    const { minor: plannedMinor, isTyped } = planOf(key)
    const spent = own.filter((one) => one.isSpent)
    const spentMinor = sumOf(spent)
    const owedMinor = sumOf(own) - spentMinor
    const rest = used(own, plannedMinor)
    burns.push(...rest.burns)
    const foundOpenMinor = foundOpen.get(key) ?? 0
    // What the yard still asks for is known by its prices: no ratio makes it surer.
    const ratio = account === 'yard' ? 1 : overrun.ratio
    const toCome =
      account === 'yard'
        ? owedMinor + ahead.toComeMinor
        : Math.max(owedMinor, Math.round(rest.leftMinor * ratio))
    return {
      key,
      account,
      systemId,
      name,
      plannedMinor,
      isTyped,
      spentMinor,
      owedMinor,
      planLeftMinor: rest.leftMinor,
      foundOpenMinor,
      ratio,
      likelyMinor: spentMinor + toCome + foundOpenMinor,
      doneShare: done.get(key) ?? null,
      lines: own,
    }
  })
  const total = (of: (one: AccountFigures) => number) =>
    accounts.reduce((sum, one) => sum + of(one), 0)
  const plannedMinor = total((one) => one.plannedMinor)
  const foundToComeMinor = foundToCome(rows, lines, foundOpen, plannedMinor, derived)
  const percent = rows.refit[0]?.contingencyPercent ?? 20
  const totalMinor = Math.round((plannedMinor * percent) / 100)
  const burntMinor = burns.reduce((sum, one) => sum + one.minor, 0)
  return {
    currency: rows.refit[0]?.currency ?? 'EUR',
    lines,
    accounts,
    plannedMinor,
    spentMinor: total((one) => one.spentMinor),
    owedMinor: total((one) => one.owedMinor),
    foundToComeMinor,
    likelyMinor: total((one) => one.likelyMinor) + foundToComeMinor,
    overrun,
    contingency: {
      percent,
      totalMinor,
      burntMinor,
      leftMinor: totalMinor - burntMinor,
      burns: inOrderOfDays(burns),
    },
  }
}

/**
 * Found work still to come, in money: hours still to be found × what an hour of found work cost so far; before anything
 * was found, × what a planned hour costs.
 */
function foundToCome(
  rows: RefitRows,
  lines: readonly MoneyLine[],
  foundOpen: ReadonlyMap<string, number>,
  plannedMinor: number,
  { found }: Derived,
): number {
  const jobs = byId(rows.job)
  const cost =
    sumOf(lines.filter((one) => isFoundJob(jobs.get(one.jobId ?? '')))) +
    [...foundOpen.values()].reduce((sum, one) => sum + one, 0)
  const { growth } = found
  const planHours = found.allHours - found.hoursPlanned
  const perHour =
    growth.foundHours > 0 ? cost / growth.foundHours : planHours > 0 ? plannedMinor / planHours : 0
  return Math.round(growth.expectedHours * perHour)
}
