import { bendAllowanceMm, bendDeductionMm, flatLengthMm } from '../../../geometry/bend'
import { accepted } from '../../../result'
import { amount, maybeAmount } from '../../ask'
import type { At, Shape } from '../../drawing'
import { by, box, length, path, round, text } from '../../parts'
import { sum } from '../../sum'

export const bendAndBracket = sum({
  key: 'bend-and-bracket',
  title: 'Bend, bracket',
  pocket: 'layout',
  about:
    'The flat pattern of a bent bracket or lip: how long to cut, where the bend line is, and the notch at a corner.',
  words: 'bend bracket sheet metal flat pattern allowance notch lip flange fold',
  source: 'the trade’s rules: allowance (π/180)·angle·(r + K·t)',
  asks: [
    amount('one', 'First leg, outside', 'mm', 50, [1, 5000], { doubt: 0.03 }),
    amount('two', 'Second leg, outside', 'mm', 40, [1, 5000], { doubt: 0.03 }),
    maybeAmount('three', 'Third leg, for a channel', 'mm', [1, 5000]),
    amount('angle', 'Bent by', '°', 90, [1, 170]),
    amount('radius', 'Inside radius', 'mm', 3, [0, 500]),
    amount('thick', 'Sheet', 'mm', 2, [0.2, 30]),
    amount('k', 'Neutral line at', '', 0.4, [0.33, 0.5], {
      help: '0.33 for a tight bend, 0.5 for a large radius.',
    }),
    amount('wide', 'Bracket, wide', 'mm', 60, [1, 5000]),
  ],
  wantedBy: [
    {
      recipe: 'water-lip',
      steps: ['bend', 'list'],
      fill: { one: 'upMm', two: 'flatLeg', radius: 'radius', thick: 'sheet' },
    },
  ],
  work: ({ one, two, three, angle, radius, thick, k, wide }, { say }) => {
    const bend = { angleDeg: angle, radiusMm: radius, thicknessMm: thick, k }
    const legs = three === null ? [one, two] : [one, two, three]
    const flat = flatLengthMm(
      legs,
      legs.slice(1).map(() => bend),
    )
    const allowance = bendAllowanceMm(bend)
    const deduction = bendDeductionMm(bend)
    const setback = (radius + thick) * Math.tan((angle / 2) * (Math.PI / 180))
    const first = one - setback
    const lines_ =
      three === null
        ? [first, first + allowance]
        : [
            first,
            first + allowance,
            first + allowance + (two - 2 * setback),
            first + 2 * allowance + (two - 2 * setback),
          ]
    const mm = (value: number) => say(round(value), 'mm')
    // The bent profile, along its outside.
    const turn = (angle * Math.PI) / 180
    const profile: At[] = [
      [0, 0],
      [one, 0],
      [one + two * Math.cos(turn), -two * Math.sin(turn)],
    ]
    if (three !== null) {
      const [x, y] = profile[2] as At
      profile.push([x + three * Math.cos(2 * turn), y - three * Math.sin(2 * turn)])
    }
    const lowest = Math.max(...profile.map((at) => at[1]))
    const top = Math.min(...profile.map((at) => at[1]))
    const down = lowest + (lowest - top) * 0.25 + 20
    const shapes: Shape[] = [
      path(profile, { thick: true }),
      length([0, 0], [one, 0], mm(one), { off: 0.6, field: 'one' }),
      text(profile[2] as At, mm(two), { down: -0.6, field: 'two' }),
      box(0, down, flat, wide * 0.5, { fill: 'metal' }),
      ...lines_.map((at) =>
        path(
          [
            [at, down],
            [at, down + wide * 0.5],
          ],
          { dashed: true },
        ),
      ),
      length([0, down + wide * 0.5], [first, down + wide * 0.5], mm(first), { off: 0.6 }),
      length([0, down + wide * 0.5], [flat, down + wide * 0.5], `flat ${mm(flat)}`, { off: 2 }),
    ]
    return accepted({
      says: `flat ${mm(flat)}`,
      heading: `cut ${mm(flat)}, bend from ${mm(first)} on`,
      verdict: 'go',
      figures: [
        {
          label: 'Flat',
          value: mm(flat),
          note: `${mm(legs.reduce((a, b) => a + b, 0))} of legs, ${mm(deduction)} less for each bend`,
        },
        { label: 'Bend begins at', value: mm(first) },
        { label: 'Middle of the bend', value: mm(first + allowance / 2) },
        { label: 'Notch at a corner', value: mm(setback), note: 'square, where two lips meet' },
        { label: 'Stock for one', value: `${by(mm(flat), mm(wide))}` },
      ],
      working: [
        `Allowance π/180 × ${round(angle)} × (${round(radius)} + ${round(k, 2)} × ${round(thick)}) = ${round(allowance, 2)} mm.`,
        `Deduction 2 × ${round(radius + thick)} × tan(${round(angle / 2)}°) − ${round(allowance, 2)} = ${round(deduction, 2)} mm.`,
        `${legs.map((leg) => round(leg)).join(' + ')} − ${legs.length - 1} × ${round(deduction, 2)} = ${round(flat, 2)} mm.`,
      ],
      distrust: [
        'Bend a scrap first and measure it: the neutral line is your brake’s, not the book’s.',
        'Springs back: bend a degree or two further.',
      ],
      cautions: ['Sheet edges cut: gloves, file them first.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A profile of ${legs.length} legs, flat ${round(flat)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'sheet',
          name: `Sheet ${mm(thick)}, ${by(mm(flat), mm(wide))}`,
          quantity: 1,
          unit: 'pieces',
        },
        {
          is: 'asBuilt',
          key: 'bend',
          kind: 'size',
          what: 'Bent',
          value: `${legs.map(mm).join(' + ')}, flat ${mm(flat)}`,
        },
      ],
    })
  },
})
