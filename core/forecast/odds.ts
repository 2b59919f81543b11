/** What runs come to: dates with their chance, the band of the cost, what holds each gate, what makes the doubt. */
import type { CostOdds, Doubt, GateOdds, StoredOdds } from '../model/odds'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { moneyOf } from '../money/accounts'
import { derive } from '../progress/derive'
import { dayMs } from '../time/civil'
import { liftsAhead } from './lifts'
import { percentile } from './normal'
import type { Runs } from './runs'

/** A step on fewer chains than this is not worth naming. */
const leastOnChain = 0.05

const rising = (list: readonly number[]): number[] =>
  [...list].sort((a, b) => (a === b ? 0 : a - b))

/** Place of each value among all, from 0; equal ones share the mean of their places. */
function ranks(list: readonly number[]): number[] {
  const order = list
    .map((_, at) => at)
    .sort((a, b) => {
      const [x, y] = [list[a] as number, list[b] as number]
      return x === y ? 0 : x - y
    })
  const place = list.map(() => 0)
  for (let from = 0; from < order.length;) {
    let to = from
    while (to < order.length && list[order[to] as number] === list[order[from] as number]) to++
    for (let at = from; at < to; at++) place[order[at] as number] = (from + to - 1) / 2
    from = to
  }
  return place
}

/** Chance passes for a share of more than this ÷ runs in fewer than one case of a hundred. */
const surely = 6.6

/**
 * Square of the rank correlation of two lists, 0 to 1: the share of one's spread that goes with the other. 0 where
 * chance alone may have made it. Source: Spearman.
 */
export function shareOf(values: readonly number[], outcome: readonly number[]): number {
  const many = values.length
  if (many < 3) return 0
  const [x, y] = [ranks(values), ranks(outcome)]
  const mean = (many - 1) / 2
  let [xx, yy, xy] = [0, 0, 0]
  for (let at = 0; at < many; at++) {
    const [dx, dy] = [(x[at] as number) - mean, (y[at] as number) - mean]
    xx += dx * dx
    yy += dy * dy
    xy += dx * dy
  }
  if (xx <= 0 || yy <= 0) return 0
  const share = (xy * xy) / (xx * yy)
  return share < surely / many ? 0 : Math.min(1, share)
}

/** The odds of runs of a plan. Precondition: the runs are of these rows and this plan, one or more. */
export function oddsOf(rows: RefitRows, plan: StoredPlan, runs: Runs): StoredOdds {
  const derived = derive(rows, plan, plan.now)
  const { clock, loaIn, earnedIn } = derived
  const many = runs.at.length
  const columnOf = (list: readonly (readonly number[])[], at: number) =>
    list.map((one) => one[at] ?? Infinity)
  const gates = runs.gateIds.map((gateId, at): GateOdds => {
    const days = new Map<number, number>()
    for (const one of columnOf(runs.at, at))
      if (Number.isFinite(one)) days.set(clock.dayOf(one), (days.get(clock.dayOf(one)) ?? 0) + 1)
    const sorted = [...days].sort((a, b) => a[0] - b[0])
    const dated = sorted.reduce((sum, [, some]) => sum + some, 0)
    const aimedOn = derived.gates.find((one) => one.gate.id === gateId)?.aimedOn ?? null
    const done = percentile(rising(columnOf(runs.doneBy, at)), 0.5)
    return {
      gateId,
      days: sorted,
      never: many - dated,
      ghostIn:
        aimedOn === null || aimedOn < derived.today ? null : earnedIn + (loaIn - earnedIn) * done,
    }
  })
  const next = nextOf(runs, plan)
  const runsOf = (gateId: string) => {
    const at = runs.gateIds.indexOf(gateId)
    return at < 0 ? null : { at: columnOf(runs.at, at), readyAt: columnOf(runs.readyAt, at) }
  }
  return {
    runs: many,
    gates,
    cost: costOf(rows, plan, runs),
    onChain: Object.fromEntries(
      runs.stepIds.flatMap((id, at) => {
        const share = (runs.onChain[at] ?? 0) / many
        return share >= leastOnChain ? [[id, Math.round(share * 100) / 100]] : []
      }),
    ),
    next: next && { gateId: next.gateId, halfDays: next.halfDays },
    doubts: doubtsOf(runs, next?.halfDays == null ? null : next.at),
    lifts: liftsAhead(rows, plan, runsOf, clock),
  }
}

/** The gate that comes next by the plan, when each run has it, and half its 80 % band; null: there is no gate. */
function nextOf(runs: Runs, plan: StoredPlan) {
  const [first] = plan.gates
    .filter((one) => runs.gateIds.includes(one.gateId))
    .sort((a, b) => a.at - b.at)
  if (!first) return null
  const column = runs.gateIds.indexOf(first.gateId)
  const at = runs.at.map((one) => one[column] ?? Infinity)
  const sorted = rising(at)
  const [early, late] = [percentile(sorted, 0.1), percentile(sorted, 0.9)]
  const halfDays = Number.isFinite(late) ? Math.round((late - early) / dayMs) / 2 : null
  return { gateId: first.gateId, at, halfDays }
}

function costOf(rows: RefitRows, plan: StoredPlan, { costMinor }: Runs): CostOdds {
  const money = moneyOf(rows, plan, derive(rows, plan, plan.now))
  const sorted = rising(costMinor)
  const at = (share: number) => percentile(sorted, share)
  const reserve = money.plannedMinor + money.contingency.totalMinor
  return {
    likelyMinor: money.likelyMinor,
    reserveMinor: reserve,
    at: {
      p10: at(0.1),
      p25: at(0.25),
      p50: at(0.5),
      p75: at(0.75),
      p80: at(0.8),
      p90: at(0.9),
    },
    beyondReserve: costMinor.filter((one) => one > reserve).length / costMinor.length,
  }
}

/** `days`: instants of the next gate; null: it has none in too many runs. */
function doubtsOf({ drivers, values, costMinor }: Runs, days: readonly number[] | null): Doubt[] {
  const named = drivers
    .map((driver, at): Doubt => {
      const own = values.map((one) => one[at] ?? 0)
      const isPrice = driver.kind === 'price' || driver.kind === 'prices'
      return {
        ...driver,
        ofCost: shareOf(own, costMinor),
        ofDays: days && !isPrice ? shareOf(own, days) : 0,
      }
    })
    .filter((one) => one.ofCost > 0 || one.ofDays > 0)
  const left = (of: (one: Doubt) => number) =>
    Math.max(0, 1 - named.reduce((sum, one) => sum + of(one), 0))
  const most = (one: Doubt) => Math.max(one.ofCost, one.ofDays)
  return [
    ...named.sort((a, b) => most(b) - most(a)),
    {
      kind: 'rest',
      of: '',
      ofCost: left((one) => one.ofCost),
      ofDays: days ? left((one) => one.ofDays) : 0,
    },
  ]
}
