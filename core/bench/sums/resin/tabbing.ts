import { filletMlPerM } from '../../../laminate/fillet'
import { mixGrams, mixWeightG } from '../../../laminate/mixFor'
import { resinKgPerM2 } from '../../../laminate/ply'
import { tabbingWidthsMm } from '../../../laminate/tabbing'
import { accepted } from '../../../result'
import { amount, count } from '../../ask'
import type { At, Shape } from '../../drawing'
import { box, length, path, round, shape } from '../../parts'
import { sum } from '../../sum'

export const tabbingAndFillet = sum({
  key: 'tabbing-and-fillet',
  title: 'Tabbing and fillet',
  pocket: 'resin',
  about:
    'Filler for the corner and the widths of the plies that tie a bulkhead, a stringer or a post to the skin.',
  words: 'tabbing fillet bulkhead corner tape filler radius cloth strips',
  source: 'the trade’s rules: fillet first, r²(1 − π/4)',
  asks: [
    amount('lengthM', 'Joint', 'm', 2, [0.05, 200], { doubt: 0.1 }),
    amount('fillet', 'Radius of the fillet', 'mm', 15, [3, 100]),
    amount('leg', 'First ply up each face', 'mm', 50, [10, 400]),
    count('plies', 'Plies', 3, 30),
    amount('cloth', 'Cloth', 'g/m²', 450, [50, 2500]),
    amount('waste', 'Cut away and lapped', '%', 10, [0, 60]),
  ],
  wantedBy: [
    {
      recipe: 'renew-structure',
      steps: ['tab'],
      fill: { lengthM: 'jointM', fillet: 'fillet', plies: 'plies', cloth: 'cloth' },
    },
    {
      recipe: 'post-through-deck',
      steps: ['tabs'],
      fill: { lengthM: 'jointM', fillet: 'fillet', plies: 'plies', cloth: 'cloth' },
    },
  ],
  work: ({ lengthM, fillet, leg, plies, cloth, waste }, { say }) => {
    const widths = tabbingWidthsMm(leg, fillet, plies)
    const fillMl = filletMlPerM(fillet) * lengthM * 1.25
    const clothM2 = widths.reduce((all, one) => all + (one / 1000) * lengthM, 0) * (1 + waste / 100)
    const resinKg = clothM2 * resinKgPerM2(cloth, 0.5)
    const filler = mixGrams(mixWeightG(fillMl, 'fillet'), 'fillet')
    const mm = (value: number) => say(round(value, 0), 'mm')
    const reach = leg + (plies - 1) * 12
    const arc: At[] = Array.from({ length: 9 }, (_, at) => {
      const angle = Math.PI / 2 + (at / 8) * (Math.PI / 2)
      return [fillet + fillet * Math.cos(angle), -fillet + fillet * Math.sin(angle)]
    })
    const shapes: Shape[] = [
      box(-12, -reach - fillet - 20, 12, reach + fillet + 20, { fill: 'wood' }),
      box(-12, 0, reach + fillet + 40, 10, { fill: 'glass' }),
      shape([[0, 0], ...arc.map(([x, y]): At => [x, y])], { fill: 'resin' }),
      ...widths.map((_, at) => {
        const out = 1.5 + at * 2.5
        const far = leg + at * 12 + fillet
        return path(
          [
            [out, -far],
            [out, -fillet],
            ...arc.map(([x, y]): At => [x + out * 0.7, y - out * 0.7]),
            [fillet, -out],
            [far, -out],
          ],
          { thick: at === 0 },
        )
      }),
      length([reach + fillet + 14, -reach - fillet], [reach + fillet + 14, 0], mm(reach + fillet), {
        off: 0.3,
      }),
      length([fillet, 10], [leg + fillet, 10], mm(leg), { off: 0.6, field: 'leg' }),
    ]
    return accepted({
      says: `${plies} plies, fillet ${mm(fillet)}`,
      heading: `${say(round(fillMl, 0), 'mL')} of filler, strips from ${mm(widths[0] as number)} to ${mm(widths.at(-1) as number)} wide`,
      verdict: 'go',
      figures: [
        {
          label: 'Filler',
          value: say(round(fillMl, 0), 'mL'),
          note: `${say(round(filler.resinG, 0), 'g')} resin, ${say(round(filler.hardenerG, 0), 'g')} hardener, ${say(round(filler.powderG, 0), 'g')} powder`,
        },
        { label: 'Cloth', value: say(round(clothM2, 2), 'm²') },
        { label: 'Resin, mixed', value: say(round(resinKg, 2), 'kg') },
      ],
      table: {
        caption: 'Strips, first laid first',
        head: ['Ply', 'wide', 'long'],
        rows: widths.map((one, at) => [String(at + 1), mm(one), say(round(lengthM, 2), 'm')]),
      },
      working: [
        `Fillet ${round(fillet)}² × (1 − π/4) = ${round(filletMlPerM(fillet))} mL a metre, × ${round(lengthM, 2)} m and a quarter lost.`,
        `First strip 2 × ${round(leg)} + the arc ${round((Math.PI / 2) * fillet)} = ${round(widths[0] as number)} mm; each next reaches 12 mm further on both faces.`,
      ],
      distrust: ['Round every outside corner to 6 mm and more: glass does not turn sharp corners.'],
      cautions: ['Grinding for the tabs: P3 and extraction. Resin: no bare skin.'],
      drawing: {
        shapes,
        inMm: true,
        said: `A fillet of ${Math.round(fillet)} mm with ${plies} plies, the last reaching ${Math.round(reach + fillet)} mm.`,
      },
      puts: [
        {
          is: 'part',
          key: 'cloth',
          name: `Glass cloth ${round(cloth)} g/m², biaxial`,
          quantity: round(clothM2, 2),
          unit: 'm²',
        },
        {
          is: 'part',
          key: 'resin',
          name: 'Epoxy, mixed',
          quantity: round(resinKg + (filler.resinG + filler.hardenerG) / 1000, 2),
          unit: 'kg',
        },
        {
          is: 'asBuilt',
          key: 'tabs',
          kind: 'size',
          what: 'Tabbing',
          value: `${plies} plies ${round(cloth)} g/m² over a fillet of ${mm(fillet)}, ${say(round(lengthM, 2), 'm')}`,
        },
      ],
    })
  },
})
