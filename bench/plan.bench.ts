/** How long planning takes, by size of refit; medians after warming up. */
import { makePlan } from '#core/plan/makePlan'
import { compile } from '#core/plan/schedule/compile'
import { criticalPath } from '#core/plan/schedule/criticalPath'
import { phasesOf } from '#core/plan/schedule/phases'
import { serialPass } from '#core/plan/schedule/serial'
import { derive } from '#core/progress/derive'
import { zoneClock } from '#core/time/zone'
import { bigRefit } from '~~/demo/bigRefit'
import { demoNow, sableWren } from '~~/demo/sableWren'

const rounds = 15
const warmUps = 5

function medianMs(work: () => unknown): number {
  const times: number[] = []
  for (let i = 0; i < rounds + warmUps; i++) {
    const started = performance.now()
    work()
    if (i >= warmUps) times.push(performance.now() - started)
  }
  times.sort((a, b) => a - b)
  return Math.round((times[Math.floor(rounds / 2)] as number) * 10) / 10
}

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
    const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
    const compiled = compile(rows, clock, at)
    const phases = phasesOf(compiled)
    const bounds = criticalPath(compiled, phases)
    const latest = (id: string) => bounds.get(id)?.latestStart ?? Infinity
    const { plan } = makePlan(rows, at)
    return {
      refit: name,
      steps: rows.step.length,
      status: plan.status,
      'one pass, ms': medianMs(() =>
        serialPass(compiled, phases, (a, b) => latest(a.step.id) < latest(b.step.id)),
      ),
      'whole plan, ms': medianMs(() => makePlan(rows, at)),
      'derive, ms': medianMs(() => derive(rows, plan, at)),
    }
  })
}
