/** Properties of every plan, all judged by the independent checker or by brute force. */
import { draws } from '../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bigRefit } from '../../demo/bigRefit'
import { add, emptyRefit, job, person, step } from '../testing/build'
import type { Building } from '../testing/build'
import type { StoredPlan } from '../model/stored'
import { judgePlan } from '../../tests/judge/judgePlan'
import { findCycle } from './network'
import { makePlan } from './makePlan'

const friday = Date.UTC(2027, 3, 16, 12)
const hour = 3_600_000

describe('every plan', () => {
  it('keeps people, places, waits, windows, order and launches', () => {
    fc.assert(
      fc.property(
        fc.nat(1_000_000),
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 4 }),
        (seed, jobs, steps) => {
          const rows = bigRefit(seed, jobs, steps, 2)
          const { plan } = makePlan(rows, friday)
          expect(plan.status).toBe('feasible')
          expect(judgePlan(rows, plan)).toEqual([])
        },
      ),
      { numRuns: draws(18) },
    )
  })

  it('is the same for the same input and leaves the input alone', () => {
    const rows = bigRefit(7, 60, 4, 2)
    const before = structuredClone(rows)
    const first = makePlan(rows, friday)
    expect(rows).toEqual(before)
    // Rows that arrive in another order (another window, an import) give the same plan.
    for (const list of [rows.step, rows.job, rows.link, rows.person]) list.reverse()
    const byStep = (plan: StoredPlan) =>
      Object.fromEntries(plan.placements.map((one) => [one.stepId, one]))
    expect(byStep(makePlan(rows, friday).plan)).toEqual(byStep(first.plan))
  })
})

/** One to four steps of whole hours, one or two people, one Saturday after another, 08:00–12:00. */
const tiny = fc.record({
  people: fc.integer({ min: 1, max: 2 }),
  steps: fc.array(
    fc.record({
      hours: fc.integer({ min: 1, max: 5 }),
      crew: fc.integer({ min: 1, max: 2 }),
      wait: fc.integer({ min: 0, max: 3 }),
      afterPrevious: fc.boolean(),
    }),
    { minLength: 1, maxLength: 4 },
  ),
})
type Tiny = typeof tiny extends fc.Arbitrary<infer T> ? T : never

function tinyRefit(spec: Tiny): Building {
  const rows = emptyRefit()
  for (let p = 0; p < spec.people; p++) person(rows, `p${p}`, [6], '08:00', '12:00')
  spec.steps.forEach((one, index) => {
    job(rows, `j${index}`)
    step(rows, `j${index}`, `s${index}`, {
      hoursLikely: one.hours * one.crew,
      crewMin: one.crew,
      crewMax: one.crew,
      splittable: false,
      waitKind: one.wait > 0 ? 'calendar' : 'none',
      waitHours: one.wait,
    })
    if (index > 0 && one.afterPrevious)
      add(rows, 'link', `l${index}`, { fromJobId: `j${index - 1}`, toJobId: `j${index}` })
  })
  return rows
}

const saturdayHours = Array.from({ length: 4 }, (_, week) =>
  Array.from({ length: 4 }, (_, h) => Date.UTC(2027, 3, 17 + week * 7, 8 + h)),
).flat()

/** Every start on the hour over four Saturdays, by plain search: the least last finish, or null. */
function bruteForce(spec: Tiny): number | null {
  let best: number | null = null
  const chosen: number[] = []
  const fits = (index: number, start: number): boolean => {
    const one = spec.steps[index] as Tiny['steps'][number]
    const hourOfDay = new Date(start).getUTCHours()
    if (hourOfDay + one.hours > 12 || one.crew > spec.people) return false
    const previous = spec.steps[index - 1]
    if (one.afterPrevious && previous) {
      const ready = (chosen[index - 1] as number) + (previous.hours + previous.wait) * hour
      if (start < ready) return false
    }
    for (let t = start; t < start + one.hours * hour; t += hour) {
      let busy = one.crew
      chosen.forEach((other, i) => {
        const step = spec.steps[i] as Tiny['steps'][number]
        if (other <= t && t < other + step.hours * hour) busy += step.crew
      })
      if (busy > spec.people) return false
    }
    return true
  }
  const search = (index: number, last: number) => {
    if (best !== null && last >= best) return
    if (index === spec.steps.length) {
      best = last
      return
    }
    for (const start of saturdayHours) {
      if (!fits(index, start)) continue
      chosen.push(start)
      search(index + 1, Math.max(last, start + (spec.steps[index]?.hours ?? 0) * hour))
      chosen.pop()
    }
  }
  search(0, 0)
  return best
}

