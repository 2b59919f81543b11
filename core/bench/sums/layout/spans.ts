import { postsOnRun } from '../../../layout/postsOnRun'
import type { Stretch } from '../../../layout/postsOnRun'
import { accepted } from '../../../result'
import { amount, lines, pick, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, path, round, text, yesNo } from '../../parts'
import { sum } from '../../sum'

export const spansAndPosts = sum({
  key: 'spans-and-posts',
  title: 'Spans and posts',
  pocket: 'layout',
  about:
    'Where posts, brackets or bolts stand along a run, as evenly as can be, clear of what is in the way and with a gate.',
  words: 'posts stanchions spacing equal spans rail lifelines gate keep out tape marks brackets',
  source: 'the trade’s rules: fewest posts, then the most even, proven on a grid of millimetres',
  isWide: true,
  asks: [
    amount('long', 'Run', 'm', 9, [0.1, 100], { doubt: 0.01 }),
    amount('longest', 'No span over', 'm', 1.5, [0.2, 20]),
    yesNo('hasGate', 'A gate in it'),
    amount('gateAt', 'Gate begins at', 'm', 3, [0, 100], { onlyIf: ['hasGate', 'yes'] }),
    amount('gate', 'Gate, wide', 'm', 0.7, [0.1, 10], { onlyIf: ['hasGate', 'yes'] }),
    lines(
      'keepOuts',
      'Where no post can stand',
      'stretch',
      [
        words('what', 'What is there', 'chainplate', 40),
        amount('from', 'From', 'm', 1, [0, 100]),
        amount('to', 'To', 'm', 1.3, [0, 100]),
      ],
      [],
      { most: 12, least: 0 },
    ),
    pick('datum', 'Marks from', 'fore', [
      { value: 'fore', label: 'the forward end' },
      { value: 'aft', label: 'the after end' },
    ]),
  ],
  wantedBy: [
    {
      recipe: 'posts-and-rail',
      steps: ['plan', 'walk', 'wedges', 'fabricate'],
      fill: {
        long: 'lengthM',
        longest: 'longestM',
        hasGate: { is: 'yes' },
        gateAt: 'gateAtM',
        gate: 'gateM',
      },
    },
  ],
  wantedAt: {
    operations: ['survey', 'fit', 'drill', 'cut'],
    words: /\bposts?\b|stanchion|spacing/i,
  },
  work: ({ long, longest, hasGate, gateAt, gate, keepOuts, datum }, { say }) => {
    const opening: Stretch | null = hasGate === 'yes' ? [gateAt, gateAt + gate] : null
    const out = keepOuts.map((one): Stretch => [
      Math.min(one.from, one.to),
      Math.max(one.from, one.to),
    ])
    const { marksM, largestM, smallestM } = postsOnRun(
      long,
      longest,
      opening,
      out.filter(([a, b]) => b > a),
    )
    const fromDatum = (mark: number): number => (datum === 'fore' ? mark : long - mark)
    const marks = [...marksM].map(fromDatum).sort((a, b) => a - b)
    const m = (value: number) => say(round(value * 1000, 0), 'mm')
    const high = long * 0.085
    const isGap = (at: number) =>
      opening !== null && Math.abs((marksM[at] ?? 0) - opening[0]) < 1e-6
    const shapes: Shape[] = [
      box(-long * 0.01, 0, long * 1.02, high * 0.16, { fill: 'wood' }),
      ...out.map(([a, b]) =>
        box(a, -high * 1.15, b - a, high * 1.15, { fill: 'short', edge: 'red' }),
      ),
      ...marksM.flatMap((mark, at): Shape[] => [
        box(mark - long * 0.003, -high, long * 0.006, high, { fill: 'metal' }),
        ...(at < marksM.length - 1 && !isGap(at)
          ? [
              path(
                [
                  [mark, -high],
                  [marksM[at + 1] ?? mark, -high],
                ],
                { thick: true },
              ),
              path([
                [mark, -high * 0.5],
                [marksM[at + 1] ?? mark, -high * 0.5],
              ]),
            ]
          : []),
        text([mark, high * 0.16], m(fromDatum(mark)), {
          anchor: 'middle',
          down: at % 2 === 0 ? 0.8 : 1.8,
          size: 'small',
        }),
      ]),
      ...(opening
        ? [
            text([(opening[0] + opening[1]) / 2, -high], 'gate', {
              anchor: 'middle',
              down: -0.7,
              bold: true,
            }),
          ]
        : []),
      ...(marksM.length > 1
        ? [
            length(
              [marksM[0] ?? 0, -high],
              [marksM[1] ?? 0, -high],
              m((marksM[1] ?? 0) - (marksM[0] ?? 0)),
              { off: -1.2 },
            ),
          ]
        : []),
    ]
    const says = `${marksM.length} posts, ${m(largestM)}`
    return accepted({
      says,
      takes: String(marksM.length),
      heading: `${marksM.length} posts, spans ${Math.abs(largestM - smallestM) < 0.0015 ? m(largestM) : `${m(smallestM)} to ${m(largestM)}`}`,
      verdict: 'go',
      figures: [
        { label: 'Posts', value: String(marksM.length) },
        { label: 'Largest span', value: m(largestM), note: `no more than ${m(longest)}` },
        {
          label: 'Smallest span',
          value: m(smallestM),
          note: largestM - smallestM > 0.0015 ? 'as even as the keep-outs let it be' : 'all alike',
        },
      ],
      table: {
        caption: `Tape marks from ${datum === 'fore' ? 'the forward' : 'the after'} end, the tape left lying`,
        head: ['Post', 'this side', 'other side, from its own end', 'to the next'],
        rows: marks.map((mark, at) => [
          String(at + 1),
          m(mark),
          m(mark),
          at < marks.length - 1 ? m((marks[at + 1] ?? 0) - mark) : '',
        ]),
      },
      working: [
        opening
          ? `The run falls in two: ${m(opening[0])} before the gate and ${m(long - opening[1])} after it; each is divided by itself.`
          : `${round(long, 3)} m ÷ ${round(longest, 3)} m, rounded up, is the least of spans.`,
        'Among rows with so few posts the one whose longest and shortest span differ least is taken; no row is left out.',
      ],
      distrust: [
        'Measure the run twice, once from each end: the marks add no error, a tape moved along does.',
        'Both sides mirror from the centreline: deck edges are seldom alike.',
      ],
      cautions: ['Before you drill: what is behind each mark, inside.'],
      drawing: { shapes, said: `${marksM.length} posts along ${round(long, 2)} metres.` },
      puts: [
        { is: 'part', key: 'posts', name: 'Posts', quantity: marksM.length, unit: 'pieces' },
        {
          is: 'bring',
          key: 'tape',
          what: 'Tape, batten and a pencil line from one datum',
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'marks',
          kind: 'size',
          what: `Posts from the ${datum === 'fore' ? 'forward' : 'after'} end`,
          value: marks.map(m).join(' · ').slice(0, 300),
        },
      ],
    })
  },
})
