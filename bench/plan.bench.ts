/** How long planning takes, by size of refit; medians after warming up. */
import { createRandom } from '#core/random'
import { makePlan } from '#core/plan/makePlan'
import { latestStartFirst, layPass, prepare } from '#core/plan/prepare'
import { derive } from '#core/progress/derive'
import { bigRefit } from '~~/demo/bigRefit'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { judgePlan } from '~~/tests/judge/judgePlan'
import { oddNow, oddRefit } from '~~/tests/judge/oddRefit'
import { medianMs } from './median'

const now = Date.UTC(2027, 3, 16, 12)

export function bench() {
  const sizes = [
    { name: 'demo', rows: sableWren('r'), at: demoNow },
    { name: 'big: 500 jobs, 2,000 steps, 4 seasons', rows: bigRefit(1), at: now },
    {
      name: 'limit: 2,500 jobs, 10,000 steps, 12 seasons',
      rows: bigRefit(2, 2500, 4, 12),
      at: now,
    },
  ]
  return sizes.map(({ name, rows, at }) => {
    const prepared = prepare(rows, at)
    const { plan } = makePlan(rows, at)
    return {
      refit: name,
      steps: rows.step.length,
      status: plan.status,
      'one pass, ms': medianMs(() => layPass(prepared, latestStartFirst)),
      'whole plan, ms': medianMs(() => makePlan(rows, at)),
      'derive, ms': medianMs(() => derive(rows, plan, at)),
    }
  })
}

/** Random refits planned and judged, from a seed, every other one an odd one: those whose plan does not hold, with the first fault. */
export function judged(count: number, seed: number) {
  const random = createRandom(seed)
  const broken: { refit: string; fault: string }[] = []
  for (let done = 0; done < count; done++) {
    const refit = Math.floor(random() * 1e6)
    const size = 1 + Math.floor(random() * 40)
    const steps = 1 + Math.floor(random() * 4)
    const isOdd = done % 2 === 1
    const rows = isOdd ? oddRefit(refit, size) : bigRefit(refit, size, steps, 2)
    const { plan } = makePlan(rows, isOdd ? oddNow : now)
    const [fault = isOdd || plan.status === 'feasible' ? '' : plan.status] = judgePlan(rows, plan)
    if (fault)
      broken.push({ refit: isOdd ? `odd ${refit}, ${size}` : `${refit}, ${size}, ${steps}`, fault })
  }
  return broken
}
