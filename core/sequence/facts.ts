/** What every drawing of the sequence is read from; made once for a state of the refit. */
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { gateNeeds } from '../plan/gateNeeds'
import { handsOn } from '../plan/handsOn'
import type { HandsDay } from '../plan/handsOn'
import { withHullNeeds } from '../plan/hullNeed'
import { arcsOf } from '../plan/network'
import type { StepArc } from '../plan/network'
import type { Waits } from '../plan/waits'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { piecesOf } from './pieces'
import type { Piece } from './pieces'
import { ashoreSpans } from './water'
import type { AshoreSpan } from './water'

export interface SequenceFacts {
  readonly rows: RefitRows
  readonly plan: StoredPlan | null
  readonly clock: ZoneClock
  readonly pieces: readonly Piece[]
  readonly arcs: readonly StepArc[]
  readonly ashore: readonly AshoreSpan[]
  readonly hands: (day: number) => HandsDay
  /** Steps a gate waits for. */
  readonly neededBy: (gateId: string) => ReadonlySet<string>
  /** When the first gate that waits for a step has all it needs, in the plan; null: none is dated. */
  readonly readyBy: (stepId: string) => number | null
  /** First and last local day on which anything is or was done. */
  readonly firstDay: number
  readonly lastDay: number
}

/** Reads a refit and its plan for drawing. */
export function sequenceFacts(
  rows: RefitRows,
  plan: StoredPlan | null,
  clock: ZoneClock,
  waits: Pick<Waits, 'over'>,
  now: number,
): SequenceFacts {
  const needs = gateNeeds(rows)
  const pieces = piecesOf(rows, plan, waits)
  const readyBy = new Map<string, number>()
  for (const gate of plan?.gates ?? [])
    for (const stepId of needs.steps(gate.gateId))
      readyBy.set(stepId, Math.min(gate.readyAt, readyBy.get(stepId) ?? Infinity))
  const today = clock.dayOf(now)
  const days = pieces.flatMap((one) => [clock.dayOf(one.from), clock.dayOf(one.to)])
  const worked = rows.hoursEntry.map((entry) => dayNumber(entry.on))
  const gateDays = (plan?.gates ?? []).map((gate) => clock.dayOf(gate.at))
  const least = (list: readonly number[]) => list.reduce((a, b) => Math.min(a, b), today)
  const most = (list: readonly number[]) => list.reduce((a, b) => Math.max(a, b), today)
  return {
    rows,
    plan,
    clock,
    pieces,
    arcs: arcsOf(withHullNeeds(rows)),
    ashore: ashoreSpans(rows, plan, clock),
    hands: handsOn(rows, plan, clock),
    neededBy: (gateId) => needs.steps(gateId),
    readyBy: (stepId) => readyBy.get(stepId) ?? null,
    firstDay: least([...days, ...worked]),
    lastDay: most([...days, ...gateDays]),
  }
}

/** Days ahead that are drawn of a gate with neither a date nor an aim. */
const daysOpen = 60

/**
 * Last local day of the way to a gate: the gate's own in the plan; without a date its aim, or as far as what is planned
 * for it goes, whichever is later. `aimedOn`: civil date; `today`: local day.
 */
export function lastDayTo(
  facts: SequenceFacts,
  gateId: string | null,
  aimedOn: string | null,
  today: number,
): number {
  const { clock } = facts
  const planned = facts.plan?.gates.find((one) => one.gateId === gateId)
  if (planned) return clock.dayOf(planned.at)
  const needed = gateId === null ? null : facts.neededBy(gateId)
  const ends = facts.pieces
    .filter((one) => !needed || needed.has(one.step.id))
    .map((one) => clock.dayOf(one.to))
  return ends.reduce((a, b) => Math.max(a, b), aimedOn ? dayNumber(aimedOn) : today + daysOpen)
}
