import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { draws } from '../../../../tests/draws'
import { compileProblem } from './compiled'
import { Search } from './exact/search'
import { createRandom } from '../../../random'
import type { Member, Problem } from './problem'
import { readProblem } from './readProblem'
import { solveProblem } from './solve'
import { families, generate } from './testing/families'
import { bestMakespan } from './testing/oracle'
import { faultsOf } from './verify'

/** Time all tiny problems lie in. */
const until = 18
const small = fc.integer({ min: 0, max: 4 })
const spans = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 14 }), fc.integer({ min: 1, max: 9 })), {
    minLength: 1,
    maxLength: 2,
  })
  .map((list) => list.map(([from, length]): [number, number] => [from, from + length]))
const mode = fc.record({
  duration: fc.integer({ min: 0, max: 4 }),
  demands: fc.dictionary(fc.constantFrom('p', 'q'), fc.integer({ min: 0, max: 3 }), { maxKeys: 2 }),
})
/** Up to seven activities with lags, windows, uneven resources, pauses and modes. */
const tiny: fc.Arbitrary<Problem> = fc
  .record({
    p: fc.oneof(
      fc
        .integer({ min: 1, max: 3 })
        .map((capacity): [number, number, number][] => [[0, until, capacity]]),
      fc
        .tuple(small, small, fc.integer({ min: 1, max: 4 }), small)
        .map(([gap, pause, length, more]): [number, number, number][] => [
          [gap, gap + length, 2],
          [gap + length + pause, gap + length + pause + 4 + more, 3],
          [gap + length + pause + 4 + more, until, 1],
        ]),
    ),
    activities: fc.array(
      fc.record({
        modes: fc.array(mode, { minLength: 1, maxLength: 2 }),
        windows: fc.option(spans, { freq: 2 }),
        splittable: fc.boolean(),
      }),
      { minLength: 2, maxLength: 6 },
    ),
    arcs: fc.array(
      fc.record({
        from: fc.nat(5),
        to: fc.nat(5),
        minLag: fc.option(fc.integer({ min: -2, max: 4 }), { freq: 4 }),
        maxLag: fc.option(fc.integer({ min: 0, max: 5 }), { freq: 1 }),
      }),
      { maxLength: 6 },
    ),
    horizon: fc.integer({ min: 6, max: until }),
  })
  .map(({ p, activities, arcs, horizon }) => ({
    horizon,
    resources: [
      { id: 'p', profile: p },
      { id: 'q', profile: [[0, until, 2]] },
    ],
    activities: activities.map((one, index) => ({ id: `a${index}`, weight: 0, ...one })),
    arcs: arcs
      .filter(({ from, to }) => from !== to && from < activities.length && to < activities.length)
      .map(({ from, to, ...lags }) => ({
        from: `a${from}`,
        to: `a${to}`,
        earliestAfter: null,
        ...lags,
      })),
    deadlines: [],
  }))

const effort = { seed: 1, iterations: 20_000, stop: () => false }

