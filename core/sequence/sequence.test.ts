import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import { makePlan } from '../plan/makePlan'
import { add, emptyRefit, job, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { ticksOf } from './axis'
import { mostLabelWidth, strakeRows } from './planks'
import { xAt, xInside } from './scale'
import { ashoreSpans, waterPath } from './water'

const day = 86_400_000
const at = (month: number, date: number, hour = 0) => Date.UTC(2027, month, date, hour)
/** Ten units a day from 1 April 2027, from 100 on. */
const scale = { from: at(3, 1), to: at(4, 1), left: 100, right: 400 }

describe('the scale', () => {
  it('puts days ten units apart, and keeps what is outside on the plot when asked', () => {
    expect(xAt(scale, at(3, 11))).toBe(200)
    expect(xAt(scale, at(2, 22))).toBe(0)
    expect(xInside(scale, at(2, 22))).toBe(100)
    expect(xInside(scale, at(5, 22))).toBe(400)
  })

  it('marks Mondays, each week, every four weeks, or every two months', () => {
    // 1 April 2027 is a Thursday: the first Monday is the 5th.
    expect(ticksOf('2027-04-01', '2027-05-01')).toEqual([
      { date: '2027-04-05', named: true },
      { date: '2027-04-12', named: false },
      { date: '2027-04-19', named: false },
      { date: '2027-04-26', named: false },
    ])
    expect(ticksOf('2027-04-05', '2027-04-06').map((one) => one.date)).toEqual(['2027-04-05'])
    const half = ticksOf('2027-04-01', '2027-10-01').map((one) => one.date)
    expect(half.slice(0, 2)).toEqual(['2027-04-05', '2027-05-03'])
    const long = ticksOf('2027-04-01', '2029-04-01')
    expect(long.slice(0, 2)).toEqual([
      { date: '2027-04-05', named: true },
      { date: '2027-06-05', named: true },
    ])
  })
})

describe('the water', () => {
  it('falls where she is lifted and rises where she is launched', () => {
    const spans = [{ from: at(3, 11), to: at(3, 21) }]
    expect(waterPath(spans, scale, 5, 50)).toBe(
      'M100 5 L186 5 C200 5 200 50 214 50 L286 50 C300 50 300 5 314 5 L400 5',
    )
    expect(waterPath([{ from: at(2, 1), to: at(6, 1) }], scale, 5, 50)).toBe('M100 50 L400 50')
    // Launched and lifted on the same day: nothing rises between.
    expect(waterPath([...spans, { from: at(3, 21), to: at(6, 1) }], scale, 5, 50)).toBe(
      'M100 5 L186 5 C200 5 200 50 214 50 L400 50',
    )
  })

  it('goes by the launch that was, the one planned, and the one aimed at', () => {
    const rows = emptyRefit()
    add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard', liftFrom: '08:00' })
    for (const [id, liftOutAimed, launchActual] of [
      ['was', '2027-04-01', '2027-04-10'],
      ['planned', '2027-04-12', null],
      ['aimed', '2027-05-06', null],
    ] as const)
      add(rows, 'haulOut', id, {
        name: id,
        placeId: 'yard',
        liftOutAimed,
        launchAimed: '2027-05-20',
        launchActual,
      })
    const plan = makePlan(rows, at(3, 5)).plan
    const dated = {
      ...plan,
      launches: [{ haulOutId: 'planned', from: at(3, 13, 11), at: at(4, 3, 9) }],
    }
    expect(ashoreSpans(rows, dated, zoneClock('UTC'))).toEqual([
      { from: at(3, 1, 8), to: at(3, 10, 8) },
      { from: at(3, 13, 8), to: at(4, 3, 9) },
      { from: at(4, 6, 8), to: at(4, 20, 10) },
    ])
  })
})

describe('planks', () => {
  it('join what lies within four days, by strake, and know what is done, waits and holds', () => {
    const rows = emptyRefit()
    add(rows, 'zone', 'keel', { name: 'Keel', strake: 'underwater', order: 'b' })
    job(rows, 'Keel job', { zoneId: 'keel' })
    const done = { state: 'done', doneAt: at(3, 3, 12), hoursLikely: 4 } as const
    step(rows, 'Keel job', 'old', done)
    step(rows, 'Keel job', 'next', { hoursLikely: 12 })
    step(rows, 'Keel job', 'late', { hoursLikely: 1 })
    step(rows, 'Keel job', 'bench', { hoursLikely: 1, placeNeed: 'shed' })
    const placed = (stepId: string, from: number, to: number, readyAt = to) => ({
      stepId,
      segments: [[from, to]] as const,
      readyAt,
      personIds: [],
      binding: { kind: 'now' as const },
    })
    const plan = {
      ...makePlan(rows, at(3, 5)).plan,
      placements: [
        placed('next', at(3, 7, 12), at(3, 8), at(3, 9)),
        placed('late', at(3, 12, 1), at(3, 13)),
        placed('bench', at(3, 12), at(3, 13)),
      ],
    }
    const found = strakeRows(rows, plan, scale, new Set(['next']), null)
    expect(found.map((row) => row.strake)).toEqual(['shed', 'underwater'])
    const [first, second] = found[1]?.planks ?? []
    // From the old step's end on the 3rd at noon to the 7th at noon are four days; from the 8th to the 12th
    // at one in the morning an hour more.
    expect(first).toMatchObject({
      label: 'Keel job',
      stepIds: ['old', 'next'],
      done: 0.25,
      binding: true,
      from: at(3, 3, 8),
      to: at(3, 8),
      waitTo: at(3, 9),
    })
    expect(second).toMatchObject({ label: 'late', binding: false, done: 0 })
    expect(first?.x).toBeCloseTo(100 + (2 + 8 / 24) * 10)
    expect(first?.waitWidth).toBeCloseTo(10)
    const kept = strakeRows(rows, plan, scale, new Set(), new Set(['bench']))
    expect(kept.map((row) => row.strake)).toEqual(['shed'])
  })

  it('never lie on one another or on a name, in any lane', () => {
    fc.assert(
      fc.property(fc.nat(1000), fc.integer({ min: 1, max: 25 }), (seed, jobs) => {
        const rows = bigRefit(seed, jobs, 4, 2)
        const now = at(3, 16, 12)
        const { plan } = makePlan(rows, now)
        const wide = { from: now - 20 * day, to: now + 60 * day, left: 86, right: 900 }
        for (const row of strakeRows(rows, plan, wide, new Set(), null))
          for (let lane = 0; lane < row.lanes; lane++) {
            const boxes = row.planks
              .filter((one) => one.lane === lane)
              .map((one) => {
                const name = Math.min(one.label.length * 7.3, mostLabelWidth)
                const end = one.x + one.width + one.waitWidth + (one.labelInside ? 0 : name)
                return [one.x, end] as const
              })
              .sort((a, b) => a[0] - b[0])
            boxes.forEach(([x], index) => {
              if (index > 0) expect(x).toBeGreaterThanOrEqual(boxes[index - 1]?.[1] ?? 0)
            })
          }
      }),
      { numRuns: 12 },
    )
  })
})
