import type { InParts } from '../inParts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dayMs } from '../time/civil'
import { formatWait } from '../units/hours'
import { laidGates } from './finishPlan'
import { gateNeeds } from './gateNeeds'
import { prepare, relay } from './prepare'
import type { Prepared } from './prepare'
import type { PassOptions } from './schedule/pass'
import { inSequence } from './inSequence'

/** What a gate would gain if a step took no time, everything else in the same sequence. */
export interface Drag {
  readonly stepId: string
  /** Days its date would come earlier; negative never. */
  readonly days: number
  /** Hours by which all that it needs would be ready earlier. */
  readonly readyHours: number
}

/** An accepted plan made ready to be laid again with something changed. Null: it knows none of today's steps. */
interface Relay {
  readonly gateAt: (
    supposing: Pick<PassOptions, 'dropped' | 'delayed'>,
  ) => { readonly at: number; readonly readyAt: number } | null
}

/** Lays an accepted plan again, at the time and in the sequence it was laid, and reads a gate off it. */
function relayOf(rows: RefitRows, plan: StoredPlan, gateId: string): Relay | null {
  const prepared: Prepared = prepare(rows, plan.now)
  const known = inSequence(prepared, plan, null)
  if (!known) return null
  const lay = relay(prepared, known.order)
  return {
    gateAt(supposing) {
      const pass = lay(supposing)
      const gate = laidGates(prepared.compiled, pass).find((one) => one.gateId === gateId)
      return gate ? { at: gate.at, readyAt: gate.readyAt } : null
    },
  }
}

/**
 * The drag of each step on a gate, measured by laying the plan without it. Only what was measured is in the answer.
 * Can be left after each step.
 */
export function* dragsOn(
  rows: RefitRows,
  plan: StoredPlan,
  gateId: string,
  stepIds: readonly string[],
): InParts<Drag[]> {
  const relay = relayOf(rows, plan, gateId)
  const now = relay?.gateAt({})
  if (!relay || !now) return []
  const found: Drag[] = []
  for (const [index, stepId] of stepIds.entries()) {
    yield index / stepIds.length
    const without = relay.gateAt({ dropped: new Set([stepId]) })
    if (!without) continue
    found.push({
      stepId,
      days: Math.max(0, Math.round((now.at - without.at) / dayMs)),
      readyHours: Math.max(0, (now.readyAt - without.readyAt) / 3_600_000),
    })
  }
  return found
}

/** True when a step holds its gate: without it the gate, or what it needs, would be earlier. */
export const holds = (drag: Drag): boolean => drag.days > 0 || drag.readyHours > 0

/** The first gate of a plan that waits for a job; null: none that is dated. */
export function gateWaitingFor(rows: RefitRows, plan: StoredPlan, jobId: string): string | null {
  const needs = gateNeeds(rows)
  const own = rows.step.filter((step) => step.jobId === jobId).map((step) => step.id)
  const waiting = plan.gates.filter((gate) => {
    const needed = needs.steps(gate.gateId)
    return own.some((id) => needed.has(id))
  })
  return [...waiting].sort((a, b) => a.at - b.at)[0]?.gateId ?? null
}

/** What a step holds up, as a sentence. */
export function sayDrag(drag: Drag): string {
  if (drag.days > 0) return `Without it ${drag.days} ${drag.days === 1 ? 'day' : 'days'} earlier.`
  if (drag.readyHours > 0)
    return `Without it ready ${formatWait(drag.readyHours)} earlier, but the date stays.`
  return 'Without it no earlier: something else is as late.'
}

/** Longest slip looked for, days. */
const mostSlipDays = 365

/**
 * Whole days for which the open steps of a job may be put off in this plan before its gate moves; everybody's sequence
 * stays. Null: not measured, or no limit within a year.
 */
export function* slipDays(
  rows: RefitRows,
  plan: StoredPlan,
  gateId: string,
  jobId: string,
): InParts<number | null> {
  const relay = relayOf(rows, plan, gateId)
  const now = relay?.gateAt({})
  if (!relay || !now) return null
  const own = new Set(rows.step.filter((step) => step.jobId === jobId).map((step) => step.id))
  const starts = plan.placements.flatMap((one) =>
    own.has(one.stepId) ? [[one.stepId, one.segments[0]?.[0] ?? plan.now] as const] : [],
  )
  if (starts.length === 0) return null
  const moves = (days: number): boolean => {
    const delayed = new Map(starts.map(([id, at]) => [id, at + days * dayMs]))
    const later = relay.gateAt({ delayed })
    return later === null || later.at > now.at
  }
  if (!moves(mostSlipDays)) return null
  let [low, high] = [0, mostSlipDays]
  while (high - low > 1) {
    yield 1 - Math.log2(high - low) / Math.log2(mostSlipDays)
    const middle = (low + high) >> 1
    if (moves(middle)) high = middle
    else low = middle
  }
  return low
}
