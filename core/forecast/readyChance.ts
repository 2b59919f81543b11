/** When a step could begin as far as what comes before it goes: the days to name to somebody who has to be called. */
import type { InParts } from '../inParts'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { inSequence } from '../plan/inSequence'
import { prepare } from '../plan/prepare'
import { samplePasses } from '../plan/sample'
import { drawsOf } from './draws'
import { percentile } from './normal'
import { randomOf } from './runs'

/** UTC ms by which half of the runs, and 8 in 10, have all of it done and cured; Infinity: they never have. */
export interface ReadyChance {
  readonly p50: number
  readonly p80: number
}

/** Null: the plan is of other work, or the step is not open. Can be left after every fourth run. */
export function* readyChance(
  rows: RefitRows,
  plan: StoredPlan,
  stepId: string,
  runs: number,
): InParts<ReadyChance | null> {
  const prepared = prepare(rows, plan.now)
  const known = inSequence(prepared, plan, null)
  const step = prepared.compiled.activities.get(stepId)
  if (!known || !step) return null
  const lay = samplePasses(prepared, known.order)
  const { draw } = drawsOf(prepared)
  const ready: number[] = []
  for (let run = 0; run < runs; run++) {
    if (run % 4 === 0) yield run / runs
    const { placements } = lay(draw(randomOf(1, run)).sample)
    const ends = step.before.map(({ from, once }) => {
      // What is finished already is in no plan.
      if (!prepared.compiled.activities.has(from)) return plan.now
      const placed = placements.get(from)
      return (once === 'cured' ? placed?.readyAt : placed?.segments.at(-1)?.[1]) ?? Infinity
    })
    ready.push(Math.max(plan.now, ...ends))
  }
  ready.sort((a, b) => a - b)
  return { p50: percentile(ready, 0.5), p80: percentile(ready, 0.8) }
}