describe('the kernel', () => {
  it('agrees with trying everything: what is possible, and how soon it can be done', () => {
    const seen = { feasible: 0, infeasible: 0, unknown: 0 }
    fc.assert(
      fc.property(tiny, (problem) => {
        const best = bestMakespan(problem, until)
        const answer = solveProblem(problem, effort)
        seen[answer.status]++
        expect(answer.status).toBe(best === null ? 'infeasible' : 'feasible')
        if (answer.status !== 'feasible') return
        expect(answer.proved).toBe(true)
        expect(answer.plan.cost[1]).toBe(best)
        expect(faultsOf(problem, answer.plan).faults).toEqual([])
      }),
      { numRuns: draws(300), seed: 20 },
    )
    expect(Math.min(seen.feasible, seen.infeasible)).toBeGreaterThan(90)
  })

  it('names reasons of which each is needed', () => {
    let seen = 0
    fc.assert(
      fc.property(tiny, (problem) => {
        if (problem.activities.length > 4) return
        const answer = solveProblem(problem, effort)
        if (answer.status !== 'infeasible') return
        seen++
        expect(answer.irreducible).toBe(true)
        const possible = (members: readonly Member[]) =>
          bestMakespan(only(problem, members), 40, true) !== null
        // Together impossible, without any one of them possible: asked of the other method.
        expect(possible(answer.members)).toBe(false)
        for (const one of answer.members)
          expect(possible(answer.members.filter((other) => other !== one))).toBe(true)
      }),
      { numRuns: draws(70), seed: 3 },
    )
    expect(seen).toBeGreaterThan(5)
  })

  it('gives plans without fault, never under the bound, the same for the same seed', () => {
    for (const family of families)
      for (const activities of [10, 32])
        for (const tightness of [0.3, 0.9]) {
          const problem = generate({ family, activities, tightness, longest: 8, seed: 11 })
          const few = { ...effort, iterations: 1500 }
          const answer = solveProblem(problem, few)
          expect(solveProblem(problem, few)).toEqual(answer)
          if (answer.status !== 'feasible') continue
          const { faults, finishes } = faultsOf(problem, answer.plan)
          expect(faults).toEqual([])
          expect(finishes).toEqual(answer.plan.finishes)
          expect(answer.plan.cost[1]).toBeGreaterThanOrEqual(answer.bound)
        }
  })

  it('puts lateness before makespan: by hand, the heavy one first', () => {
    // One machine; a (3, due 3, weight 1) and b (4, due 4, weight 5): b first costs 4, a first 3 × 5.
    const problem = readProblem({
      resources: [{ id: 'm', capacity: 1 }],
      activities: [
        { id: 'a', duration: 3, demands: { m: 1 } },
        { id: 'b', duration: 4, demands: { m: 1 } },
      ],
      deadlines: [
        { activity: 'a', at: 3, weight: 1 },
        { activity: 'b', at: 4, weight: 5 },
      ],
    })
    expect(solveProblem(problem, effort)).toMatchObject({
      status: 'feasible',
      proved: true,
      bound: 4,
      plan: { starts: [4, 0], cost: [4, 7, 0] },
    })
  })

  it('waits by the table of a lag that depends on its beginning', () => {
    // Finished by 9: 2 later; from 10 on: 6 later. a ends at 8 or, held by its window, at 12.
    const at = (window: [number, number]) =>
      solveProblem(
        readProblem({
          resources: [],
          activities: [
            { id: 'a', duration: 4, windows: [window] },
            { id: 'b', duration: 1 },
          ],
          arcs: [
            {
              from: 'a',
              to: 'b',
              earliestAfter: [
                [0, 2],
                [10, 16],
              ],
            },
          ],
        }),
        effort,
      )
    expect(at([4, 20])).toMatchObject({ plan: { starts: [4, 10] } })
    expect(at([8, 20])).toMatchObject({ plan: { starts: [8, 18] } })
  })

  it('refutes a circle of lags by naming it', () => {
    const problem = readProblem({
      resources: [{ id: 'm', capacity: 2 }],
      activities: [
        { id: 'a', duration: 2, demands: { m: 1 } },
        { id: 'b', duration: 2, demands: { m: 1 } },
        { id: 'c', duration: 2 },
      ],
      arcs: [
        { from: 'a', to: 'b', minLag: 5 },
        { from: 'b', to: 'c' },
        { from: 'a', to: 'c', minLag: null, maxLag: 6 },
      ],
    })
    // a ends at 2; b 7 to 9; c from 9, but within 2 + 6 = 8.
    expect(solveProblem(problem, effort)).toEqual({
      status: 'infeasible',
      irreducible: true,
      members: [
        { kind: 'minLag', arc: 0 },
        { kind: 'minLag', arc: 1 },
        { kind: 'maxLag', arc: 2 },
      ],
    })
  })

  it('stops when told to and says it does not know', () => {
    const problem = generate({ family: 'lags', activities: 32, tightness: 1, longest: 10, seed: 2 })
    const compiled = compileProblem(problem)
    const search = new Search(compiled, createRandom(1))
    const { outcome } = search.find(
      { lateness: Infinity, makespan: 1 },
      { stop: () => true, conflicts: 10 },
    )
    expect(['refuted', 'spent']).toContain(outcome)
    expect(solveProblem(problem, { ...effort, stop: () => true }).status).not.toBe('infeasible')
  })
})

/** A problem with nothing but these parts; the rest is relaxed. */
function only(problem: Problem, members: readonly Member[]): Problem {
  const has = (kind: Member['kind'], index: number) =>
    members.some((one) => one.kind === kind && Object.values(one).includes(index))
  return {
    ...problem,
    horizon: members.some((one) => one.kind === 'horizon') ? problem.horizon : null,
    resources: problem.resources.map((one, index) =>
      has('resource', index) ? one : { ...one, profile: [[0, 200, 1000]] },
    ),
    activities: problem.activities.map((one, index) =>
      has('windows', index) ? one : { ...one, windows: null },
    ),
    arcs: problem.arcs.map((one, index) => ({
      ...one,
      minLag: has('minLag', index) ? one.minLag : null,
      maxLag: has('maxLag', index) ? one.maxLag : null,
    })),
  }
}
