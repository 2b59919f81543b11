import type { Placement, StoredPlan } from '../model/stored'
import { add } from './build'
import type { Building } from './build'

/** Puts an accepted plan into a refit: where its steps stand, by hand. Each is ready as its last stretch ends. */
export function keepPlan(
  rows: Building,
  now: number,
  placed: Readonly<Record<string, Pick<Placement, 'segments'> & Partial<Placement>>>,
  more: Partial<StoredPlan> = {},
): void {
  const placements = Object.entries(placed).map(([stepId, one]): Placement => ({
    stepId,
    personIds: [],
    readyAt: one.segments.at(-1)?.[1] ?? now,
    binding: { kind: 'now' },
    ...one,
  }))
  const result: StoredPlan = {
    status: 'feasible',
    now,
    placements,
    urgencies: {},
    gates: [],
    launches: [],
    reasons: [],
    warnings: [],
    ...more,
  }
  add(rows, 'plan', 'plan', { inputsHash: 'x', at: 0, seed: 1, iterations: 1, result })
}
