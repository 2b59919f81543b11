import { equallyStiffMm, equallyStrongMm, stuffs } from '../../../structure/stiffness'
import type { StuffKey } from '../../../structure/stiffness'
import { accepted } from '../../../result'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import { sum } from '../../sum'

const options = (Object.entries(stuffs) as [StuffKey, { name: string }][]).map(
  ([value, { name }]) => ({ value, label: name.toLowerCase() }),
)

export const asStiffAs = sum({
  key: 'as-stiff-as',
  title: 'As stiff as',
  pocket: 'structure',
  about:
    'How thick another stuff has to be to be as stiff, and as strong, with what it weighs and costs.',
  words:
    'equal stiffness strength substitute aluminium plywood carbon acrylic window thickness weight price',
  source: 'the trade’s rules: t·∛(E1 ÷ E2), t·√(σ1 ÷ σ2)',
  asks: [
    pick('from', 'Now it is', 'plywood', options),
    amount('thick', 'Thick', 'mm', 12, [0.2, 300]),
    pick('to', 'It would be', 'aluminium', options),
    amount('area', 'Area', 'm²', 1, [0.001, 1000]),
    maybeAmount('priceFrom', 'A kilogram of the first costs', 'money', [0, 1e7]),
    maybeAmount('priceTo', 'A kilogram of the other costs', 'money', [0, 1e7]),
  ],
  work: ({ from, thick, to, area, priceFrom, priceTo }, { say, money }) => {
    const [a, b] = [stuffs[from], stuffs[to]]
    const stiff = equallyStiffMm(thick, a.eGpa, b.eGpa)
    const strong = equallyStrongMm(thick, a.mpa, b.mpa)
    const both = Math.max(stiff, strong)
    const kg = (mm: number, density: number) => (mm / 1000) * density * area
    const [was, is] = [kg(thick, a.kgM3), kg(both, b.kgM3)]
    const mm = (value: number) => say(round(value), 'mm')
    const most = Math.max(thick, both)
    const shapes: Shape[] = [
      box(0, -thick, most * 5, thick, { fill: 'wood' }),
      text([most * 2.5, -thick / 2], `${a.name.toLowerCase()} ${mm(thick)}`, { anchor: 'middle' }),
      box(0, most * 0.6, most * 5, both, { fill: 'metal' }),
      text([most * 2.5, most * 0.6 + both / 2], `${b.name.toLowerCase()} ${mm(both)}`, {
        anchor: 'middle',
      }),
    ]
    return accepted({
      says: mm(both),
      heading: `${mm(both)} of ${b.name.toLowerCase()}: ${stiff >= strong ? 'stiffness' : 'strength'} sets it, ${say(round(Math.abs(was - is), 1), 'kg')} ${is > was ? 'heavier' : 'lighter'}`,
      verdict: 'go',
      figures: [
        { label: 'As stiff at', value: mm(stiff) },
        { label: 'As strong at', value: mm(strong) },
        {
          label: 'Weighs',
          value: say(round(is, 1), 'kg'),
          note: `now ${say(round(was, 1), 'kg')}`,
        },
        ...(priceTo === null
          ? []
          : [
              {
                label: 'Costs',
                value: money(is * priceTo),
                note: priceFrom === null ? undefined : `now ${money(was * priceFrom)}`,
              },
            ]),
      ],
      working: [
        `${round(thick)} × ∛(${a.eGpa} ÷ ${b.eGpa}) = ${round(stiff, 2)} mm.`,
        `${round(thick)} × √(${a.mpa} ÷ ${b.mpa}) = ${round(strong, 2)} mm.`,
      ],
      distrust: [
        'A plate in bending alone: holes, edges and knocks are another matter.',
        'Stiffness and strength are starting values; the maker’s sheet decides.',
      ],
      cautions: ['Windows, hatches and plating: the rules of her class or a designer.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${mm(thick)} of ${a.name} against ${mm(both)} of ${b.name}.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'stuff',
          kind: 'size',
          what: 'Instead of',
          value: `${mm(thick)} ${a.name.toLowerCase()}: ${mm(both)} ${b.name.toLowerCase()}`,
        },
      ],
    })
  },
})
