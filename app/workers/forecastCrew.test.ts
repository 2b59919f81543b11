import { expect, it, vi } from 'vitest'
import type { RunsAsked } from '#core/forecast/runs'
import { emptyRows } from '#core/model/refit'
import type { StoredPlan } from '#core/model/stored'
import { ForecastCrew } from './forecastCrew'

/** What the workers were asked for, and whether they answer. */
const asked: [number, number][] = []
let answers = true

vi.mock('./plannerLink', () => ({
  PlannerLink: class {
    question(_: unknown, ask: (remote: object) => Promise<unknown>) {
      return ask({
        runs(_: StoredPlan, { from, to }: RunsAsked) {
          asked.push([from, to])
          const at = Array.from({ length: to - from }, (_, run) => from + run)
          return Promise.resolve(answers ? { at } : null)
        },
        odds: (_: StoredPlan, parts: { at: number[] }[]) =>
          Promise.resolve(parts.flatMap((one) => one.at)),
      })
    }
    close() {}
  },
}))

const forecast = (of: string) => ({
  rows: emptyRows(),
  plan: {} as StoredPlan,
  of,
  runs: 1001,
  workers: 2,
})
const told = () => undefined
/** Every run once, in their order. */
const whole = Array.from({ length: 1001 }, (_, run) => run)

it('runs made ahead are not made again, and every run is there once', async () => {
  const crew = new ForecastCrew()
  await crew.begin(forecast('one plan'))
  expect(asked.splice(0)).toEqual([
    [0, 250],
    [501, 751],
  ])
  // The same is not begun twice.
  await crew.begin(forecast('one plan'))
  expect(await crew.odds(forecast('one plan'), told)).toEqual(whole)
  expect(asked.splice(0)).toEqual([
    [250, 501],
    [751, 1001],
  ])
})

it('runs of another plan, or of workers given back, are of no use', async () => {
  const crew = new ForecastCrew()
  await crew.begin(forecast('one plan'))
  asked.length = 0
  expect(await crew.odds(forecast('another'), told)).toEqual(whole)
  crew.close()
  expect(await crew.odds(forecast('one plan'), told)).toEqual(whole)
  const all = [
    [0, 501],
    [501, 1001],
  ]
  expect(asked.splice(0)).toEqual([...all, ...all])
})

it('few runs are not begun, and called off nothing is answered or kept', async () => {
  const crew = new ForecastCrew()
  await crew.begin({ ...forecast('one plan'), runs: 500 })
  expect(asked).toEqual([])
  answers = false
  await crew.begin(forecast('one plan'))
  asked.length = 0
  expect(await crew.odds(forecast('one plan'), told)).toBeNull()
  expect(asked).toEqual([
    [0, 501],
    [501, 1001],
  ])
})
