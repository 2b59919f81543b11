import type { Job } from '../model/entities'
import type { Placement, StoredPlan, Remark } from '../model/stored'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { gateNeeds } from './gateNeeds'
import type { GateNeeds } from './gateNeeds'
import { withHullNeeds } from './hullNeed'
import { isOpen } from './planned'

/** What a gate's date cannot stand on, or leaves out. */
export interface GateGap {
  readonly gateId: string
  /** Open steps it waits for that have no place in the plan. */
  readonly missing: readonly string[]
  /** Why, as far as the plan says. */
  readonly reasons: readonly Remark[]
  /** A launch that cannot be dated, and after which some of its work comes; null: none. */
  readonly behindGateId: string | null
  /** Jobs before it that nobody has broken into steps. */
  readonly withoutSteps: readonly Job[]
  /** Jobs before it that the plan puts after it. */
  readonly comesAfter: readonly Job[]
}

/** True when nothing keeps the gate from having a date. */
export const canBeDated = (gap: GateGap): boolean =>
  gap.missing.length === 0 && gap.reasons.length === 0 && gap.behindGateId === null

type Laid = Pick<StoredPlan, 'reasons' | 'launches'> & {
  readonly placements: readonly Placement[]
  /** When each gate would be by what has a place, UTC ms. */
  readonly at: (gateId: string) => number | undefined
}

/** Gaps of every gate, launches first, so that what comes after an undated launch is undated too. */
export function gateGaps(
  rows: RefitRows,
  laid: Laid,
  needs: GateNeeds = gateNeeds(rows),
): ReadonlyMap<string, GateGap> {
  const steps = byId(withHullNeeds(rows).step)
  const jobs = byId(rows.job)
  const placements = new Map(laid.placements.map((one) => [one.stepId, one]))
  const gaps = new Map<string, GateGap>()
  const launchFirst = [...rows.gate].sort(
    (a, b) => Number(b.kind === 'launch') - Number(a.kind === 'launch'),
  )
  const launchAt = new Map(laid.launches.map((one) => [one.haulOutId, one.at]))
  for (const gate of launchFirst) {
    const needed = needs.steps(gate.id)
    const open = [...needed].flatMap((id) => {
      const step = steps.get(id)
      return step && isOpen(step) ? [step] : []
    })
    const missing = open.filter((step) => !placements.has(step.id)).map((step) => step.id)
    const jobIds = new Set(open.map((step) => step.jobId))
    const lost = new Set(missing)
    const reasons = laid.reasons.filter(
      (one) =>
        one.stepIds.some((id) => lost.has(id)) ||
        (one.kind === 'cycle' && one.jobIds.some((id) => jobIds.has(id))),
    )
    const at = laid.at(gate.id)
    const late =
      at === undefined ? [] : open.filter((step) => (placements.get(step.id)?.readyAt ?? 0) > at)
    gaps.set(gate.id, {
      gateId: gate.id,
      missing,
      reasons,
      behindGateId: behindUndated(),
      withoutSteps: needs.jobsWithoutSteps(gate.id),
      comesAfter: [...new Set(late.map((step) => step.jobId))].flatMap((id) => jobs.get(id) ?? []),
    })

    /** The first undated launch that some of this gate's afloat work comes after. */
    function behindUndated(): string | null {
      for (const launch of rows.gate) {
        const gap = launch.id === gate.id ? undefined : gaps.get(launch.id)
        if (launch.kind !== 'launch' || !gap || canBeDated(gap)) continue
        const launched = launchAt.get(launch.haulOutId ?? '') ?? Infinity
        const waits = open.some(
          (step) =>
            (step.hullNeed === 'afloat' || step.hullNeed === 'slings') &&
            (placements.get(step.id)?.segments[0]?.[0] ?? 0) >= launched,
        )
        if (waits) return launch.id
      }
      return null
    }
  }
  return gaps
}
