/** The parts of the drawing, by hand. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, person, step } from '../testing/build'
import { handsOn } from '../plan/handsOn'
import type { StoredPlan } from '../model/stored'
import { zoneClock } from '../time/zone'
import { airLine } from './airLine'
import { daysHeadline, gateHeadline, seasonsHeadline } from './headline'
import { widthOf } from './measure'
import { linesOf } from './phone'
import { planksOf } from './planks'
import type { PlankFacts } from './planks'
import type { Piece } from './pieces'
import { flagged } from './posts'
import type { Post } from './posts'
import { knotsOf, ropePath } from './rope'
import { atX, dayRuler, mondayOn, weekRuler, xOf } from './ruler'
import { standsOf } from './water'
import { troughsOf } from './troughs'
import { tideSpans } from './spans'
import { pairOf } from './weekend'
import { weekFigures } from './weeks'

const clock = zoneClock('UTC')
const dayMs = 86_400_000
/** Day number of a date in May 2027; the 1st is a Saturday. */
const may = (date: number) => Date.UTC(2027, 4, date) / dayMs
const at = (date: number, hour = 0) => may(date) * dayMs + hour * 3_600_000

describe('the ruler', () => {
  it('gives a day 7 units and 1.9 for each hour of hands, at most 15 of them', () => {
    // Units: 7, 7 + 1.9 × 10 = 26, 7 + 1.9 × 15 = 35.5 though 20 hours are there. In all 68.5.
    const hours = [0, 10, 20]
    const ruler = dayRuler(may(1), may(4), (day) => hours[day - may(1)] ?? 0, clock, 0, 685)
    expect(xOf(ruler, at(2))).toBeCloseTo(70, 6)
    expect(xOf(ruler, at(3))).toBeCloseTo(330, 6)
    expect(xOf(ruler, at(4))).toBeCloseTo(685, 6)
    // Eight in the morning is a tenth into the day, six in the evening nine tenths.
    expect(xOf(ruler, at(2, 8))).toBeCloseTo(70 + 26, 6)
    expect(xOf(ruler, at(2, 18))).toBeCloseTo(70 + 234, 6)
    expect(xOf(ruler, at(9))).toBe(685)
    expect(xOf(ruler, at(-9))).toBe(0)
  })

  it('gives a week 19 units and 1.15 for each hour, and folds an empty one to 3', () => {
    const week = (date: number, planned: number, logged: number) => ({
      monday: may(date),
      planned,
      logged,
    })
    // 19 + 1.15 × (20 + 0.2 × 10) = 44.3; 3; 19 + 1.15 × 42 = 67.3: in all 114.6.
    const ruler = weekRuler([week(3, 20, 10), week(10, 0.2, 0.2), week(17, 90, 0)], clock, 0, 1146)
    expect(xOf(ruler, at(10))).toBeCloseTo(443, 6)
    expect(xOf(ruler, at(17))).toBeCloseTo(473, 6)
  })

  it('reads back the instant it was asked for, and never runs backwards', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { minLength: 2, maxLength: 40 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (hours, a, b) => {
          const end = may(1) + hours.length
          const ruler = dayRuler(may(1), end, (day) => hours[day - may(1)] ?? 0, clock, 50, 900)
          const [from, to] = [Math.min(a, b), Math.max(a, b)].map((share) =>
            Math.round(ruler.from + share * (ruler.to - ruler.from)),
          ) as [number, number]
          expect(xOf(ruler, from)).toBeLessThanOrEqual(xOf(ruler, to))
          expect(Math.abs(atX(ruler, xOf(ruler, from)) - from)).toBeLessThan(1000)
        },
      ),
    )
  })
})

const piece = (id: string, from: number, to: number, more: Partial<Piece> = {}): Piece => {
  const rows = emptyRefit()
  const own = job(rows, more.job?.id ?? 'sole', { title: 'Sole', shortName: 'Sole, short' })
  return {
    step: step(rows, own.id, id, { title: `Step ${id}` }),
    job: own,
    level: 'below',
    away: false,
    from,
    to,
    seam: [{ from, to, kind: 'hands' }],
    done: false,
    byOthers: false,
    hours: 2,
    ...more,
  }
}
const facts: PlankFacts = {
  chain: new Set<string>(),
  needed: new Set(['a']),
  arcs: [],
  readyBy: () => null,
}

