import { patchStack } from '../../../laminate/patchStack'
import { accepted } from '../../../result'
import { amount, count, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { by, length, path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

export const patchAndTaper = sum({
  key: 'patch-and-taper',
  title: 'Patch and taper',
  pocket: 'resin',
  about:
    'The sizes of the plies of a patch over a hole, in the order they are laid, by either school.',
  words: 'patch hole laminate taper scarf stack plies repair crack',
  source: 'the trade’s rules',
  asks: [
    amount('long', 'Hole, long', 'mm', 120, [1, 5000], { doubt: 0.1 }),
    amount('wide', 'Hole, wide', 'mm', 80, [1, 5000], { doubt: 0.1 }),
    amount('thick', 'Skin', 'mm', 6, [0.5, 60], { doubt: 0.2 }),
    pick('ratio', 'Taper', 'structural', [
      { value: 'structural', label: '12 to 1', why: 'What bears load.' },
      { value: 'light', label: '8 to 1', why: 'What only closes a hole.' },
    ]),
    count('plies', 'Plies', 6, 60),
    pick('school', 'Laid', 'largestFirst', [
      {
        value: 'largestFirst',
        label: 'largest first',
        why: 'The first ply bonds to all of the ground taper; sanding later cuts only the small ones.',
      },
      {
        value: 'smallestFirst',
        label: 'smallest first',
        why: 'Each ply lies on its own step of the old laminate, as that was laid.',
      },
    ]),
  ],
  wantedBy: [
    {
      recipe: 'crack-in-laminate',
      steps: ['taper', 'plies'],
      fill: { long: 'longMm', wide: 'wideMm', thick: 'skin', plies: 'plies', school: 'stack' },
    },
  ],
  work: ({ long, wide, thick, ratio, plies, school }, { say }) => {
    const taper = thick * (ratio === 'structural' ? 12 : 8)
    const stack = patchStack(long, wide, taper, plies, school)
    const all = stack.reduce((sum_, one) => sum_ + one.areaM2, 0)
    const outer = Math.max(...stack.map((one) => one.lengthMm))
    const outerWide = Math.max(...stack.map((one) => one.widthMm))
    const mm = (value: number) => say(round(value, 0), 'mm')
    const rise = Math.max(thick / plies, outer / 90)
    const shapes: Shape[] = [
      shape(
        [
          [-outer / 2 - 30, 0],
          [-outer / 2, 0],
          [-long / 2, rise * plies],
          [-outer / 2 - 30, rise * plies],
        ],
        { fill: 'glass' },
      ),
      shape(
        [
          [outer / 2 + 30, 0],
          [outer / 2, 0],
          [long / 2, rise * plies],
          [outer / 2 + 30, rise * plies],
        ],
        { fill: 'glass' },
      ),
      ...stack.map((one, at) =>
        path(
          [
            [-one.lengthMm / 2, rise * (plies - at) - rise / 2],
            [one.lengthMm / 2, rise * (plies - at) - rise / 2],
          ],
          { thick: true },
        ),
      ),
      length([long / 2, rise * plies], [outer / 2, rise * plies], `taper ${mm(taper)}`, {
        off: 0.7,
      }),
      length([-outer / 2, 0], [outer / 2, 0], mm(outer), { off: -0.7 }),
      text([0, rise * plies], `hole ${mm(long)}`, { anchor: 'middle', down: 1, field: 'long' }),
    ]
    return accepted({
      says: `${plies} plies to ${by(mm(outer), mm(outerWide))}`,
      heading: `${plies} plies, the largest ${by(mm(outer), mm(outerWide))}; ${say(round(all, 2), 'm²')} of cloth`,
      verdict: 'go',
      figures: [
        { label: 'Taper all round', value: mm(taper) },
        { label: 'Ground away to', value: `${by(mm(outer), mm(outerWide))}` },
        { label: 'Cloth', value: say(round(all, 3), 'm²') },
        {
          label: 'A step',
          value: mm(taper / plies),
          note: 'each ply reaches so much further than the next',
        },
      ],
      table: {
        caption: 'In the order they are laid',
        head: ['Ply', 'long', 'wide', 'area'],
        rows: stack.map((one, at) => [
          String(at + 1),
          mm(one.lengthMm),
          mm(one.widthMm),
          say(round(one.areaM2, 3), 'm²'),
        ]),
      },
      working: [
        `Taper ${round(thick)} × ${ratio === 'structural' ? 12 : 8} = ${round(taper)} mm.`,
        `Each ply steps ${round(taper)} ÷ ${plies} = ${round(taper / plies)} mm further out on every side.`,
      ],
      distrust: [
        'A hole is as large as its last sound edge: tap round it before you draw the taper.',
      ],
      cautions: [
        'Grinding glass: P3, goggles, extraction.',
        'A hole below the waterline or in what bears the rig: a surveyor says how.',
      ],
      drawing: {
        shapes,
        said: `A patch of ${plies} plies from ${Math.round(long)} to ${Math.round(outer)} mm long, laid ${school === 'largestFirst' ? 'largest' : 'smallest'} first.`,
      },
      puts: [
        {
          is: 'part',
          key: 'cloth',
          name: 'Glass cloth for the patch',
          quantity: round(all * 1.1, 3),
          unit: 'm²',
        },
        {
          is: 'asBuilt',
          key: 'patch',
          kind: 'size',
          what: 'Patch',
          value: `${plies} plies, ${by(mm(long), mm(wide))} to ${by(mm(outer), mm(outerWide))}, ${school === 'largestFirst' ? 'largest' : 'smallest'} first`,
        },
      ],
    })
  },
})
