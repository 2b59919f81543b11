/** The kernel's command line, as a stranger calls it. */
import { describe, expect, it } from 'vitest'
import { callerOf } from './callCommand'

const call = callerOf('solve')
const solve = (content: unknown) => call(content, '--seconds', '5')
const crew = { id: 'crew', capacity: 1 }

describe('npm run solve', () => {
  it('plans round a night, with a choice of modes', () => {
    // Open 0–8 and 24–32. "glue" (6, or 3 with both) must be in one piece; "sand" (7) may pause. One person:
    // sand first would leave 1 of the first day. Glue 0–6, sand 6–8 and 24–29: 29. Sand 0–7, glue 24–30: 30.
    const { status, answer } = solve({
      resources: [
        {
          id: 'crew',
          profile: [
            [0, 8, 1],
            [24, 32, 1],
          ],
        },
      ],
      activities: [
        {
          id: 'glue',
          modes: [
            { duration: 6, demands: { crew: 1 } },
            { duration: 3, demands: { crew: 2 } },
          ],
        },
        { id: 'sand', duration: 7, demands: { crew: 1 }, splittable: true },
      ],
    })
    expect(status).toBe(0)
    expect(answer).toEqual({
      status: 'feasible',
      makespan: 29,
      starts: { glue: 0, sand: 6 },
      segments: {
        sand: [
          [6, 8],
          [24, 29],
        ],
      },
      modes: { glue: 0 },
      bound: 29,
      proved: true,
    })
  })

  it('names why it cannot be done', () => {
    const { status, answer } = solve({
      resources: [crew],
      activities: [
        { id: 'a', duration: 3, demands: { crew: 1 } },
        { id: 'b', duration: 4, demands: { crew: 1 }, windows: [[0, 5]] },
        { id: 'c', duration: 2, windows: [[0, 6]] },
      ],
      arcs: [{ from: 'a', to: 'b' }],
    })
    expect(status).toBe(0)
    expect(answer).toMatchObject({
      status: 'infeasible',
      irreducible: true,
      reasons: [
        { kind: 'windows', activity: 'b' },
        { kind: 'minLag', from: 'a', to: 'b', message: '"b" starts at least 0 after "a" ends.' },
      ],
    })
  })

  it.each([
    ['half a file', '{"resources": [', /not a problem/],
    [
      'a wait that is no number',
      { resources: [crew], activities: [], arcs: [{ from: 'a', to: 'b', minLag: 'soon' }] },
      /minLag/,
    ],
    [
      'a demand on nothing',
      { resources: [], activities: [{ id: 'a', duration: 1, demands: { gold: 1 } }] },
      /"gold", which is no resource/,
    ],
    [
      'an arc to nothing',
      { resources: [], activities: [{ id: 'a', duration: 1 }], arcs: [{ from: 'a', to: 'z' }] },
      /"z", which is no activity/,
    ],
    [
      'a name twice',
      {
        resources: [],
        activities: [
          { id: 'a', duration: 1 },
          { id: 'a', duration: 1 },
        ],
      },
      /two of activity "a"/,
    ],
    [
      'two capacities at once',
      {
        resources: [
          {
            id: 'r',
            profile: [
              [0, 5, 1],
              [4, 8, 1],
            ],
          },
        ],
        activities: [],
      },
      /two capacities at 4/,
    ],
  ])('refuses %s in one line, with code 2', (_, content, sentence) => {
    const { status, said, answer } = solve(content)
    expect(status).toBe(2)
    expect(answer).toBeNull()
    expect(said).toHaveLength(1)
    expect(said[0]).toMatch(sentence)
  })
})
