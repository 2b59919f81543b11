/** The chance that a change buys: the refit as it is and as it would be, run with the same draws. */
import { asShare } from '../inParts'
import type { InParts } from '../inParts'
import { supposing } from '../model/applyChange'
import type { ChangeItem } from '../model/changes'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { gateDate } from '../plan/haulOutOf'
import type { Asking } from '../plan/whatIf'
import { oddsOf } from './odds'
import { chanceOn, likelyDates, oddsOfGate } from './oddsWords'
import { forecastRuns } from './runs'

/** How a gate stands by the runs of one plan. */
export interface ChanceSide {
  /** Runs of 100 by the end of the day aimed at; null: none is, or the gate has no day. */
  readonly chance: number | null
  readonly aimedOn: string | null
  readonly likelyOn: string | null
}

export interface ChanceBought {
  readonly gateId: string
  readonly before: ChanceSide
  readonly after: ChanceSide
}

const seed = 1
/** Runs of either side where plans are compared by chance. */
export const comparedRuns = 150
const none: ChanceSide = { chance: null, aimedOn: null, likelyOn: null }

/** `from`, `share`: how far all that is asked is before it, and what part of it this is. */
function* sides(
  rows: RefitRows,
  plan: StoredPlan,
  runs: number,
  from: number,
  share: number,
): InParts<ReadonlyMap<string, ChanceSide>> {
  const parts = forecastRuns(rows, plan, { seed, from: 0, to: runs })
  const made = yield* asShare(parts, from, from + share)
  const odds = made && oddsOf(rows, plan, made)
  return new Map(
    rows.gate.map((gate) => {
      const own = oddsOfGate(odds, gate.id)
      const aimedOn = gateDate(rows, gate)
      return [
        gate.id,
        {
          aimedOn,
          chance: own && aimedOn !== null ? chanceOn(own, aimedOn) : null,
          likelyOn: own && likelyDates(own).likelyOn,
        },
      ]
    }),
  )
}

/** For each gate that either side has odds of. `runs` of each side, with the same draws. Can be left now and then. */
export function* chancesBought(
  rows: RefitRows,
  asking: Asking,
  items: readonly ChangeItem[],
  runs: number,
): InParts<ChanceBought[]> {
  const before = yield* asking.laidWith([])
  const after = yield* asking.laidWith(items)
  const one = yield* sides(rows, before, runs, 0.1, 0.45)
  const other = yield* sides(supposing(rows, items), after, runs, 0.55, 0.45)
  return rows.gate.flatMap(({ id }) => {
    const [was, is] = [one.get(id) ?? none, other.get(id) ?? none]
    return was.likelyOn === null && is.likelyOn === null
      ? []
      : [{ gateId: id, before: was, after: is }]
  })
}

/** How one gate stands with one of several ways to go. */
export interface ChanceWith extends ChanceSide {
  readonly gateId: string
}

/**
 * For each of several changes, of which one will be made, how the gates stand with it, by the same draws: one list a
 * change, gates in the order of their rows. Can be left now and then.
 */
export function* chancesWithEach(
  rows: RefitRows,
  asking: Asking,
  ways: readonly (readonly ChangeItem[])[],
  runs: number,
): InParts<ChanceWith[][]> {
  const each: ChanceWith[][] = []
  for (const [at, items] of ways.entries()) {
    const plan = yield* asking.laidWith(items)
    const own = yield* sides(supposing(rows, items), plan, runs, at / ways.length, 1 / ways.length)
    each.push(rows.gate.map(({ id }) => ({ gateId: id, ...(own.get(id) ?? none) })))
  }
  return each
}