describe('tiny plans against brute force', () => {
  it('agree on what is possible, are never better than the best, and leave no step that could start an hour earlier', () => {
    fc.assert(
      fc.property(tiny, (spec) => {
        const rows = tinyRefit(spec)
        const { plan } = makePlan(rows, friday)
        const best = bruteForce(spec)
        expect(plan.status === 'feasible').toBe(best !== null)
        if (best === null) return
        expect(judgePlan(rows, plan)).toEqual([])
        const last = Math.max(...plan.placements.map((one) => one.segments.at(-1)?.[1] ?? 0))
        expect(last).toBeGreaterThanOrEqual(best)
        for (const one of plan.placements) expect(earlierFaults(rows, plan, one.stepId)).toBe(true)
        if (spec.steps.length === 1) expect(last).toBe(best)
      }),
      { numRuns: draws(50) },
    )
  })
})

/** True when moving the step to any earlier hour, with any people, breaks the checker's rules. */
function earlierFaults(rows: Building, plan: StoredPlan, stepId: string): boolean {
  const placed = plan.placements.find((one) => one.stepId === stepId)
  const [from, to] = placed?.segments[0] ?? [0, 0]
  const everyone = rows.person.map((one) => one.id)
  const crews =
    everyone.length === placed?.personIds.length ? [everyone] : everyone.map((id) => [id])
  for (const start of saturdayHours.filter((one) => one < from))
    for (const personIds of crews) {
      const wait = (placed?.readyAt ?? 0) - to
      const moved: StoredPlan = {
        ...plan,
        placements: plan.placements.map((one) =>
          one.stepId === stepId
            ? {
                ...one,
                personIds,
                segments: [[start, start + to - from]],
                readyAt: start + to - from + wait,
              }
            : one,
        ),
      }
      if (judgePlan(rows, moved).length === 0) return false
    }
  return true
}

