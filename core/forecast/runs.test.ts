/** Draws and runs against what can be worked out without them. */
import { describe, expect, it } from 'vitest'
import { atOnce } from '../inParts'
import { makePlan } from '../plan/makePlan'
import { prepare } from '../plan/prepare'
import { createRandom } from '../random'
import { add, job, person, step } from '../testing/build'
import { friday, weekends } from '../testing/weekends'
import { drawsOf, foundSpreadOf, stepSpread } from './draws'
import { percentile } from './normal'
import { oddsOf } from './odds'
import { chanceOn, likelyDates } from './oddsWords'
import { forecastRuns, joined } from './runs'

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
  const { draw } = drawsOf(prepare(rows, friday))
  const random = createRandom(7)
  return Array.from({ length: many }, () => of(draw(random).sample.workHours ?? new Map()))
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
    // (10 + 10 found) ÷ 40 are a half. Hardly anything was found, so it strays by the most, 0.8: 1 + 0.5 × e^(−0.32), its median.
    expect(Math.abs(percentile(ratios, 0.5) - 1.3631)).toBeLessThan(0.02)
  })
  it('has found work stray less the more of it is known and to come', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    for (let at = 0; at < 15; at++) {
      job(rows, `found ${at}`, { parentJobId: 'first' })
      step(rows, `found ${at}`, `found ${at}`, sure)
    }
    job(rows, 'planned')
    step(rows, 'planned', 'done', { hoursLikely: 640, state: 'done', doneAt: friday })
    step(rows, 'planned', 'open', { hoursLikely: 160 })
    // 16 found and 4 before; 170 h on 680, so 40 h of 160 to come: 20 × 40 ÷ 170 = 4.71 jobs. √(0.8 × (1 ÷ 20 + 1 ÷ 4.71)).
    expect(foundSpreadOf(rows)).toBeCloseTo(0.4583, 4)
  })
  it('has trades take as long as parts, drying stray by 0.3, and leaves cures to the air', () => {
    const rows = refit()
    for (const kind of ['calendar', 'dry', 'chem'] as const)
      step(rows, 'j', kind, { ...sure, waitKind: kind, waitHours: 100 })
    const { draw } = drawsOf(prepare(rows, friday))
    const random = createRandom(5)
    const all = Array.from({ length: many }, () => draw(random).sample.waitHours ?? new Map())
    const at80 = (id: string) => percentile(rising(all.map((one) => one.get(id) ?? 0)), 0.8)
    // Spread √(0.35² + 0.1²) = 0.364, and 0.3: 8 in 10 by e^(0.8416 × it).
    expect(Math.abs(at80('calendar') / 135.85 - 1)).toBeLessThan(0.03)
    expect(Math.abs(at80('dry') / 128.72 - 1)).toBeLessThan(0.03)
    expect(all.some((one) => one.has('chem'))).toBe(false)
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
    const { draw } = drawsOf(prepare(rows, friday))
    const random = createRandom(3)
    const at = rising(
      Array.from({ length: many }, () => draw(random).sample.releases?.get('a') ?? 0),
    )
    const due = Date.UTC(2027, 4, 16)
    expect(Math.abs((percentile(at, 0.5) - friday) / (due - friday) - 1)).toBeLessThan(0.03)
    // Spread √(0.35² + 0.1²) = 0.364: 8 in 10 by e^(0.8416 × 0.364).
    expect(Math.abs((percentile(at, 0.8) - friday) / (due - friday) / 1.3585 - 1)).toBeLessThan(
      0.03,
    )
    expect(at[0]).toBeGreaterThanOrEqual(Date.UTC(2027, 3, 18))
  })
  it('has a trade come late by its notice as a delivery does, on days on which it comes, and never too soon', () => {
    const late = (booking: object | null) => {
      const rows = refit()
      job(rows, 'rig', { gateId: 'done', doBy: 'trade' })
      step(rows, 'rig', 'tune', sure)
      // From a Monday on.
      const days = { stepId: 'tune', trade: 'Rigger', from: '2027-06-07', to: '2027-06-09' }
      if (booking) add(rows, 'tradeBooking', 'b', { ...days, state: 'booked', ...booking })
      const { draw } = drawsOf(prepare(rows, friday))
      const random = createRandom(9)
      const all = Array.from(
        { length: many },
        () => draw(random).sample.tradesLate?.get('tune') ?? -1,
      )
      return { all, share: (is: (days: number) => boolean) => all.filter(is).length / many }
    }
    // Whole days of 14 × (e^(0.364 z) − 1): none where z is under ln(1 + 0.5 ÷ 14) ÷ 0.364, more than 7 in 12 of 100.
    const booked = late({ noticeDays: 14 })
    expect(Math.abs(booked.share((one) => one === 0) - 0.538)).toBeLessThan(0.025)
    expect(Math.abs(booked.share((one) => one > 7) - 0.119)).toBeLessThan(0.02)
    const mondays = late({ noticeDays: 14, comesOn: [1] })
    expect(new Set(mondays.all.map((one) => one % 7))).toEqual(new Set([0]))
    expect(Math.abs(mondays.share((one) => one > 7) - 0.119)).toBeLessThan(0.02)
    // Nobody asked them, nor booked them: a fortnight's notice, in hours.
    const open = late(null)
    expect(Math.abs(open.share((one) => one === 0) - 0.5)).toBeLessThan(0.025)
    expect(Math.abs(open.share((one) => one > 7.5) - 0.119)).toBeLessThan(0.02)
  })
  it('loses days in the open by the share that suits, the same ones for all, more in a bad season', () => {
    const rows = refit()
    step(rows, 'j', 'a', { ...sure, needsDry: true })
    const { draw, drivers } = drawsOf(prepare(rows, friday))
    const random = createRandom(4)
    const noon = Date.UTC(2027, 5, 1, 12)
    const all = Array.from({ length: many }, () => draw(random))
    const lost = (share: number, days = 0) =>
      all.map(({ sample }) => sample.daysLost?.(noon + days * 86_400_000, share) ?? -1)
    const half = lost(0.5)
    const of = (is: (days: number) => boolean) => half.filter(is).length / many
    // Odds × e^(0.3 s): even ones by symmetry, two days and more by the mean of (1 − p)², 0.2551.
    expect(Math.abs(of((one) => one === 0) - 0.5)).toBeLessThan(0.025)
    expect(Math.abs(of((one) => one >= 2) - 0.2551)).toBeLessThan(0.02)
    expect(new Set(lost(1))).toEqual(new Set([0]))
    // One weather: a day later there is a day less to wait.
    const next = lost(0.5, 1)
    half.forEach((one, at) => one > 0 && expect(next[at]).toBe(one - 1))
    const mean = (some: typeof all) =>
      some.reduce((sum, { sample }) => sum + (sample.daysLost?.(noon, 0.5) ?? 0), 0) / some.length
    const bad = (one: (typeof all)[number]) => (one.values[0] ?? 0) > 0
    expect(mean(all.filter(bad))).toBeGreaterThan(mean(all.filter((one) => !bad(one))))
    expect(drivers.map((one) => one.kind)).toContain('weather')
  })
})

