/** How likely a gate is on its date, as far as the hours on its chain decide it: a small run on the chain alone. */
import type { InParts } from '../inParts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { stepSpread } from '../forecast/draws'
import { normal } from '../forecast/normal'
import { createRandom } from '../random'
import { laidGates } from './finishPlan'
import { isOpen } from './planned'
import { prepare } from './prepare'
import { samplePasses } from './sample'
import { sequenceOf } from './sequenceOf'

/** UTC ms by which the gate is with even odds, and in four runs of five. */
export interface LikelyDates {
  readonly evenAt: number
  readonly fourInFiveAt: number
}

const draws = 60
/** Open steps above which a run takes too long for a drawing. */
const mostSteps = 600
/**
 * Lays the accepted plan again with the hours of the given steps drawn, low and high read as 10 and 90 %: log-normal,
 * σ = ln(high ÷ low) ÷ 2.563. Deterministic. Null: not dated in some runs, or too large a refit. Can be left after each run.
 */
export function* likelyDates(
  rows: RefitRows,
  plan: StoredPlan,
  gateId: string,
  stepIds: readonly string[],
): InParts<LikelyDates | null> {
  if (rows.step.filter(isOpen).length > mostSteps) return null
  const prepared = prepare(rows, plan.now)
  const placeOf = sequenceOf(prepared, plan, null)
  if (!placeOf) return null
  const lay = samplePasses(prepared, { placeOf })
  const random = createRandom(1)
  const chain = stepIds.flatMap((id) => prepared.compiled.activities.get(id) ?? [])
  const dates: number[] = []
  for (let run = 0; run < draws; run++) {
    yield run / draws
    const workHours = new Map<string, number>()
    for (const { step, workMs } of chain) {
      const factor = Math.exp(stepSpread(step) * normal(random))
      if (workMs > 0) workHours.set(step.id, (workMs / 3_600_000) * factor)
    }
    const gate = laidGates(prepared.compiled, lay({ workHours })).find(
      (one) => one.gateId === gateId,
    )
    if (!gate) return null
    dates.push(gate.at)
  }
  dates.sort((a, b) => a - b)
  const at = (share: number) => dates[Math.ceil(share * draws) - 1] as number
  return { evenAt: at(0.5), fourInFiveAt: at(0.8) }
}
