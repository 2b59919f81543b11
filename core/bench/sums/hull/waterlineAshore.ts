import { accepted, refused } from '../../../result'
import { amount, lines, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

export const waterlineAshore = sum({
  key: 'waterline-ashore',
  title: 'Waterline ashore',
  pocket: 'hull',
  about:
    'Where the waterline comes on her side while she stands ashore, from two known heights, and how wide a stripe is along the skin.',
  words: 'waterline boot top stripe mark laser level antifouling paint line height station slope',
  source: 'the trade’s rules: depth ÷ sin(slope) along the skin',
  isWide: true,
  asks: [
    amount('bow', 'Waterline at the bow, over a level string', 'mm', 1500, [-5000, 10_000], {
      doubt: 0.005,
    }),
    amount('stern', 'Waterline at the stern, over the same string', 'mm', 1320, [-5000, 10_000], {
      doubt: 0.005,
    }),
    amount('long', 'From bow mark to stern mark', 'm', 10, [1, 60]),
    amount('up', 'New line, higher by', 'mm', 50, [-500, 1000], {
      help: 'For what she has gained in weight. Lower is negative.',
    }),
    amount('stripe', 'Stripe above it, upright', 'mm', 80, [0, 600]),
    lines(
      'stations',
      'Stations',
      'station',
      [
        words('name', 'Station', 'station', 30),
        amount('at', 'From the bow mark', 'm', 2, [0, 60]),
        amount('slope', 'Skin there, from level', '°', 70, [3, 90], { doubt: 0.08 }),
      ],
      [
        { name: 'bow', at: 0.5, slope: 75 },
        { name: 'mast', at: 4, slope: 65 },
        { name: 'cockpit', at: 7.5, slope: 40 },
        { name: 'counter', at: 9.5, slope: 20 },
      ],
      { most: 40 },
    ),
  ],
  wantedBy: [{ recipe: 'strip-barrier-antifoul', steps: ['antifoul'], fill: {} }],
  work: ({ bow, stern, long, up, stripe, stations }, { say }) => {
    const past = stations.findIndex((one) => one.at > long)
    if (past >= 0)
      return refused('A station lies past the stern mark.', [
        { field: `stations.${past}.at`, message: `The stern mark is at ${say(long, 'm')}.` },
      ])
    const mm = (value: number) => say(round(value, 0), 'mm')
    const at = (x: number) => bow + ((stern - bow) * x) / long
    const list = stations.map((one) => {
      const sine = Math.sin((one.slope * Math.PI) / 180)
      return {
        ...one,
        old: at(one.at),
        line: at(one.at) + up,
        along: Math.abs(up) / sine,
        stripeAlong: stripe / sine,
      }
    })
    const widest = Math.max(...list.map((one) => one.stripeAlong))
    const low = Math.min(bow, stern) - 200
    const flip = (height: number) => (-(height - low) / 1000) * 2
    const shapes: Shape[] = [
      path(
        [
          [0, flip(bow)],
          [long, flip(stern)],
        ],
        { dashed: true },
      ),
      path(
        [
          [0, flip(bow + up)],
          [long, flip(stern + up)],
        ],
        { thick: true },
      ),
      path(
        [
          [0, flip(bow + up + stripe)],
          [long, flip(stern + up + stripe)],
        ],
        { thick: true, edge: 'red' },
      ),
      box(-long * 0.02, 0, long * 1.04, long * 0.012, { fill: 'ink' }),
      ...list.flatMap((one, index): Shape[] => [
        path(
          [
            [one.at, 0],
            [one.at, flip(one.line + stripe)],
          ],
          { edge: 'soft' },
        ),
        text([one.at, flip(one.line + stripe)], `${one.name} ${mm(one.line)}`, {
          anchor: 'middle',
          // Stations that stand close keep their names apart.
          down: -0.5 - (index % 2),
          size: 'small',
        }),
      ]),
      text([long, flip(stern)], ' as it floats now', { tone: 'soft' }),
    ]
    return accepted({
      says: `${list.length} stations, stripe to ${mm(widest)}`,
      heading: `marks at ${list.map((one) => mm(one.line)).join(', ')}; the stripe is up to ${mm(widest)} wide on the skin`,
      verdict: 'go',
      figures: [
        {
          label: 'Bow to stern it falls',
          value: mm(bow - stern),
          note: `${mm((bow - stern) / long)} a metre`,
        },
        { label: 'Widest stripe on the skin', value: mm(widest), note: `${mm(stripe)} upright` },
      ],
      table: {
        caption: 'Over the string',
        head: ['Station', 'from the bow', 'old line', 'new line', 'stripe on the skin'],
        rows: list.map((one) => [
          one.name,
          say(one.at, 'm'),
          mm(one.old),
          mm(one.line),
          mm(one.stripeAlong),
        ]),
      },
      working: [
        `Height at x = ${round(bow)} + (${round(stern)} − ${round(bow)}) × x ÷ ${round(long, 2)}, and ${round(up)} mm.`,
        `Along the skin: upright ÷ sin(slope); at 20° three times as much.`,
      ],
      distrust: [
        'She must not move on her stands between the marks: do it in one go.',
        'The string is level when a hose of water says so at both ends.',
        'Heeled ashore, port and starboard differ: from the same string on both sides.',
      ],
      cautions: ['Ladder tied. Never lean on a stand.'],
      drawing: {
        shapes,
        free: { ratio: 0.3 },
        said: `A waterline falling ${round(bow - stern)} mm over ${round(long, 1)} metres.`,
      },
      puts: [
        {
          is: 'bring',
          key: 'tools',
          what: 'String, hose level or laser, tape',
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'line',
          kind: 'size',
          what: 'Waterline over the string',
          value: list
            .map((one) => `${one.name} ${mm(one.line)}`)
            .join(' · ')
            .slice(0, 300),
        },
      ],
    })
  },
})
