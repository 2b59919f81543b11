import { coatLitres, coatsForFilm, spreadingRateM2PerL } from '../../../cure/coverage'
import { accepted } from '../../../result'
import { counted } from '../../../units/counted'
import { amount, count, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, length, round, text } from '../../parts'
import { sum } from '../../sum'

/** What is lost by how it is put on. Source: handbook 9 for brush and roller; spraying is a starting value. */
const losses = { brush: 0.15, spray: 0.4 } as const

export const coatsAndTins = sum({
  key: 'coats-and-tins',
  title: 'Coats and tins',
  pocket: 'resin',
  about:
    'Litres for an area and a film, tins to buy, what is left over, and how many coats build a film.',
  words: 'paint primer varnish barrier litres film thickness solids coverage spreading rate tin',
  source: 'the trade’s rules: m²/L = volume solids % × 10 / dry film µm',
  asks: [
    amount('areaM2', 'Area', 'm²', 12, [0.01, 2000], { doubt: 0.1 }),
    amount('solids', 'Solids by volume, of the sheet', '%', 50, [1, 100]),
    pick('by', 'You know', 'coats', [
      { value: 'coats', label: 'how many coats' },
      { value: 'film', label: 'the film they are to build' },
    ]),
    count('coats', 'Coats', 2, 20, { onlyIf: ['by', 'coats'] }),
    amount('film', 'Dry film in all', 'µm', 250, [5, 3000], { onlyIf: ['by', 'film'] }),
    amount('coatFilm', 'Dry film of one coat', 'µm', 60, [2, 1000]),
    pick('how', 'Put on by', 'brush', [
      { value: 'brush', label: 'brush or roller' },
      { value: 'spray', label: 'spray gun' },
    ]),
    amount('tin', 'Tins of', 'L', 0.75, [0.05, 25]),
    amount('edges', 'One more coat on edges, share of the area', '%', 0, [0, 100]),
  ],
  wantedBy: [
    {
      recipe: 'paint-surface',
      steps: ['primer', 'onePart', 'twoPart'],
      fill: { areaM2: 'areaM2', solids: 'solids', coatFilm: 'filmUm', coats: { is: 3 } },
    },
    { recipe: 'bare-metal', steps: ['primer'], fill: { areaM2: 'areaM2', coats: 'primeCoats' } },
    {
      recipe: 'strip-barrier-antifoul',
      steps: ['barrier', 'barrierRest'],
      fill: {
        areaM2: 'areaM2',
        solids: 'solids',
        by: { is: 'film' },
        film: { is: 250 },
        coatFilm: 'filmUm',
      },
    },
    {
      recipe: 'recore-above',
      steps: ['primer', 'paint'],
      fill: { areaM2: 'areaM2', coats: { is: 2 } },
    },
    {
      recipe: 'varnish-wood',
      steps: ['varnish', 'oil', 'twoPart', 'seal'],
      fill: { areaM2: 'areaM2', coats: 'coats' },
    },
  ],
  wantedAt: { operations: ['paint', 'varnish', 'prime', 'barrier'] },
  work: ({ areaM2, solids, by, coats: asked, film, coatFilm, how, tin, edges }, { say }) => {
    const coats = by === 'coats' ? asked : Math.max(1, coatsForFilm(film, coatFilm))
    const rate = spreadingRateM2PerL(solids, coatFilm)
    const each = coatLitres(areaM2, 1, rate, losses[how])
    const litres = each * coats + coatLitres((areaM2 * edges) / 100, 1, rate, losses[how])
    const tins = Math.ceil(litres / tin - 1e-9)
    const left = tins * tin - litres
    const total = coats * coatFilm
    const l = (value: number) => say(round(value, 2), 'L')
    const wet = coatFilm / (solids / 100)
    const shapes: Shape[] = Array.from({ length: Math.min(coats, 20) }, (_, at) =>
      box(0, -(at + 1) * 12, 160, 12, { fill: at % 2 === 0 ? 'paint' : 'stock' }),
    )
    shapes.push(
      box(0, 0, 160, 16, { fill: 'glass' }),
      length(
        [160, -coats * 12],
        [160, 0],
        `${coats} × ${say(coatFilm, 'µm')} = ${say(total, 'µm')}`,
        { off: 0.6 },
      ),
      ...Array.from({ length: Math.min(tins, 12) }, (_, at) =>
        box(at * 26, 40, 20, 26, { fill: 'paper' }),
      ),
      ...Array.from({ length: Math.min(tins, 12) }, (_, at) => {
        const full = Math.min(1, (litres - at * tin) / tin)
        return box(at * 26, 66 - 26 * full, 20, 26 * full, { fill: 'resin' })
      }),
      text([0, 76], `${l(left)} left over`, { down: 0.4 }),
    )
    return accepted({
      says: `${counted(tins, 'tin')}, ${l(litres)}`,
      takes: String(tins),
      heading: `${l(litres)} for ${counted(coats, 'coat')}: ${counted(tins, 'tin')} of ${l(tin)}, ${l(left)} over`,
      verdict: 'go',
      figures: [
        {
          label: 'In all',
          value: l(litres),
          note: how === 'brush' ? '15 % stays in tray and roller' : '40 % goes by with the gun',
        },
        { label: 'A coat', value: l(each) },
        { label: 'Covers', value: say(round(rate, 1), 'm²/L') },
        {
          label: 'Dry film in all',
          value: say(round(total, 0), 'µm'),
          tone: by === 'film' && total < film ? 'short' : undefined,
        },
        {
          label: 'Wet, on the comb',
          value: say(round(wet, 0), 'µm'),
          note: 'a coat, as it is laid',
        },
        { label: 'Left over', value: l(left) },
      ],
      working: [
        `${round(solids)} % × 10 ÷ ${round(coatFilm)} µm = ${round(rate, 2)} m²/L.`,
        ...(by === 'film'
          ? [`${round(film)} µm ÷ ${round(coatFilm)} a coat, rounded up: ${coats}.`]
          : []),
        `${round(areaM2, 2)} m² ÷ ${round(rate, 2)} ÷ ${1 - losses[how]} = ${round(each, 2)} L a coat, × ${coats}${edges > 0 ? `, and ${round(edges)} % once more` : ''}.`,
      ],
      distrust: [
        'Bare wood, filler and core drink the first coat: buy a tin more or thin it by the sheet.',
        'The film is what the comb says, not what the tin hopes for.',
      ],
      cautions: [
        'Solvent: ventilation, no flames, rags laid flat to dry.',
        'Two-part paint sprayed: an air-fed mask, or leave it to a trade.',
      ],
      drawing: { shapes, said: `${coats} coats of ${Math.round(coatFilm)} µm; ${tins} tins.` },
      puts: [
        {
          is: 'part',
          key: 'paint',
          name: 'Paint',
          quantity: round(litres, 2),
          unit: 'L',
          pack: tin,
        },
        {
          is: 'asBuilt',
          key: 'coats',
          kind: 'size',
          what: 'Coats',
          value: `${coats} of ${say(coatFilm, 'µm')} dry over ${say(round(areaM2, 1), 'm²')}`,
        },
      ],
    })
  },
})
