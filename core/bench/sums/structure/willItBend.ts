import { bendLimits, radiusMm } from '../../../structure/stiffness'
import type { BendLimit } from '../../../structure/stiffness'
import { accepted } from '../../../result'
import { amount, pick } from '../../ask'
import type { At, Shape } from '../../drawing'
import { length, path, round, text } from '../../parts'
import { sum } from '../../sum'

export const willItBend = sum({
  key: 'will-it-bend',
  title: 'Will it bend',
  pocket: 'structure',
  about:
    'The radius of a curve from its chord and height, and whether a stuff of that thickness goes round it.',
  words: 'bend radius curve camber plank plywood acrylic window batten layers laminate',
  source: 'the trade’s rules: R = c² ÷ 8h + h ÷ 2; limits are starting values',
  asks: [
    amount('chord', 'Chord, straight across', 'mm', 1200, [10, 50_000], { doubt: 0.01 }),
    amount('height', 'Height in the middle', 'mm', 60, [0.5, 20_000], { doubt: 0.05 }),
    amount('thick', 'Stuff, thick', 'mm', 9, [0.3, 200]),
    pick(
      'of',
      'Of',
      'plywood',
      (Object.entries(bendLimits) as [BendLimit, { name: string }][]).map(([value, { name }]) => ({
        value,
        label: name.toLowerCase(),
      })),
    ),
  ],
  wantedBy: [{ recipe: 'sister-frame', steps: ['bend', 'steam'], fill: {} }],
  work: ({ chord, height, thick, of }, { say }) => {
    const radius = radiusMm(chord, height)
    const limit = bendLimits[of]
    const least = limit.times * thick
    const fits = radius >= least
    const thinner = radius / limit.times
    const layers = Math.ceil(thick / thinner - 1e-9)
    const mm = (value: number) => say(round(value, 0), 'mm')
    const half = Math.asin(Math.min(1, chord / 2 / radius))
    const sweep = height > radius ? Math.PI - half : half
    const arc: At[] = Array.from({ length: 25 }, (_, at) => {
      const angle = -sweep + (2 * sweep * at) / 24
      return [radius * Math.sin(angle), -(radius * Math.cos(angle) - radius * Math.cos(sweep))]
    })
    const shapes: Shape[] = [
      path(arc, { thick: true, edge: fits ? 'ink' : 'red' }),
      path(
        [
          [-chord / 2, 0],
          [chord / 2, 0],
        ],
        { dashed: true },
      ),
      length([-chord / 2, 0], [chord / 2, 0], mm(chord), { off: 0.7, field: 'chord' }),
      length([0, 0], [0, -height], mm(height), { off: 0.3, field: 'height' }),
      text([0, -height], `radius ${mm(radius)}`, { anchor: 'middle', down: -0.7, bold: true }),
    ]
    return accepted({
      says: fits ? 'it bends' : `no: ${layers} layers`,
      takes: fits ? 'bends' : `${layers} layers`,
      heading: fits
        ? `it goes round ${mm(radius)}`
        : `it wants ${mm(least)} and has ${mm(radius)}: ${layers} layers of ${say(round(thick / layers), 'mm')}`,
      verdict: fits ? 'go' : 'look',
      figures: [
        { label: 'Radius', value: mm(radius) },
        {
          label: 'Tightest for it',
          value: mm(least),
          note: `${limit.times} times its thickness`,
          tone: fits ? 'good' : 'short',
        },
        { label: 'Thickest that goes round', value: say(round(thinner), 'mm') },
        { label: 'Along the curve', value: mm(2 * sweep * radius) },
      ],
      working: [
        `${round(chord)}² ÷ (8 × ${round(height)}) + ${round(height)} ÷ 2 = ${round(radius)} mm.`,
        `${limit.name}: ${limit.times} × ${round(thick)} = ${round(least)} mm.`,
      ],
      distrust: [
        'Grain that runs out breaks long before: bend a scrap to the limit first.',
        'Limits are careful starting values; the maker’s sheet decides for plastics.',
      ],
      cautions: ['Steam burns: gloves, two people, one clamp each.'],
      drawing: { shapes, inMm: true, said: `A curve of ${round(radius)} mm radius.` },
      puts: [
        {
          is: 'asBuilt',
          key: 'radius',
          kind: 'size',
          what: 'Radius',
          value: `${mm(radius)}, ${fits ? 'in one' : `${layers} layers`} of ${limit.name.toLowerCase()}`,
        },
      ],
    })
  },
})