describe('the water at the slip', () => {
  /** High at noon from the 1st to the 6th of May, 3 m but for the 4th and 5th, on which it is 2 m; 1 m at six and six. */
  function slip(highs: readonly number[], launched: object) {
    const rows = emptyRefit()
    Object.assign(rows.refit[0] as object, { draughtM: 2 })
    add(rows, 'tideStation', 's', {
      name: 'By table',
      basis: 'table',
      turns: highs.flatMap((heightM, index) => [
        { at: at(index + 1, 6), heightM: 1 },
        { at: at(index + 1, 12), heightM },
        { at: at(index + 1, 18), heightM: 1 },
      ]),
    })
    add(rows, 'place', 'yard', {
      ...{ name: 'Yard', kind: 'yard', tideStationId: 's', underKeelM: 0.3, slipDepthM: -0.2 },
      ...{ liftFrom: '09:00', liftUntil: '16:00', launchMin: 20 },
    })
    add(rows, 'haulOut', 'h', {
      ...{ name: 'Spring', placeId: 'yard', liftOutAimed: '2027-04-01' },
      ...{ launchAimed: '2027-05-06', ...launched },
    })
    return rows
  }
  const ruler = dayRuler(may(1), may(7), () => 10, clock, 0, 600)
  const seen = (highs: readonly number[], from = may(1), launched = {}) =>
    tideSpans(slip(highs, launched), clock, ruler, from).map(({ x0, x1, from, to }) => [
      ...[Math.round(x0), Math.round(x1)],
      ...[from, to],
    ])
  it('have the days on which 2 m, 0.3 under the keel and 0.2 that dry are there', () => {
    const sixth = [500, 600, '2027-05-06', '2027-05-06']
    expect(seen([3, 3, 3, 2, 2, 3])).toEqual([[0, 300, '2027-05-01', '2027-05-03'], sixth])
    expect(seen([3, 3, 3, 2, 2, 3], may(3))).toEqual([
      [200, 300, '2027-05-03', '2027-05-03'],
      sixth,
    ])
  })
  it('say nothing where every day has water, or none has', () => {
    expect([seen([3, 3, 3, 3, 3, 3]), seen([2, 2, 2, 2, 2, 2])]).toEqual([[], []])
  })
  it('say nothing where no launch is to come', () => {
    expect(seen([3, 3, 3, 2, 2, 3], may(1), { launchActual: '2027-04-29' })).toEqual([])
  })
})

describe('planks', () => {
  it('join what of a job lies within the gap, and say the step where it is alone', () => {
    const list = [piece('a', at(1), at(2)), piece('b', at(20), at(21)), piece('c', at(50), at(51))]
    const planks = planksOf(list, facts, 20)
    expect(planks.map((one) => [one.name, one.pieces.length, one.goesOn, one.ofGate])).toEqual([
      ['Sole', 2, true, true],
      ['Step c', 1, false, false],
    ])
    expect(planksOf(list, facts, 30)).toHaveLength(1)
    // Work away is a plank of its own.
    expect(planksOf([...list, piece('d', at(3), at(4), { away: true })], facts, 60)).toHaveLength(2)
  })

  it('have the whole days to the first thing that follows, or to the day all must be ready', () => {
    const arc = { from: 'a', to: 'z', minWaitHours: 0, maxWaitHours: null, once: 'cured' as const }
    const other = { id: 'other' } as Piece['job']
    const list = [piece('a', at(1), at(2)), piece('z', at(9, 12), at(10), { job: other })]
    const slack = (more: Partial<PlankFacts>) =>
      planksOf(list, { ...facts, ...more }, 20).find((one) => one.pieces[0]?.step.id === 'a')
        ?.slackDays
    expect(slack({})).toBeNull()
    // From the end of the 1st to noon of the 9th are 7.5 days.
    expect(slack({ arcs: [arc] })).toBe(7)
    expect(slack({ arcs: [arc], readyBy: () => at(5) })).toBe(3)
  })
})