describe('what cannot be done', () => {
  it('names the jobs of a circle', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    for (const id of ['Bed', 'Paint', 'Fair']) {
      job(rows, id)
      step(rows, id, `${id} step`)
    }
    for (const [from, to] of [
      ['Bed', 'Paint'],
      ['Paint', 'Fair'],
      ['Fair', 'Bed'],
    ] as const)
      add(rows, 'link', `${from}${to}`, { fromJobId: from, toJobId: to })
    const { plan } = makePlan(rows, friday)
    expect(plan.status).toBe('infeasible')
    expect(plan.reasons[0]).toMatchObject({ kind: 'cycle' })
    expect(plan.reasons[0]?.message).toContain('Bed → Paint → Fair → Bed')
    expect(plan.placements).toHaveLength(3)
  })

  it('finds a circle exactly when removing links leaves no topological order', () => {
    const links = fc.array(
      fc.record({ fromJobId: fc.constantFrom(...'abcdef'), toJobId: fc.constantFrom(...'abcdef') }),
      { maxLength: 12 },
    )
    fc.assert(
      fc.property(links, (list) => {
        // Independent: strip nodes without a way in until none are left or all have one.
        let nodes = [...'abcdef']
        for (let before = 7; before !== nodes.length;) {
          before = nodes.length
          nodes = nodes.filter((node) =>
            list.some((link) => link.toJobId === node && nodes.includes(link.fromJobId)),
          )
        }
        const cycle = findCycle(list)
        expect(cycle !== null).toBe(nodes.length > 0)
        cycle?.forEach((id, index) => {
          const next = cycle[(index + 1) % cycle.length]
          expect(list.some((link) => link.fromJobId === id && link.toJobId === next)).toBe(true)
        })
      }),
    )
  })

  it.each([
    ['noSkill', { skill: 'electrics' }, /needs somebody for electrics, and nobody does that/],
    ['tooLong', { hoursLikely: 9, splittable: false }, /9 h in one go.*8 h/],
    ['noWindow', { hullNeed: 'ashore' }, /no haul-out is planned/],
    ['noHours', { crewMin: 2, crewMax: 2 }, /needs 2, but no hours are set for Idle/],
  ] as const)('%s', (kind, given, message) => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    person(rows, 'Idle', [], '08:00', '16:00')
    job(rows, 'Panel')
    step(rows, 'Panel', 'fit it', given)
    const { plan } = makePlan(rows, friday)
    expect(plan.status).toBe('infeasible')
    expect(plan.reasons.map((reason) => reason.kind)).toEqual([kind])
    expect(plan.reasons[0]?.message).toMatch(message)
  })

  it('warns when a bond window closes before the crew is back, and names the mend', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    job(rows, 'Deck')
    step(rows, 'Deck', 'plies', { operation: 'laminate', hoursLikely: 8, maxWaitHours: 48 })
    step(rows, 'Deck', 'fair', { operation: 'fair', hoursLikely: 5 })
    // Plies on Saturday 17 April 08:00–16:00, fairing on Saturday 24 April 08:00: 160 h, 6.7 days later.
    // No day is long enough for 48 minutes more, so the ply is laid within the eight hours.
    const { plan } = makePlan(rows, friday)
    expect(plan.warnings[0]?.message).toMatch(
      /within 48 h.*6\.7 days later.*Peel ply.*within its hours/,
    )
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('holds a coat back so that the next falls into its window', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [5], '13:00', '17:00')
    person(rows, 'Ben', [6], '08:00', '16:00')
    job(rows, 'Hull')
    const coat = { operation: 'prime' as const, waitKind: 'calendar' as const, waitHours: 6 }
    step(rows, 'Hull', 'one', { ...coat, hoursLikely: 2, maxWaitHours: 16 })
    step(rows, 'Hull', 'two', { ...coat, hoursLikely: 6 })
    // Ann from 13:00 on Friday would end at 15:00; Ben starts on Saturday at 08:00, 17 h later. An hour
    // later it is 16 h.
    const { plan } = makePlan(rows, friday)
    expect(plan.placements.map((one) => one.segments[0]?.[0])).toEqual([
      Date.UTC(2027, 3, 16, 14),
      Date.UTC(2027, 3, 17, 8),
    ])
    expect(plan.placements[0]?.binding.kind).toBe('bondWindow')
    expect(plan.warnings).toEqual([])
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('allows for weather more than a week ahead, by the share of days that suit it', () => {
    const coated = (notBefore: string | null) => {
      const rows = emptyRefit()
      person(rows, 'Ann', [6], '08:00', '16:00')
      job(rows, 'Deck')
      step(rows, 'Deck', 'sand', { operation: 'grind', hoursLikely: 4, notBefore })
      step(rows, 'Deck', 'coat', { operation: 'paint', hoursLikely: 2, needsDry: true })
      const { plan } = makePlan(rows, friday)
      expect(judgePlan(rows, plan)).toEqual([])
      return plan.placements[1]
    }
    // Tomorrow the forecast decides. On 1 May four days in five suit it: 24 h ÷ 0.8 is 6 h more, past the
    // end of that Saturday.
    expect(coated(null)?.segments[0]?.[0]).toBe(Date.UTC(2027, 3, 17, 12))
    expect(coated('2027-05-01')?.segments[0]?.[0]).toBe(Date.UTC(2027, 4, 8, 8))
    expect(coated('2027-05-01')?.binding).toEqual({
      kind: 'weather',
      share: 0.8,
      ms: 6 * hour,
      after: 'sand',
    })
  })

  it('keeps to keying where the longer work could start before the window shuts, by other hands', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [5], '08:00', '11:00', { skills: ['woodwork'] })
    person(rows, 'Ben', [6], '08:00', '12:00', { skills: ['woodwork'] })
    person(rows, 'Cal', [4], '08:00', '10:00', { skills: ['laminating'] })
    job(rows, 'Hull')
    step(rows, 'Hull', 'coat', {
      operation: 'prime',
      skill: 'laminating',
      hoursLikely: 2,
      maxWaitHours: 26,
    })
    step(rows, 'Hull', 'trim', { skill: 'woodwork', hoursLikely: 4 })
    // Cal ends on Thursday 22 April at 10:00, the window shuts on Friday at 12:00. Four hours are soonest
    // done by Ben on Saturday; five, with an hour of keying, would end with Ann's second Friday or Ben's
    // second Saturday. Whatever is chosen, it does not start in the window and key as well.
    const { plan } = makePlan(rows, friday)
    const trim = plan.placements[1]
    expect(trim?.mends).toMatchObject([{ kind: 'keying', fromStepId: 'coat', hours: 1 }])
    expect(trim?.segments).toEqual([
      [Date.UTC(2027, 3, 24, 8), Date.UTC(2027, 3, 24, 12)],
      [Date.UTC(2027, 4, 1, 8), Date.UTC(2027, 4, 1, 9)],
    ])
    expect(judgePlan(rows, plan)).toEqual([])
  })

  it('plans keying with its hours where holding back would cost a week', () => {
    const rows = emptyRefit()
    person(rows, 'Ann', [6], '08:00', '16:00')
    job(rows, 'Hull')
    const coat = { operation: 'prime' as const, waitKind: 'calendar' as const, waitHours: 12 }
    step(rows, 'Hull', 'one', { ...coat, hoursLikely: 2, maxWaitHours: 24 })
    step(rows, 'Hull', 'two', { ...coat, hoursLikely: 6 })
    // The second coat comes a week later: 6 h and a quarter of it, 1 h 30, of washing and keying.
    const { plan } = makePlan(rows, friday)
    expect(plan.placements[1]?.segments).toEqual([
      [Date.UTC(2027, 3, 24, 8), Date.UTC(2027, 3, 24, 15, 30)],
    ])
    expect(plan.placements[1]?.mends).toMatchObject([{ kind: 'keying', hours: 1.5 }])
    expect(judgePlan(rows, plan)).toEqual([])
  })
})
