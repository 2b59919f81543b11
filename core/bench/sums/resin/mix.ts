import { mixByWeight } from '../../../laminate/mix'
import { accepted, refused } from '../../../result'
import { amount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { mixParts, box, length, round, text } from '../../parts'
import { sum } from '../../sum'

/** Powder to a gram of mixed resin, and its density; starting values, the standing of the mix decides. */
const uses = {
  wetOut: { name: 'wet out', powder: 0, density: 2.2 },
  bed: { name: 'bed', powder: 0.05, density: 2.2 },
  fillet: { name: 'fillet', powder: 0.08, density: 2.2 },
  fill: { name: 'fill', powder: 0.08, density: 2.2 },
  fair: { name: 'fair', powder: 0.25, density: 0.25 },
} as const

export const mixByWeightSum = sum({
  key: 'mix-by-weight',
  title: 'Mix by weight',
  pocket: 'resin',
  about:
    'Grams of resin, hardener and powder for an odd amount, and what they are by volume, for the scales and for the stores.',
  words: 'epoxy resin hardener ratio grams volume pumps filler thick powder scales',
  source: 'the trade’s rules',
  asks: [
    pick('use', 'For', 'wetOut', [
      { value: 'wetOut', label: 'wetting out' },
      { value: 'bed', label: 'bedding, as syrup' },
      { value: 'fillet', label: 'a fillet, as mayonnaise' },
      { value: 'fill', label: 'filling, as butter' },
      { value: 'fair', label: 'fairing, light powder' },
    ]),
    pick('by', 'How much is known by', 'mass', [
      { value: 'mass', label: 'weight' },
      { value: 'volume', label: 'volume' },
    ]),
    amount('mass', 'Weight of the mix', 'g', 400, [1, 200_000], {
      doubt: 0.1,
      onlyIf: ['by', 'mass'],
    }),
    amount('volume', 'Volume of the mix', 'mL', 400, [1, 200_000], {
      doubt: 0.1,
      onlyIf: ['by', 'volume'],
    }),
    amount('resin', 'Resin, parts by weight', '', 100, [1, 1000]),
    amount('hardener', 'Hardener, parts by weight', '', 33, [0.5, 1000]),
    amount('resinDensity', 'Resin weighs, g to a mL', '', 1.15, [0.8, 2]),
    amount('hardenerDensity', 'Hardener weighs, g to a mL', '', 1, [0.7, 1.6]),
  ],
  wantedBy: [
    {
      recipe: 'dry-local-core',
      steps: ['fill'],
      fill: { use: { is: 'fill' }, by: { is: 'volume' }, volume: 'thickMix' },
    },
    {
      recipe: 'post-through-deck',
      steps: ['tabs', 'foot'],
      fill: { use: { is: 'fillet' }, by: { is: 'volume' }, volume: 'filletMl' },
    },
  ],
  wantedAt: { operations: ['fill'] },
  work: (given, { say }) => {
    const { use, by, resin, hardener, resinDensity, hardenerDensity } = given
    const { powder, density, name } = uses[use]
    // Of one gram of mixed resin and hardener.
    const mlOf =
      resin / (resin + hardener) / resinDensity + hardener / (resin + hardener) / hardenerDensity
    const mlOfAll = mlOf + powder / density
    const liquidG = by === 'mass' ? given.mass / (1 + powder) : given.volume / mlOfAll
    if (liquidG < 0.5) return refused('Too little to weigh: make more and throw some away.')
    const { resinG, hardenerG } = mixByWeight(liquidG, resin, hardener)
    const powderG = liquidG * powder
    const totalG = liquidG + powderG
    const totalMl = liquidG * mlOfAll
    const byVolume = [resinG / resinDensity, hardenerG / hardenerDensity] as const
    const g = (value: number) => say(round(value, value < 20 ? 1 : 0), 'g')
    const ml = (value: number) => say(round(value, value < 20 ? 1 : 0), 'mL')
    const to = [resinG, resinG + hardenerG, totalG]
    const shapes: Shape[] = [
      box(0, 0, resinG, totalG * 0.12, { fill: 'resin' }),
      box(resinG, 0, hardenerG, totalG * 0.12, { fill: 'water' }),
      ...(powderG > 0
        ? [box(resinG + hardenerG, 0, powderG, totalG * 0.12, { fill: 'paper' })]
        : []),
      text([resinG / 2, totalG * 0.06], 'resin', { anchor: 'middle' }),
      length([0, totalG * 0.12], [resinG, totalG * 0.12], g(resinG), { off: 0.7 }),
      length([resinG, 0], [resinG + hardenerG, 0], `+ ${g(hardenerG)}`, { off: -0.7 }),
    ]
    if (powderG > 0)
      shapes.push(
        length([resinG + hardenerG, totalG * 0.12], [totalG, totalG * 0.12], `+ ${g(powderG)}`, {
          off: 0.7,
        }),
      )
    return accepted({
      says: `${g(resinG)} + ${g(hardenerG)}`,
      heading: `resin to ${g(to[0] as number)}, hardener to ${g(to[1] as number)}${powderG > 0 ? `, powder to ${g(to[2] as number)}` : ''}`,
      verdict: 'go',
      figures: [
        { label: 'Resin', value: g(resinG), note: ml(byVolume[0]) },
        { label: 'Hardener', value: g(hardenerG), note: ml(byVolume[1]) },
        ...(powderG > 0
          ? [
              {
                label: 'Powder',
                value: g(powderG),
                note: `until it stands as it should to ${name}`,
              },
            ]
          : []),
        { label: 'All of it', value: g(totalG), note: ml(totalMl) },
        {
          label: 'By volume',
          value: `${round((resin / resinDensity / (hardener / hardenerDensity)) * 1, 2)} to 1`,
          note: 'resin to hardener',
        },
      ],
      working: [
        by === 'mass'
          ? `${round(given.mass)} g of mix${powder > 0 ? ` ÷ ${1 + powder}` : ''} are ${round(liquidG)} g of resin and hardener.`
          : `${round(given.volume)} mL ÷ ${round(mlOfAll, 3)} mL a gram are ${round(liquidG)} g of resin and hardener.`,
        `Resin ${round(liquidG)} × ${round(resin)} ÷ ${round(resin + hardener)} = ${round(resinG)} g; the rest is hardener.`,
        `By volume ${round(resin)} ÷ ${resinDensity} against ${round(hardener)} ÷ ${hardenerDensity}.`,
      ],
      distrust: [
        'The ratio is your resin’s, not the one here: read the tin.',
        'Powder by weight is a beginning; how it stands on the stick decides.',
        'Pumps drift: weigh ten strokes of each now and then.',
      ],
      cautions: [
        'More hardener does not cure faster: it does not cure.',
        'Light powder floats in the air: mask. Gloves: resin sensitises for life.',
      ],
      drawing: {
        shapes,
        said: `On the scales: resin ${Math.round(resinG)} g, hardener ${Math.round(hardenerG)} g, powder ${Math.round(powderG)} g.`,
      },
      puts: [
        ...mixParts({ resinG, hardenerG, powderG }),
        {
          is: 'asBuilt',
          key: 'mix',
          kind: 'setting',
          what: 'Mix',
          value: `${round(resin)}:${round(hardener)} by weight, to ${name}`,
        },
      ],
    })
  },
})
