import { slingSplit } from '../../../launch/lift'
import { accepted } from '../../../result'
import { amount } from '../../ask'
import type { Shape } from '../../drawing'
import { length, path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

export const liftSplitSum = sum({
  key: 'lift-split',
  title: 'Lift split',
  pocket: 'hull',
  about: 'What each sling carries, and each of its legs, by where her weight lies between them.',
  words: 'lift crane sling weight centre gravity split leg tension haul out',
  source: 'the trade’s rules: W1 = W (x2 − xg) ÷ (x2 − x1); leg = (W/2) ÷ cos',
  asks: [
    amount('weight', 'She weighs', 't', 8, [0.1, 500], { doubt: 0.1 }),
    amount('fore', 'Fore sling, from the stem', 'm', 3, [0, 60]),
    amount('aft', 'Aft sling, from the stem', 'm', 9, [0, 60]),
    amount('centre', 'Her centre of gravity, from the stem', 'm', 6.2, [0, 60], { doubt: 0.04 }),
    amount('lean', 'Slings lean from upright', '°', 25, [0, 60]),
    amount('loa', 'She is long', 'm', 12, [2, 60]),
  ],
  wantedAt: { operations: ['lift'] },
  work: ({ weight, fore, aft, centre, lean, loa }, { say }) => {
    const split = slingSplit(weight, fore, aft, centre, lean)
    if (!split.ok) return split
    const { foreT, aftT, foreLegT, aftLegT } = split.value
    const t = (value: number) => say(round(value, 2), 't')
    const shapes: Shape[] = [
      shape(
        [
          [0, -loa * 0.07],
          [loa, -loa * 0.06],
          [loa * 0.97, 0],
          [loa * 0.6, loa * 0.03],
          [loa * 0.1, loa * 0.02],
        ],
        { fill: 'paper' },
      ),
      ...(
        [
          [fore, foreT],
          [aft, aftT],
        ] as const
      ).flatMap(([x, load]): Shape[] => [
        path(
          [
            [x, loa * 0.04],
            [x, -loa * 0.16],
          ],
          { thick: true },
        ),
        text([x, -loa * 0.16], t(load), { anchor: 'middle', down: -0.6, bold: true }),
      ]),
      { is: 'arrow', from: [centre, -loa * 0.04], to: [centre, loa * 0.11], tone: 'red' },
      text([centre, loa * 0.11], t(weight), { anchor: 'middle', down: 0.8, tone: 'red' }),
      length([0, loa * 0.06], [fore, loa * 0.06], say(fore, 'm'), { off: 1.6, field: 'fore' }),
    ]
    return accepted({
      says: `${t(foreT)} fore, ${t(aftT)} aft`,
      heading: `${t(foreT)} on the fore sling, ${t(aftT)} on the aft one`,
      verdict: 'look',
      figures: [
        { label: 'Fore sling', value: t(foreT), note: `${t(foreLegT)} a leg` },
        { label: 'Aft sling', value: t(aftT), note: `${t(aftLegT)} a leg` },
      ],
      working: [
        `${round(weight, 2)} × (${round(aft, 2)} − ${round(centre, 2)}) ÷ (${round(aft, 2)} − ${round(fore, 2)}) = ${round(foreT, 2)} t.`,
        `A leg: half of it ÷ cos ${round(lean)}°.`,
      ],
      distrust: [
        'Ask again for weight and sling points when engine, mast, ballast or tanks changed.',
      ],
      cautions: ['The crane firm’s lift plan decides. Nobody under, nobody aboard.'],
      drawing: {
        shapes,
        said: `${round(foreT, 2)} tonnes on the fore sling, ${round(aftT, 2)} on the aft.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'lift',
          kind: 'setting',
          what: 'Slings',
          value: `${say(fore, 'm')} and ${say(aft, 'm')} from the stem; ${t(foreT)} and ${t(aftT)}`,
        },
      ],
    })
  },
})
