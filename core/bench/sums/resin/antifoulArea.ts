import { coatLitres } from '../../../cure/coverage'
import { hullFullness, underwaterAreaM2 } from '../../../geometry/underwaterArea'
import { girthAreaM2, areaOfLitresM2 } from '../../../geometry/wettedWays'
import { accepted } from '../../../result'
import { amount, count, lines, maybeAmount, pick } from '../../ask'
import type { At, Shape } from '../../drawing'
import { length, path, round, shape, text } from '../../parts'
import { sum } from '../../sum'

/** Extra on leading edges and the waterline. Source: handbook 9. */
const extra = 0.1

export const antifoulArea = sum({
  key: 'antifoul-area',
  title: 'Antifoul area',
  pocket: 'resin',
  about: 'The area under water by any of three ways that can be measured, and the paint for it.',
  words: 'antifouling underwater wetted area hull bottom girth litres',
  source: 'the trade’s rules: k × LWL × (beam + draught); girths by the trapezoid rule',
  asks: [
    pick('way', 'Known by', 'rule', [
      { value: 'rule', label: 'her sizes', why: 'Quick, within a fifth.' },
      { value: 'girths', label: 'girths with a tape', why: 'The best, where she stands ashore.' },
      {
        value: 'litres',
        label: 'what went on last time',
        why: 'As good as what was written down.',
      },
    ]),
    pick('full', 'Under water she is', 'moderate', [
      { value: 'full', label: 'full, or a motor boat' },
      { value: 'moderate', label: 'moderate' },
      { value: 'light', label: 'light, with a fin' },
    ]),
    amount('lwl', 'Waterline', 'm', 10, [1, 60], { doubt: 0.03 }),
    amount('beam', 'Beam', 'm', 3.5, [0.5, 20], { doubt: 0.03 }),
    amount('draught', 'Draught', 'm', 1.7, [0.1, 10], { doubt: 0.05 }),
    lines(
      'girths',
      'Girths, waterline to waterline under her',
      'girth',
      [
        amount('at', 'From the bow end of the waterline', 'm', 0, [0, 60]),
        amount('girth', 'Girth', 'm', 3, [0, 30], { doubt: 0.05 }),
      ],
      [
        { at: 0, girth: 0 },
        { at: 2.5, girth: 3 },
        { at: 5, girth: 4.2 },
        { at: 7.5, girth: 3.4 },
        { at: 10, girth: 1 },
      ],
      { most: 40, least: 2, onlyIf: ['way', 'girths'] },
    ),
    maybeAmount('keel', 'Keel and rudder, both sides together', 'm²', [0, 200], {
      onlyIf: ['way', 'girths'],
    }),
    amount('litres', 'Litres that went on', 'L', 4, [0.1, 500], { onlyIf: ['way', 'litres'] }),
    count('coatsThen', 'That was in so many coats', 2, 20, { onlyIf: ['way', 'litres'] }),
    amount('rate', 'Covers, by the tin', 'm²/L', 10, [1, 40]),
    count('coats', 'Coats now', 2, 10),
  ],
  wantedBy: [
    {
      recipe: 'strip-barrier-antifoul',
      steps: ['antifoul', 'barrier', 'scrape'],
      fill: { coats: 'antifoulCoats' },
    },
  ],
  wantedAt: { operations: ['antifoul'] },
  work: (given, { say }) => {
    const { way, full, lwl, beam, draught, girths, keel, litres, coatsThen, rate, coats } = given
    const rule = underwaterAreaM2(hullFullness[full], lwl, beam, draught)
    const own =
      way === 'rule'
        ? rule
        : way === 'girths'
          ? girthAreaM2(girths.map((one) => [one.at, one.girth] as const)) + (keel ?? 0)
          : areaOfLitresM2(litres, coatsThen, rate)
    const need = coatLitres(own, coats, rate) * (1 + extra)
    const m2 = (value: number) => say(round(value, 1), 'm²')
    const sections: At[] =
      way === 'girths'
        ? girths.map((one): At => [one.at, one.girth / 2])
        : [
            [0, 0],
            [lwl * 0.25, (beam + draught) * 0.42],
            [lwl * 0.5, (beam + draught) * 0.5],
            [lwl * 0.75, (beam + draught) * 0.4],
            [lwl, (beam + draught) * 0.08],
          ]
    const sorted = [...sections].sort((a, b) => a[0] - b[0])
    const long = (sorted.at(-1)?.[0] ?? lwl) - (sorted[0]?.[0] ?? 0)
    const shapes: Shape[] = [
      shape([...sorted, [sorted.at(-1)?.[0] ?? 0, 0], [sorted[0]?.[0] ?? 0, 0]], { fill: 'water' }),
      path(
        [
          [(sorted[0]?.[0] ?? 0) - long * 0.04, 0],
          [(sorted.at(-1)?.[0] ?? 0) + long * 0.04, 0],
        ],
        { thick: true },
      ),
      ...sorted.map(([x, y]): Shape =>
        path(
          [
            [x, 0],
            [x, y],
          ],
          { dashed: true },
        ),
      ),
      length([sorted[0]?.[0] ?? 0, 0], [sorted.at(-1)?.[0] ?? 0, 0], say(round(long, 2), 'm'), {
        off: -0.7,
      }),
      text(
        [(sorted[0]?.[0] ?? 0) + long / 2, Math.max(...sorted.map((one) => one[1]))],
        'half her girth, laid flat',
        { anchor: 'middle', down: 0.8, tone: 'soft' },
      ),
    ]
    const apart = Math.abs(own - rule) / rule
    return accepted({
      says: `${m2(own)}, ${say(round(need, 1), 'L')}`,
      heading: `${m2(own)} under water: ${say(round(need, 1), 'L')} for ${coats} coats`,
      verdict: 'go',
      figures: [
        { label: 'Under water', value: m2(own) },
        ...(way === 'rule'
          ? []
          : [
              {
                label: 'By her sizes',
                value: m2(rule),
                note: apart > 0.25 ? 'far from it: measure one of them again' : 'near enough',
                tone: apart > 0.25 ? ('short' as const) : undefined,
              },
            ]),
        {
          label: 'Paint',
          value: say(round(need, 1), 'L'),
          note: 'edges and waterline once more in it',
        },
      ],
      working: [
        way === 'rule'
          ? `${hullFullness[full]} × ${round(lwl, 2)} × (${round(beam, 2)} + ${round(draught, 2)}) = ${round(own, 1)} m².`
          : way === 'girths'
            ? `Between girths the mean of the two × the way between them, added up${keel === null ? '' : `, and ${round(keel, 1)} m² of keel and rudder`}: ${round(own, 1)} m².`
            : `${round(litres, 1)} L × ${round(rate, 1)} m²/L × 0.85 ÷ ${coatsThen} coats = ${round(own, 1)} m².`,
        `${round(own, 1)} × ${coats} ÷ ${round(rate, 1)} ÷ 0.85 and a tenth: ${round(need, 1)} L.`,
      ],
      distrust: [
        ...(way === 'rule'
          ? ['The rule is within a fifth: girths are better, and she stands there.']
          : []),
        ...(way === 'girths' && keel === null ? ['Keel and rudder are not in it.'] : []),
        'A rough bottom drinks a fifth more.',
      ],
      cautions: ['Never dry-sand antifouling. Never move a stand to paint behind it.'],
      drawing: { shapes, said: `Her underwater body laid flat along ${round(long, 1)} metres.` },
      puts: [
        { is: 'part', key: 'antifoul', name: 'Antifouling', quantity: round(need, 1), unit: 'L' },
        {
          is: 'asBuilt',
          key: 'area',
          kind: 'size',
          what: 'Area under water',
          value: `${m2(own)}, by ${way === 'rule' ? 'her sizes' : way === 'girths' ? 'girths' : 'what went on'}`,
        },
      ],
    })
  },
})