describe('the rope', () => {
  it('ties knots nearer than 24 px on one seam, and no others', () => {
    const point = (number: number, x: number, y: number) => ({ number, stepId: `s${number}`, x, y })
    const knots = knotsOf([
      point(5, 100, 40),
      point(4, 120, 40),
      point(3, 130, 90),
      point(2, 160, 40),
    ])
    expect(knots.map((one) => [one.label, one.x])).toEqual([
      ['4–5', 110],
      ['3', 130],
      ['2', 160],
    ])
    expect(knotsOf([point(9, 0, 0), point(6, 10, 0)])[0]?.label).toBe('6, 9')
    expect(
      ropePath([
        { x: 0, y: 5 },
        { x: 20, y: 5 },
      ]),
    ).toBe('M0.0 5.0L20.0 5.0')
  })
})

describe('posts', () => {
  it('never lay a flag on a flag or on a post that runs down through its row', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 130, max: 1180 }), { minLength: 1, maxLength: 7 }),
        (xs) => {
          const posts = xs.map((x, index): Post => ({
            key: String(index),
            kind: index === 0 ? 'asked' : 'gate',
            x,
            label: `Gate ${index} on 22 May`,
            gateId: null,
          }))
          const placed = flagged(posts, 4, 1276).filter((one) => one.row !== null)
          for (const a of placed)
            for (const b of placed) {
              if (a === b) continue
              if (a.row === b.row) expect(a.right <= b.left || b.right <= a.left).toBe(true)
              else if ((a.row ?? 0) > (b.row ?? 0)) expect(a.x < b.left || a.x > b.right).toBe(true)
            }
        },
      ),
    )
  })
})

describe('water and hours', () => {
  it('has her afloat between what she is ashore for, and says what is only aimed at', () => {
    const ruler = dayRuler(may(1), may(31), () => 8, clock, 0, 300)
    const spans = [
      { from: at(-40), to: at(11), known: false },
      { from: at(21), to: at(60), known: true },
    ]
    expect(
      standsOf(spans, ruler).map((one) => [one.afloat, one.known, Math.round(one.x0)]),
    ).toEqual([
      [false, true, 0],
      [true, false, 100],
      [false, true, 200],
    ])
  })

  it('are the same in the week and over the day: at the place worked that day, the pause taken off', () => {
    const rows = emptyRefit()
    // Home at 8, back at 18: an hour each way and half an hour at either end leave 7 h on her, 10 h in the shed.
    add(rows, 'place', 'berth', {
      name: 'Berth',
      kind: 'berth',
      travelMin: 60,
      setUpMin: 30,
      packUpMin: 30,
    })
    add(rows, 'place', 'shed', {
      name: 'Shed',
      kind: 'shed',
      travelMin: 0,
      setUpMin: 0,
      packUpMin: 0,
    })
    // Half an hour's pause at noon: worked through on Saturday, kept on Sunday.
    person(rows, 'ida', [6, 7], '08:00', '18:00', { breakFrom: '12:00', breakMin: 30 })
    job(rows, 'sole')
    step(rows, 'sole', 'aboard')
    step(rows, 'sole', 'bench', { placeNeed: 'shed' })
    const put = (stepId: string, from: number, to: number) => ({
      stepId,
      segments: [[from, to] as const],
      readyAt: to,
      personIds: ['ida'],
      binding: { kind: 'now' as const },
    })
    const plan = {
      launches: [],
      placements: [put('aboard', at(1, 10), at(1, 13)), put('bench', at(2, 9), at(2, 11))],
    }
    const hands = handsOn(rows, plan, clock)
    expect(hands(may(1)).hours).toBe(7)
    expect(hands(may(2)).hours).toBe(9.5)
    expect(hands(may(3)).hours).toBe(0)
    add(rows, 'hoursEntry', 'e', { jobId: 'sole', personId: 'ida', on: '2027-04-28', hours: 4 })
    const monday = mondayOn(may(1))
    expect(weekFigures(rows, plan, clock, hands, monday, monday + 7, may(2))).toEqual([
      { monday, planned: 5, logged: 4, there: 9.5 },
    ])
  })

  it('spill what does not fit, and say both figures where there is room', () => {
    const ruler = dayRuler(may(3), may(17), () => 8, clock, 0, 280)
    const weeks = [
      { monday: may(3), planned: 30, logged: 0, there: 20 },
      { monday: may(10), planned: 5, logged: 0, there: 20 },
    ]
    const [first, second] = troughsOf(weeks, ruler, clock, 30, false)
    expect([first?.planned, first?.over, first?.figures]).toEqual([20, 10, '30 / 20 h'])
    expect([second?.planned, second?.over]).toEqual([5, 0])
  })
})

