import { accepted } from '../../../result'
import { amount, count, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, length, round, shape } from '../../parts'
import { sum } from '../../sum'

/** Glue to a face, and lost. Source: handbook-2 I4. */
const glueKgM2 = 0.4 * 1.15

export const scarfAndSister = sum({
  key: 'scarf-and-sister',
  title: 'Scarf and sister',
  pocket: 'structure',
  about:
    'How long a scarf is, what a sister wants past the damage, and the wood, glue and fastenings for either.',
  words: 'scarf sister frame stringer beam plank repair taper wood splice',
  source: 'the trade’s rules: scarf 8:1 to 12:1',
  asks: [
    pick('how', 'Mended by', 'scarf', [
      {
        value: 'scarf',
        label: 'a scarf: the bad piece comes out',
        why: 'As strong as new where it is cut and glued right; the shape stays.',
      },
      {
        value: 'sister',
        label: 'a sister beside it',
        why: 'Nothing comes out; heavier, and wants room.',
      },
    ]),
    amount('thick', 'Timber, thick', 'mm', 25, [2, 400], { doubt: 0.05 }),
    amount('wide', 'Timber, wide', 'mm', 60, [5, 1000], { doubt: 0.05 }),
    amount('bad', 'Bad over', 'mm', 300, [1, 20_000], { doubt: 0.2 }),
    pick('ratio', 'Scarf', '12', [
      { value: '8', label: '8 to 1', why: 'What only keeps shape.' },
      { value: '10', label: '10 to 1' },
      { value: '12', label: '12 to 1', why: 'What bears load.' },
    ]),
    count('many', 'How many alike', 1, 200),
    amount('spacing', 'Fastenings every', 'mm', 100, [10, 1000], { onlyIf: ['how', 'sister'] }),
  ],
  wantedBy: [
    {
      recipe: 'renew-structure',
      steps: ['make', 'pattern'],
      fill: { thick: 'thick', wide: 'highMm', many: 'pieces' },
    },
    {
      recipe: 'sister-frame',
      steps: ['scarf', 'pattern', 'saw', 'steam'],
      fill: { how: { is: 'sister' }, many: 'members', spacing: 'spacing' },
    },
  ],
  work: ({ how, thick, wide, bad, ratio, many, spacing }, { say }) => {
    const slope = Number(ratio)
    const scarf = thick * slope
    const mm = (value: number) => say(round(value, 0), 'mm')
    // A scarf at each end of the new piece; a sister reaches a scarf's length past the damage on both sides.
    const piece = how === 'scarf' ? bad + 2 * scarf : bad + 2 * scarf
    const glueM2 =
      how === 'scarf' ? (2 * Math.hypot(scarf, thick) * wide) / 1e6 : (piece * wide) / 1e6
    const glueG = glueM2 * glueKgM2 * 1000 * many
    const fastenings = how === 'sister' ? (Math.ceil(piece / spacing) + 1) * many : 0
    const buy = Math.ceil(fastenings * 1.1 - 1e-9)
    const show = Math.max(piece * 1.35, 200)
    const left = (show - piece) / 2
    const shapes: Shape[] =
      how === 'scarf'
        ? [
            shape(
              [
                [0, 0],
                [left, 0],
                [left + scarf, thick],
                [0, thick],
              ],
              { fill: 'wood' },
            ),
            shape(
              [
                [left, 0],
                [left + piece, 0],
                [left + piece - scarf, thick],
                [left + scarf, thick],
              ],
              { fill: 'stock' },
            ),
            shape(
              [
                [left + piece, 0],
                [show, 0],
                [show, thick],
                [left + piece - scarf, thick],
              ],
              { fill: 'wood' },
            ),
            length([left, thick], [left + scarf, thick], mm(scarf), { off: 0.7 }),
            length([left, 0], [left + piece, 0], mm(piece), { off: -0.7 }),
          ]
        : [
            box(0, 0, show, thick, { fill: 'wood' }),
            box(left + scarf, 0, bad, thick, { fill: 'short', edge: 'red' }),
            box(left, thick, piece, thick, { fill: 'stock' }),
            length([left, 2 * thick], [left + piece, 2 * thick], mm(piece), { off: 0.7 }),
            length([left, 0], [left + scarf, 0], mm(scarf), { off: -0.7 }),
          ]
    return accepted({
      says: how === 'scarf' ? `scarf ${mm(scarf)}` : `sister ${mm(piece)}`,
      heading:
        how === 'scarf'
          ? `scarfs ${mm(scarf)} long; the new piece ${mm(piece)}`
          : `sister ${mm(piece)} long, ${mm(scarf)} past the damage on each side`,
      verdict: 'go',
      figures: [
        { label: how === 'scarf' ? 'Scarf' : 'Past the damage, each side', value: mm(scarf) },
        { label: 'New piece', value: mm(piece), note: many > 1 ? `${many} of them` : undefined },
        {
          label: 'Timber in all',
          value: say(round((piece * many * 1.1) / 1000, 2), 'm'),
          note: 'a tenth for ends',
        },
        { label: 'Glue', value: say(round(glueG, 0), 'g') },
        ...(fastenings > 0
          ? [{ label: 'Fastenings', value: String(fastenings), note: `${buy} with spares` }]
          : []),
      ],
      working: [
        `${round(thick)} × ${slope} = ${round(scarf)} mm.`,
        `${round(bad)} + 2 × ${round(scarf)} = ${round(piece)} mm.`,
        `Glued ${round(glueM2 * 1e4)} cm² each, both faces at 200 g/m² and 15 %.`,
      ],
      distrust: [
        'Bad wood ends further on than it shows: probe until the shavings are bright.',
        'Scarfs of neighbours do not lie beside each other.',
      ],
      cautions: [
        'Never open two neighbours at once: the shape goes.',
        'Structure of hull and keel: a surveyor says how.',
      ],
      drawing: {
        shapes,
        inMm: true,
        said: `${how === 'scarf' ? 'A new piece let in with two scarfs' : 'A sister beside the damage'}, ${round(piece)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'timber',
          name: `Timber ${by(mm(thick), mm(wide))}`,
          quantity: round((piece * many * 1.1) / 1000, 2),
          unit: 'm',
        },
        ...(buy > 0
          ? [
              {
                is: 'part' as const,
                key: 'fastenings',
                name: 'Fastenings for the sisters',
                quantity: buy,
                unit: 'pieces',
              },
            ]
          : []),
        {
          is: 'asBuilt',
          key: 'mend',
          kind: 'size',
          what: how === 'scarf' ? 'Scarfs' : 'Sisters',
          value: `${many} × ${mm(piece)}, ${slope} to 1`,
        },
      ],
    })
  },
})