describe('runs', () => {
  function runsOf(rows: ReturnType<typeof refit>, from: number, to: number, seed = 1) {
    const { plan } = makePlan(rows, friday)
    return { plan, runs: atOnce(forecastRuns(rows, plan, { seed, from, to })) }
  }
  function odds(rows: ReturnType<typeof refit>, many = 600) {
    const { plan, runs } = runsOf(rows, 0, many)
    if (!runs) throw new Error('no runs')
    return oddsOf(rows, plan, runs)
  }
  function gateOf(rows: ReturnType<typeof refit>, many?: number) {
    const [gate] = odds(rows, many).gates
    if (!gate) throw new Error('no gate')
    return gate
  }

  it('date a gate as the hours fall: 16 h of two days of 8 in 48 runs of 100, less the days nobody comes', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const gate = gateOf(rows)
    // 0.95 × 0.5 + 0.05 × 0.11 = 0.48 in time; both days come in 0.94².
    expect(Math.abs(chanceOn(gate, '2027-04-18') / 100 - 0.48 * 0.94 ** 2)).toBeLessThan(0.05)
    const { likelyOn, safeOn } = likelyDates(gate)
    expect((safeOn ?? '') >= (likelyOn ?? '9')).toBe(true)
    expect(chanceOn(gate, safeOn ?? '')).toBeGreaterThanOrEqual(80)
  })
  it('have a gate that waits for two deliveries in as many runs as both have come: half of a half', () => {
    const rows = refit()
    const deliver = (id: string) => {
      step(rows, 'j', id, { ...sure, hoursLow: 1, hoursLikely: 1, hoursHigh: 1, parallel: true })
      const state = 'ordered' as const
      add(rows, 'part', id, { name: id, neededByStepId: id, state, arrivesOn: '2027-05-15' })
    }
    deliver('a')
    const one = chanceOn(gateOf(rows, 3000), '2027-05-16') / 100
    deliver('b')
    const two = chanceOn(gateOf(rows, 3000), '2027-05-16') / 100
    // By Sunday afternoon Φ(ln(30.1 ÷ 29.5) ÷ 0.364) = 0.522; of both its square, and 0.012 as one season moves both.
    expect(Math.abs(one - 0.522)).toBeLessThan(0.03)
    expect(Math.abs(two - 0.284)).toBeLessThan(0.03)
  })
  it('are the same for a seed however they are shared out, and others for another', () => {
    const rows = refit()
    step(rows, 'j', 'a', sure)
    const whole = runsOf(rows, 0, 60).runs
    const parts = [runsOf(rows, 0, 25).runs, runsOf(rows, 25, 60).runs].flatMap((one) => one ?? [])
    expect(joined(parts)).toEqual(whole)
    expect(runsOf(rows, 0, 60, 2).runs?.hours).not.toEqual(whole?.hours)
  })
  it('have no day for a gate in a run in which its work finds no room', () => {
    const rows = refit()
    // 16 h of four days of 8 by its last day: more than 32 h in about one run of seven.
    step(rows, 'j', 'a', { hoursLow: 8, hoursLikely: 16, hoursHigh: 32, notAfter: '2027-04-25' })
    const { days, never } = gateOf(rows)
    expect(never).toBeGreaterThan(30)
    expect(never + days.reduce((sum, [, some]) => sum + some, 0)).toBe(600)
  })
  it('name what holds the gate, by order and by hands, and what makes its doubt', () => {
    const rows = refit()
    step(rows, 'j', 'long', sure)
    step(rows, 'j', 'next', { ...sure, operation: 'drill' })
    job(rows, 'side', { parentJobId: 'first', gateId: 'done' })
    person(rows, 'Bob', [6, 7], '08:00', '16:00')
    for (const one of rows.step) Object.assign(one, { wantedPersonId: 'Ann' })
    step(rows, 'side', 'quick', { hoursLikely: 0.2, wantedPersonId: 'Bob' })
    const { onChain, doubts, next } = odds(rows)
    expect(onChain).toMatchObject({ long: 1, next: 1 })
    expect(onChain.quick ?? 0).toBeLessThan(0.2)
    expect(next?.gateId).toBe('done')
    const share = (kind: string) =>
      doubts.reduce((sum, one) => sum + (one.kind === kind ? one.ofDays : 0), 0)
    // No steps of either kind were done: 0.3 of doubt each outweighs a season's 0.08 and its days off.
    expect(share('kind')).toBeGreaterThan(2 * share('season'))
    expect(doubts.every((one) => !one.kind.startsWith('price') || one.ofDays === 0)).toBe(true)
  })
  it('say nothing where nothing is open', () => {
    expect(runsOf(refit(), 0, 10).runs).toBeNull()
  })
})
