import { accepted, refused } from '../../../result'
import { amount, lines, words } from '../../ask'
import type { At, Shape } from '../../drawing'
import { by, length, path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

export const wedgeAndSpacer = sum({
  key: 'wedge-and-spacer',
  title: 'Wedge, spacer',
  pocket: 'layout',
  about: 'How thick a wedge is at each bolt, how deep to cut it, and what angle it makes good.',
  words: 'wedge spacer pad shim camber sheer base level plumb taper bolt',
  source: 'the trade’s rules: t(x) = a + (b − a)·x/L',
  asks: [
    amount('long', 'Wedge, long', 'mm', 200, [5, 5000]),
    amount('low', 'Thin end', 'mm', 6, [0, 500], { doubt: 0.1 }),
    amount('high', 'Thick end', 'mm', 22, [0, 500], { doubt: 0.1 }),
    amount('least', 'No thinner than', 'mm', 3, [0, 100]),
    lines(
      'bolts',
      'At',
      'bolt',
      [words('name', 'Which', 'bolt', 30), amount('at', 'From the thin end', 'mm', 30, [0, 5000])],
      [
        { name: 'bolt 1', at: 30 },
        { name: 'bolt 2', at: 170 },
      ],
      { most: 20, least: 0 },
    ),
  ],
  wantedBy: [
    {
      recipe: 'posts-and-rail',
      steps: ['wedges'],
      fill: { long: 'footLong' },
      takes: { bolts: 1 },
    },
  ],
  work: ({ long, low, high, least, bolts }, { say }) => {
    const past = bolts.findIndex((one) => one.at > long)
    if (past >= 0)
      return refused('A bolt stands past the end of the wedge.', [
        { field: `bolts.${past}.at`, message: `The wedge ends at ${say(long, 'mm')}.` },
      ])
    const at = (x: number) => low + ((high - low) * x) / long
    const degrees = (Math.atan((high - low) / long) * 180) / Math.PI
    const tooThin = Math.min(low, high) < least
    const mm = (value: number) => say(round(value), 'mm')
    const tall = Math.max(low, high)
    const shapes: Shape[] = [
      shape(
        [
          [0, 0],
          [long, 0],
          [long, -high],
          [0, -low],
        ],
        { fill: 'wood' },
      ),
      ...bolts.flatMap((one): Shape[] => [
        path(
          [
            [one.at, tall * 0.25],
            [one.at, -at(one.at) - tall * 0.3],
          ],
          { dashed: true },
        ),
        text([one.at, -at(one.at) - tall * 0.3], mm(at(one.at)), {
          anchor: 'middle',
          down: -0.4,
          bold: true,
        }),
      ]),
      length([0, 0], [long, 0], mm(long), { off: 1.2, field: 'long' }),
      length([long, -high], [long, 0], mm(high), { off: 0.6, field: 'high' }),
      length([0, -low], [0, 0], mm(low), { off: -0.6, field: 'low' }),
    ]
    const blank: At = [long, tall]
    return accepted({
      says: `${round(Math.abs(degrees))}°, ${mm(low)} to ${mm(high)}`,
      heading: tooThin
        ? `its thin end is ${mm(Math.min(low, high))}, under ${mm(least)}: add ${mm(least - Math.min(low, high))} all over`
        : `${round(Math.abs(degrees))}°; cut from ${mm(blank[1])} stock`,
      verdict: tooThin ? 'look' : 'go',
      figures: [
        { label: 'Angle', value: `${round(Math.abs(degrees), 2)}°` },
        { label: 'Stock', value: `${by(mm(long), mm(tall))}` },
        { label: 'Cut away at the thin end', value: mm(Math.abs(high - low)) },
        ...bolts.map((one) => ({
          label: `${one.name || 'bolt'}, ${mm(one.at)}`,
          value: mm(at(one.at)),
          note: 'more of a bolt here',
        })),
      ],
      working: [
        `t(x) = ${round(low)} + (${round(high)} − ${round(low)}) × x ÷ ${round(long)}.`,
        `Angle = atan(${round(Math.abs(high - low))} ÷ ${round(long)}) = ${round(Math.abs(degrees), 2)}°.`,
      ],
      distrust: [
        'A deck curves: a wedge is flat beneath only over a short base. Bed the rest thick.',
      ],
      cautions: ['Below the waterline or under load: solid stuff, never softwood.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A wedge ${round(long)} mm long from ${round(low)} to ${round(high)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'stock',
          name: `Stock for a wedge, ${by(mm(long), mm(tall))}`,
          quantity: 1,
          unit: 'pieces',
        },
        {
          is: 'asBuilt',
          key: 'wedge',
          kind: 'size',
          what: 'Wedge',
          value: `${mm(low)} to ${mm(high)} over ${mm(long)}, ${round(Math.abs(degrees))}°`,
        },
      ],
    })
  },
})
