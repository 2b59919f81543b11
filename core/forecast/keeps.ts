/** How likely steps are all finished by an instant: what a promise is worth before it is given. */
import type { InParts } from '../inParts'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { prepare } from '../plan/prepare'
import { samplePasses } from '../plan/sample'
import { inSequence } from '../plan/inSequence'
import { drawsOf } from './draws'
import { randomOf } from './runs'

export interface KeepChance {
  /** Runs of 100 in which all of them are finished, rounded down; and each by itself. */
  readonly all: number
  readonly each: Readonly<Record<string, number>>
}

/** Null: the plan is of other work. Can be left after every fourth run. */
export function* keepChance(
  rows: RefitRows,
  plan: StoredPlan,
  stepIds: readonly string[],
  until: number,
  runs: number,
): InParts<KeepChance | null> {
  const prepared = prepare(rows, plan.now)
  const known = inSequence(prepared, plan, null)
  if (!known) return null
  const lay = samplePasses(prepared, known.order)
  const { draw } = drawsOf(prepared)
  const open = stepIds.filter((id) => prepared.compiled.activities.has(id))
  const kept = new Map(open.map((id) => [id, 0]))
  let all = 0
  for (let run = 0; run < runs; run++) {
    if (run % 4 === 0) yield run / runs
    const pass = lay(draw(randomOf(1, run)).sample)
    const done = open.filter(
      (id) => (pass.placements.get(id)?.segments.at(-1)?.[1] ?? Infinity) < until,
    )
    for (const id of done) kept.set(id, (kept.get(id) ?? 0) + 1)
    if (done.length === open.length) all++
  }
  const of100 = (many: number) => Math.floor((many / runs) * 100)
  return {
    all: of100(all),
    each: Object.fromEntries([...kept].map(([id, many]) => [id, of100(many)])),
  }
}
