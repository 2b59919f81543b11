/** What accounts of 5,000 entries and runs of a forecast cost. */
import { forecastRuns } from '#core/forecast/runs'
import { calibrations } from '#core/forecast/calibration'
import { atOnce } from '#core/inParts'
import { moneyOf } from '#core/money/accounts'
import { makePlan } from '#core/plan/makePlan'
import { derive } from '#core/progress/derive'
import { add } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { medianMs } from './median'

/** The demo with so many spends, each shared by two jobs, and as many hours entries. */
function withEntries(many: number): Building {
  const rows = sableWren('r') as Building
  const jobs = rows.job.map((one) => one.id)
  const steps = rows.step.filter((one) => one.state === 'done').map((one) => one.id)
  for (let at = rows.spend.length; at < many; at++) {
    const on = `2026-${String(1 + (at % 12)).padStart(2, '0')}-10`
    add(rows, 'spend', `s${at}`, { on, what: 'x', minor: 1000 + at })
    for (const half of [0, 1])
      add(rows, 'spendShare', `s${at} ${half}`, {
        spendId: `s${at}`,
        jobId: jobs[(at * 7 + half) % jobs.length] ?? null,
        minor: half === 0 ? 400 : 600 + at,
        order: `a${half}`,
      })
    add(rows, 'hoursEntry', `h${at}`, {
      stepId: steps[at % steps.length] ?? null,
      personId: 'oona',
      on,
      hours: 0.5,
    })
  }
  return rows
}

/** One row a size of the books; the runs are of the demo. */
export function moneyBench(runs: number) {
  const demo = sableWren('r')
  const { plan } = makePlan(demo, demoNow)
  const began = performance.now()
  const forecast = atOnce(forecastRuns(demo, plan, { seed: 1, from: 0, to: runs }))
  const forecastMs = performance.now() - began
  const books = [demo.spend.length, 1000, 5000].map((spends) => {
    const rows = withEntries(spends)
    const derived = derive(rows, plan, demoNow)
    return {
      spends: rows.spend.length,
      'hours entries': rows.hoursEntry.length,
      'all accounts, ms': medianMs(() => moneyOf(rows, plan, derived)),
      'guess against truth, ms': medianMs(() => calibrations(rows)),
    }
  })
  return {
    books,
    runs: [
      { runs: forecast?.at.length ?? 0, 'all, ms': forecastMs, 'a run, ms': forecastMs / runs },
    ],
  }
}
