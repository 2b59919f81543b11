/** Draws and runs against what can be worked out without them. */
import { describe, expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { makePlan } from '../plan/makePlan'
import { prepare } from '../plan/prepare'
import { createRandom } from '../random'
import { add, job, step } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { drawsOf, stepSpread } from './draws'
import { percentile } from './normal'
import { chanceBy, forecastRuns } from './runs'

const sure = { hoursLow: 10, hoursLikely: 10, hoursHigh: 10 } as const
/** A found job, under which nothing more is reckoned to be found, before a gate. */
function refit() {
  const rows = weekends()
  add(rows, 'gate', 'done', { name: 'Done', kind: 'asap' })
  job(rows, 'first', { decision: 'dropped' })
  job(rows, 'j', { parentJobId: 'first', gateId: 'done' })
  return rows
}
const many = 4000
function drawn<Value>(
  rows: ReturnType<typeof refit>,
  of: (hours: ReadonlyMap<string, number>) => Value,
) {
  const draw = drawsOf(prepare(rows, friday))
  const random = createRandom(7)
  return Array.from({ length: many }, () => of(draw(random).workHours ?? new Map()))
}
const rising = (list: readonly number[]) => [...list].sort((a, b) => a - b)

it('takes number ceil(pN) of the sorted values', () => {
  const ten = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]
  expect([0.5, 0.8, 0.81, 0, 1].map((p) => percentile(ten, p))).toEqual([5, 8, 9, 1, 10])
  expect(() => percentile([], 0.5)).toThrow(RangeError)
})

describe('a draw', () => {
  it('of a step of a kind nobody did: 16 h for 10, as far as 0.3 and a season of 0.08 lead, one in 20 done again', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const hours = rising(drawn(rows, (all) => all.get('a') ?? 0))
    // 0.95 Φ(x ÷ 0.31) + 0.05 Φ((x − 0.4) ÷ 0.33) = 0.5 at x = 0.016, 0.8 at x = 0.288.
    expect(percentile(hours, 0.5) / 16.26).toBeCloseTo(1, 1)
    expect(Math.abs(percentile(hours, 0.5) / 16.26 - 1)).toBeLessThan(0.02)
    expect(Math.abs(percentile(hours, 0.8) / 21.34 - 1)).toBeLessThan(0.03)
  })
  it('takes what such work really takes once, switched on or not', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const plain = drawn(rows, (all) => all.get('a'))
    rows.refit = rows.refit.map((one) => ({ ...one, calibrate: true }))
    drawn(rows, (all) => all.get('a')).forEach((hours, at) =>
      expect(hours).toBeCloseTo(plain[at] ?? 0, 3),
    )
  })
  it('spreads a step by its low and high: ln(2.5 ÷ 0.8) ÷ 2.563 where nobody gave them', () => {
    expect(stepSpread({ hoursLow: null, hoursLikely: 4, hoursHigh: null })).toBeCloseTo(0.4446, 4)
    expect(stepSpread(sure)).toBe(0)
  })
  it('shares the doubt of a kind among its steps, and takes its rounds as they come', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    step(rows, 'j', 'b', { ...sure, roundsLikely: 2, roundsMost: 4 })
    // One round to four against the two that are likely: half, whole, one and a half, twice.
    const ratios = drawn(rows, (all) => (all.get('b') ?? 0) / 2 / (all.get('a') ?? 1))
    const share = (ratio: number) =>
      ratios.filter((one) => Math.abs(one - ratio) < 1e-6).length / many
    // 1 in 4; 3 in 4 × 2 in 3; × 1 in 3 more; both without work done again, 0.95².
    for (const [ratio, chance] of [
      [0.5, 0.25],
      [1, 0.5],
      [1.5, 1 / 6],
      [2, 1 / 12],
    ] as const)
      expect(Math.abs(share(ratio) - chance * 0.95 ** 2)).toBeLessThan(0.03)
  })
  it('finds more under what was planned: by as much as was found so far', () => {
    const rows = refit()
    job(rows, 'planned')
    step(rows, 'j', 'a', sure)
    step(rows, 'planned', 'b', sure)
    const ratios = rising(drawn(rows, (all) => (all.get('b') ?? 0) / (all.get('a') ?? 1)))
    // (10 + 10 found) ÷ 40 are a half: 1 + 0.5 × e^(−0.08), its median.
    expect(Math.abs(percentile(ratios, 0.5) - 1.4616)).toBeLessThan(0.02)
  })
  it('has a part come by its day in every other run, and leaves other days alone', () => {
    const rows = refit()
    step(rows, 'j', 'a', { ...sure, notBefore: '2027-04-18' })
    add(rows, 'part', 'p', {
      name: 'P',
      neededByStepId: 'a',
      state: 'ordered',
      arrivesOn: '2027-05-15',
    })
    const draw = drawsOf(prepare(rows, friday))
    const random = createRandom(3)
    const at = rising(Array.from({ length: many }, () => draw(random).releases?.get('a') ?? 0))
    const due = Date.UTC(2027, 4, 16)
    expect(Math.abs((percentile(at, 0.5) - friday) / (due - friday) - 1)).toBeLessThan(0.03)
    // Spread √(0.35² + 0.1²) = 0.364: 8 in 10 by e^(0.8416 × 0.364).
    expect(Math.abs((percentile(at, 0.8) - friday) / (due - friday) / 1.3585 - 1)).toBeLessThan(
      0.03,
    )
    expect(at[0]).toBeGreaterThanOrEqual(Date.UTC(2027, 3, 18))
  })
})

describe('runs', () => {
  const forecast = (rows: ReturnType<typeof refit>, runs = 600, seed = 1) =>
    atOnce(forecastRuns(rows, makePlan(rows, friday).plan, runs, seed))

  it('date a gate as the hours fall: 16 h of two days of 8 in 48 runs of 100, less the days nobody comes', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const gate = forecast(rows)?.gates[0]
    if (!gate) throw new Error('no gate')
    // 0.95 × 0.5 + 0.05 × 0.11 = 0.48 in time; both days come in 0.94².
    const inTime = chanceBy(gate, Date.UTC(2027, 3, 18, 16))
    expect(Math.abs(inTime - 0.48 * 0.94 ** 2)).toBeLessThan(0.05)
    expect(gate.safeAt).toBeGreaterThan(gate.likelyAt)
    expect(chanceBy(gate, gate.safeAt)).toBeGreaterThanOrEqual(0.8)
  })
  it('are the same for a seed and others for another, and never say a gate sooner for more work', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const once = forecast(rows, 60)
    expect(forecast(rows, 60)).toEqual(once)
    expect(forecast(rows, 60, 2)?.hours).not.toEqual(once?.hours)
    step(rows, 'j', 'b', sure)
    expect(forecast(rows)?.gates[0]?.safeAt).toBeGreaterThan(once?.gates[0]?.safeAt ?? Infinity)
  })
  it('say nothing where nothing is open', () => {
    expect(forecast(refit(), 10)).toBeNull()
  })
})
