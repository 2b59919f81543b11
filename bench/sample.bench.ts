/** How long one draw of a refit takes to lay, as a forecast asks for by the thousand. */
import { latestStartFirst, prepare } from '#core/plan/prepare'
import { samplePasses } from '#core/plan/sample'
import { createRandom } from '#core/random'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { medianMs } from './median'

/** Draws laid one after the other, each with every step's hours and waits drawn anew. */
export function sampled(draws: number, seed: number) {
  const prepared = prepare(sableWren('r'), demoNow)
  const lay = samplePasses(prepared, latestStartFirst)
  const random = createRandom(seed)
  const steps = [...prepared.compiled.activities.values()]
  const draw = () => ({
    workHours: new Map(
      steps.map(({ step, workMs }) => [step.id, (workMs / 3_600_000) * (0.6 + 1.2 * random())]),
    ),
    waitHours: new Map(steps.map(({ step }) => [step.id, step.waitHours * (0.9 + 0.5 * random())])),
    isAway: (_: string, day: number) => (day * 7919) % 31 === 0,
  })
  const started = performance.now()
  let unplaced = 0
  for (let done = 0; done < draws; done++) unplaced += steps.length - lay(draw()).placements.size
  const allMs = performance.now() - started
  return {
    'open steps': steps.length,
    draws,
    'all, ms': Math.round(allMs),
    'one, ms': Number((allMs / draws).toFixed(2)),
    'one, median ms': medianMs(() => lay(draw())),
    'steps without a place, a draw': Number((unplaced / draws).toFixed(2)),
  }
}
