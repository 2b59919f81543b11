/** The kernel by family, the gain of improving a plan over time, and what a re-run costs. */
import { bestPlan } from '#core/plan/improve'
import { latestStartFirst, layPass, prepare, relay } from '#core/plan/prepare'
import { compileProblem, retimed } from '#core/plan/schedule/kernel/compiled'
import { faultsOf } from '#core/plan/schedule/kernel/verify'
import { SerialGeneration } from '#core/plan/schedule/kernel/serialGeneration'
import { solveProblem } from '#core/plan/schedule/kernel/solve'
import { families, generate } from '#core/plan/schedule/kernel/testing/families'
import { onKernel } from '#core/plan/schedule/onKernel'
import { dayMs } from '#core/time/civil'
import { bigRefit } from '~~/demo/bigRefit'
import { medianMs } from './median'

const now = Date.UTC(2027, 3, 16, 12)
const secondsEach = 0.5

/** Twenty problems a family and size, tight to loose, half a second each. */
export function byFamily() {
  return families.flatMap((family) =>
    [8, 16, 24, 32].map((activities) => {
      const row = { proved: 0, infeasible: 0, unknown: 0, faults: 0, gap: 0, ms: 0 }
      const problems = [0.1, 0.4, 0.7, 1].flatMap((tightness) =>
        [1, 2, 3, 4, 5].map((seed) =>
          generate({
            family,
            activities,
            tightness,
            longest: 10,
            seed: seed + 100 * Math.round(tightness * 10),
          }),
        ),
      )
      for (const problem of problems) {
        const started = performance.now()
        const stop = () => performance.now() - started > secondsEach * 1000
        const answer = solveProblem(problem, { seed: 1, iterations: Infinity, stop })
        row.ms += performance.now() - started
        if (answer.status === 'infeasible') row.infeasible++
        else if (answer.status === 'unknown') row.unknown++
        else {
          row.faults += faultsOf(problem, answer.plan).faults.length
          if (answer.proved) row.proved++
          else row.gap += answer.plan.cost[1] / answer.bound - 1
        }
      }
      const { gap, ms, ...counts } = row
      return {
        family,
        activities,
        problems: problems.length,
        ...counts,
        'mean gap to bound, %': Number(((100 * gap) / problems.length).toFixed(2)),
        'mean ms': Math.round(ms / problems.length),
      }
    }),
  )
}

/** How a plan gets better with the orders tried: 100 jobs, 400 steps. */
export function overTime() {
  const rows = bigRefit(5, 100, 4, 2)
  const started = performance.now()
  const curve: Record<string, number>[] = []
  bestPlan(rows, now, {
    seed: 1,
    iterations: 200,
    stop: () => performance.now() - started > 10_000,
    better: (tried, [daysLate, ashore, finish, trips]) =>
      curve.push({
        'orders tried': tried,
        ms: Math.round(performance.now() - started),
        'days late': daysLate,
        'days ashore': ashore,
        'last finish, days': Math.round((finish - now) / dayMs),
        'person-days': trips,
      }),
  })
  return curve
}

/** A kernel problem of about 260 steps laid again with new durations, and the memory of the big one. */
export function again() {
  const prepared = prepare(bigRefit(4, 65, 4, 2), now)
  const { problem } = onKernel(
    prepared.compiled,
    prepared.phases,
    layPass(prepared, latestStartFirst),
  )
  const compiled = compileProblem(problem)
  const modes = problem.activities.map(() => 0)
  const keys = problem.activities.map((_, index) => index)
  const serial = new SerialGeneration(compiled)
  const before = process.memoryUsage().heapUsed
  const big = prepare(bigRefit(1), now)
  const pass = layPass(big, latestStartFirst)
  const heapMb = (process.memoryUsage().heapUsed - before) / 1e6
  const lay = relay(big, latestStartFirst)
  const steps = [...big.compiled.activities.keys()]
  let next = 0
  const without = () => ({ dropped: new Set([steps[(next += 97) % steps.length] as string]) })
  return [
    {
      'steps on the kernel': problem.activities.length,
      'laid again, ms': medianMs(() => serial.forward(keys, modes)),
      'with new durations, ms': medianMs(() => {
        const longer = retimed(compiled, (activity, mode) =>
          Math.ceil((problem.activities[activity]?.modes[mode]?.duration ?? 0) * 1.1),
        )
        return new SerialGeneration(longer).forward(keys, modes)
      }),
      'big refit in memory, MB': Math.round(heapMb),
      'steps placed': pass.placements.size,
      'big refit, one pass without a step, ms': medianMs(() =>
        layPass(big, latestStartFirst, without()),
      ),
      'gone on with from a checkpoint, ms': medianMs(() => lay(without())),
    },
  ]
}
