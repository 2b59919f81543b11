import { foamLiquidL } from '../../../laminate/foam'
import { accepted } from '../../../result'
import { amount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import { sum } from '../../sum'

/** A vent for so much skin, and one hole to pour at the least. Starting value. */
const ventM2 = 0.1

export const foamAndVents = sum({
  key: 'foam-and-vents',
  title: 'Foam and vents',
  pocket: 'resin',
  about:
    'Liquid for a void that foam is to fill, how many pours, and the vents that keep it from pushing a skin out.',
  words: 'foam expanding void buoyancy inject cavity tank pour vent',
  source: 'the trade’s rules: void ÷ growth × 1.15',
  asks: [
    pick('by', 'The void is known by', 'sizes', [
      { value: 'sizes', label: 'its sizes' },
      { value: 'litres', label: 'litres' },
    ]),
    amount('areaM2', 'Area', 'm²', 0.5, [0.001, 100], { doubt: 0.1, onlyIf: ['by', 'sizes'] }),
    amount('deep', 'Deep', 'mm', 30, [1, 2000], { doubt: 0.15, onlyIf: ['by', 'sizes'] }),
    amount('litres', 'Void', 'L', 15, [0.05, 2000], { doubt: 0.15, onlyIf: ['by', 'litres'] }),
    amount('growth', 'Grows, times', '', 15, [1, 60], { doubt: 0.15 }),
    amount('pour', 'Most in one pour', 'mm', 100, [5, 1000], {
      help: 'How high the foam of one pour may stand, by its sheet.',
      onlyIf: ['by', 'sizes'],
    }),
  ],
  wantedBy: [
    {
      recipe: 'tank',
      steps: ['foam'],
      fill: { by: { is: 'litres' }, litres: 'voidL', growth: 'growth' },
    },
    {
      recipe: 'inject-panel',
      steps: ['inject', 'cup'],
      fill: { by: { is: 'litres' }, litres: 'voidL', growth: 'growth' },
    },
  ],
  work: ({ by, areaM2, deep, litres, growth, pour }, { say }) => {
    const voidL = by === 'sizes' ? areaM2 * deep : litres
    const liquid = foamLiquidL(voidL, growth)
    const high = by === 'sizes' ? deep : null
    const pours = high === null ? 1 : Math.max(1, Math.ceil(high / pour - 1e-9))
    const vents = Math.max(2, by === 'sizes' ? Math.ceil(areaM2 / ventM2) : Math.ceil(voidL / 10))
    const ml = say(round((liquid * 1000) / pours, 0), 'mL')
    const wide = 200
    const tall = 60
    const shapes: Shape[] = [
      box(0, 0, wide, tall, { fill: 'paper' }),
      ...Array.from({ length: Math.min(pours, 8) }, (_, at) =>
        box(0, tall - ((at + 1) * tall) / Math.min(pours, 8), wide, tall / Math.min(pours, 8), {
          fill: at === 0 ? 'resin' : 'stock',
          dashed: at > 0,
        }),
      ),
      box(0, -4, wide, 4, { fill: 'glass' }),
      box(0, tall, wide, 4, { fill: 'glass' }),
      ...Array.from({ length: Math.min(vents, 12) }, (_, at): Shape => ({
        is: 'round',
        at: [(wide * (at + 0.5)) / Math.min(vents, 12), -2],
        radius: 3,
        fill: 'paper',
      })),
      text([wide / 2, tall / 2], `${pours === 1 ? '' : `${pours} pours of `}${ml}`, {
        anchor: 'middle',
        bold: true,
      }),
    ]
    return accepted({
      says: `${say(round(liquid, 2), 'L')}, ${pours === 1 ? 'one pour' : `${pours} pours`}`,
      heading: `${say(round(liquid, 2), 'L')} of liquid in ${pours === 1 ? 'one pour' : `${pours} pours of ${ml}`}, ${vents} vents`,
      verdict: 'look',
      figures: [
        { label: 'Void', value: say(round(voidL, 1), 'L') },
        {
          label: 'Liquid',
          value: say(round(liquid, 2), 'L'),
          note: 'both parts together, 15 % lost',
        },
        { label: 'Pours', value: String(pours), note: ml },
        {
          label: 'Vents',
          value: String(vents),
          note: 'with the hole to pour at; the highest last',
        },
      ],
      checks: [
        {
          text: 'A cup first',
          detail: 'the same two parts, at the same warmth: how high, how fast',
          state: 'look',
        },
        {
          text: 'Nothing behind it that closes for good',
          detail: 'foam closes a tank or a void: pressure test, wires and findings first',
          state: 'look',
        },
      ],
      working: [
        by === 'sizes'
          ? `${round(areaM2, 3)} m² × ${round(deep)} mm = ${round(voidL, 1)} L.`
          : `${round(voidL, 1)} L as measured with water or beans.`,
        `${round(voidL, 1)} ÷ ${round(growth)} × 1.15 = ${round(liquid, 2)} L.`,
      ],
      distrust: ['In the cold it grows less, in a narrow gap too.'],
      cautions: [
        'Never add pressure to a thin skin: vents first, small pours, wait between them.',
        'Foam gives off fumes and heat: air, mask, nobody shut in.',
      ],
      drawing: { shapes, said: `A void filled in ${pours} pours, ${vents} vents in its skin.` },
      puts: [
        {
          is: 'part',
          key: 'foam',
          name: 'Two-part closed-cell foam',
          quantity: round(liquid, 2),
          unit: 'L',
        },
        {
          is: 'asBuilt',
          key: 'foam',
          kind: 'size',
          what: 'Foam',
          value: `${say(round(voidL, 1), 'L')} of void, ${say(round(liquid, 2), 'L')} poured`,
        },
      ],
    })
  },
})