describe('sentences over the drawing', () => {
  const plan = (kind: 'liftDay' | 'now', readyAt: number, gateAt: number) =>
    ({
      gates: [{ gateId: 'g', at: gateAt, readyAt, binding: { kind, haulOutId: 'h' } }],
    }) as unknown as StoredPlan
  const said = {
    standing: 'dated' as const,
    short: '',
    title: 'As everywhere',
    because: [],
    leavesOut: [],
  }

  it('tell the work from the lift only where the lift is what she waits for', () => {
    const line = (one: StoredPlan, own = said) => gateHeadline('g', own, one, clock, '2027')
    expect(line(plan('liftDay', at(23), at(25)))).toBe(
      'Work is ready on 23 May; the yard lifts on 25 May',
    )
    expect(line(plan('liftDay', at(25, 8), at(25, 9)))).toBe('As everywhere')
    expect(line(plan('now', at(23), at(25)))).toBe('As everywhere')
    expect(line(plan('liftDay', at(23), at(25)), { ...said, standing: 'notBefore' as never })).toBe(
      'As everywhere',
    )
  })

  it('count full weeks and steps that are not for the gate', () => {
    const week = (date: number, planned: number) => ({
      monday: may(date),
      planned,
      logged: 0,
      there: 10,
    })
    const gate = { said: 'the launch', until: may(18) }
    expect(seasonsHeadline([week(3, 9), week(10, 8.9), week(17, 10), week(24, 0)], gate)).toBe(
      '2 of 3 weeks to the launch are full',
    )
    expect(seasonsHeadline([], gate)).toBe('Nobody is there in the weeks to come')
    const days = ['Saturday', 'Sunday']
    expect(
      daysHeadline(
        days,
        [
          { steps: 8, others: 0 },
          { steps: 9, others: 5 },
        ],
        'the launch',
      ),
    ).toBe('Not for the launch: 0 of 8 steps on Saturday, 5 of 9 steps on Sunday')
    expect(
      daysHeadline(
        days,
        [
          { steps: 8, others: 0 },
          { steps: 0, others: 0 },
        ],
        'the launch',
      ),
    ).toBe('Saturday works for the launch')
  })

  it('shows weekends whole, and other days with the next', () => {
    // 1 May 2027 is a Saturday.
    expect([1, 2, 3, 6, 7, 8].map((date) => pairOf(may(date)) - may(0))).toEqual([1, 1, 3, 6, 6, 8])
  })
})

describe('words and air', () => {
  it('are as wide as their letters', () => {
    expect(widthOf('ii', 10)).toBeCloseTo(2 * widthOf('i', 10), 9)
    expect(widthOf('W', 10)).toBeGreaterThan(2 * widthOf('i', 10))
    const two = widthOf('aaa aaa', 16)
    expect(linesOf('aaa aaa', 16, 600, two)).toBe(1)
    expect(linesOf('aaa aaa', 16, 600, two - 1)).toBe(2)
  })

  it('is fit to coat without rain and three degrees over the dew point', () => {
    const ruler = dayRuler(may(1), may(2), () => 8, clock, 0, 100)
    const hour = (hour: number, tempC: number, rain = false) => ({
      at: at(1, hour),
      tempC,
      dewC: 8,
      rain,
    })
    const hours = [
      hour(8, 10),
      hour(9, 11),
      hour(10, 12),
      hour(11, 13, true),
      hour(12, 13),
      hour(13, 10.9),
    ]
    const air = airLine(hours, [at(1, 8), at(1, 14)], 10, ruler, [0, 50])
    expect(air?.fit.map((one) => [one.from, one.to])).toEqual([
      [at(1, 9), at(1, 11)],
      [at(1, 12), at(1, 13)],
    ])
    expect(airLine(hours, [at(4, 8), at(4, 14)], 10, ruler, [0, 50])?.usual).toBe(true)
    expect(airLine(hours, [at(4, 8), at(4, 14)], null, ruler, [0, 50])).toBeNull()
  })
})
