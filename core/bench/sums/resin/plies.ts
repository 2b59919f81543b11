import { taperWidthMm } from '../../../laminate/patchStack'
import { pliesToLevel, plyThicknessMm, resinKgM3, resinKgPerM2 } from '../../../laminate/ply'
import { accepted, refused } from '../../../result'
import { counted } from '../../../units/counted'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, round, text } from '../../parts'
import { sum } from '../../sum'

const cloths = {
  mat: { share: 0.32, name: 'mat' },
  combination: { share: 0.42, name: 'combination' },
  woven: { share: 0.48, name: 'woven' },
  biaxial: { share: 0.5, name: 'biaxial' },
} as const

export const pliesToLevelSum = sum({
  key: 'plies-to-a-level',
  title: 'Plies to a level',
  pocket: 'resin',
  about:
    'How many plies reach a level, how far they stand over it, and the cloth and resin they take.',
  words: 'laminate ply thickness glass cloth level biaxial mat resin kg layers',
  source: 'the trade’s rules: ply = w/ρf + w(1−φ)/(φ ρr)',
  asks: [
    amount('level', 'To be built up', 'mm', 3, [0.1, 100], { doubt: 0.15 }),
    amount('cloth', 'Cloth', 'g/m²', 450, [50, 2500]),
    pick('kind', 'It is', 'biaxial', [
      { value: 'mat', label: 'chopped mat' },
      { value: 'combination', label: 'combination' },
      { value: 'woven', label: 'woven' },
      { value: 'biaxial', label: 'stitched biaxial' },
    ]),
    pick('binder', 'Held together by', 'stitched', [
      { value: 'stitched', label: 'stitches', why: 'Sound in epoxy and polyester.' },
      { value: 'powder', label: 'powder', why: 'Doubtful in epoxy.' },
      { value: 'emulsion', label: 'emulsion', why: 'Epoxy does not wet it.' },
      { value: 'none', label: 'nothing: it is woven' },
    ]),
    pick('resin', 'Resin', 'epoxy', [
      { value: 'epoxy', label: 'epoxy' },
      { value: 'polyester', label: 'polyester' },
    ]),
    maybeAmount('areaM2', 'Over an area of', 'm²', [0.001, 500], { doubt: 0.1 }),
    amount('waste', 'Cut away and lapped', '%', 10, [0, 60]),
    pick('ratio', 'Ground to a taper of', 'structural', [
      { value: 'structural', label: '12 to 1', why: 'What bears load.' },
      { value: 'light', label: '8 to 1', why: 'What only closes a hole.' },
    ]),
  ],
  wantedBy: [
    { recipe: 'crack-in-laminate', steps: ['plies'], fill: { level: 'skin', cloth: 'cloth' } },
    {
      recipe: 'recore-above',
      steps: ['plies', 'taper'],
      fill: { level: 'skinNew', cloth: 'cloth', kind: { is: 'biaxial' }, areaM2: 'areaM2' },
    },
    {
      recipe: 'through-hull',
      steps: ['solid'],
      fill: { level: 'core', cloth: 'cloth', kind: { is: 'biaxial' } },
    },
  ],
  work: ({ level, cloth, kind, binder, resin, areaM2, waste, ratio }, { say }) => {
    if (binder === 'emulsion' && resin === 'epoxy')
      return refused(
        'Emulsion-bound cloth is not wetted by epoxy: it stays dry inside. Use stitched cloth, or polyester.',
        [{ field: 'binder', message: 'Epoxy does not wet it: take stitched cloth.' }],
      )
    const { share, name } = cloths[kind]
    const each = plyThicknessMm(cloth, share, resinKgM3[resin])
    const { plies, overMm } = pliesToLevel(level, each)
    if (plies > 200)
      return refused('That takes over 200 plies: core or solid stuff first, plies on top.')
    const kg = resinKgPerM2(cloth, share)
    const clothM2 = areaM2 === null ? null : areaM2 * plies * (1 + waste / 100)
    const resinKg = clothM2 === null ? null : clothM2 * kg
    const total = plies * each
    const taper = taperWidthMm(level, ratio === 'structural' ? 12 : 8)
    const wide = Math.max(total * 6, 30)
    const shapes: Shape[] = Array.from({ length: Math.min(plies, 60) }, (_, at) =>
      box(0, -each * (at + 1), wide, each, { fill: 'glass' }),
    )
    shapes.push(
      box(0, 0, wide, Math.max(total * 0.3, 1), { fill: 'paint' }),
      {
        is: 'path',
        points: [
          [-wide * 0.1, -level],
          [wide * 1.1, -level],
        ],
        dashed: true,
        edge: 'red',
      },
      text([wide * 1.1, -level], ` level ${say(round(level), 'mm')}`, {
        tone: 'red',
        field: 'level',
      }),
      length([0, -total], [0, 0], `${plies} plies, ${say(round(total, 2), 'mm')}`, { off: -0.6 }),
    )
    return accepted({
      says: counted(plies, 'ply', 'plies'),
      takes: String(plies),
      heading: `${counted(plies, 'ply', 'plies')}, ${overMm < 0.05 ? 'just level' : `${say(round(overMm), 'mm')} over`}`,
      verdict: 'go',
      figures: [
        {
          label: 'Plies',
          value: String(plies),
          note: `one fewer is ${say(round(each - overMm, 2), 'mm')} short`,
        },
        { label: 'One ply', value: say(round(each, 2), 'mm') },
        { label: 'Over the level', value: say(round(overMm, 2), 'mm') },
        { label: 'Taper', value: say(round(taper, 0), 'mm'), note: 'ground round the edge' },
        ...(clothM2 === null || resinKg === null
          ? [{ label: 'Resin', value: `${round(kg, 2)} kg/m²`, note: 'a ply' }]
          : [
              { label: 'Cloth', value: say(round(clothM2, 2), 'm²') },
              { label: 'Resin, mixed', value: say(round(resinKg, 2), 'kg') },
            ]),
      ],
      working: [
        `Glass ${round(cloth)} g/m² ÷ 2560 kg/m³ and resin ${round(cloth)} × (1 − ${share}) ÷ ${share} ÷ ${resinKgM3[resin]} kg/m³: ${round(each, 3)} mm a ply of ${name}.`,
        `${round(level)} ÷ ${round(each, 3)} = ${round(level / each, 2)}, so ${plies}.`,
        ...(clothM2 === null
          ? []
          : [
              `Cloth ${round(areaM2 ?? 0, 2)} m² × ${plies} and ${round(waste)} %: ${round(clothM2, 2)} m²; resin ${round(kg, 3)} kg to each.`,
            ]),
      ],
      distrust: [
        'A dry hand lays thinner plies and a wet one thicker: measure after the second.',
        ...(binder === 'powder' && resin === 'epoxy'
          ? ['Powder-bound cloth is doubtful in epoxy: wet out a scrap and tear it.']
          : []),
      ],
      cautions: ['Grinding glass: P3, goggles, extraction. Resin: no bare skin.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${plies} plies, ${round(total, 1)} mm, against a level of ${round(level, 1)} mm.`,
      },
      puts: [
        ...(clothM2 === null || resinKg === null
          ? []
          : [
              {
                is: 'part' as const,
                key: 'cloth',
                name: `Glass cloth ${round(cloth)} g/m², ${name}`,
                quantity: round(clothM2, 2),
                unit: 'm²',
              },
              {
                is: 'part' as const,
                key: 'resin',
                name: resin === 'epoxy' ? 'Epoxy, mixed' : 'Polyester resin',
                quantity: round(resinKg, 2),
                unit: 'kg',
              },
            ]),
        {
          is: 'asBuilt',
          key: 'plies',
          kind: 'size',
          what: 'Laminate',
          value: `${plies} plies ${round(cloth)} g/m² ${name}, ${say(round(total, 1), 'mm')}`,
        },
      ],
    })
  },
})
