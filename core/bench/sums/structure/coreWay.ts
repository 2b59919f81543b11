import type { PanelCase } from '../../../panel/ways'
import { coreWays, rankedWays } from '../../../panel/ways'
import { accepted } from '../../../result'
import { counted } from '../../../units/counted'
import { amount, maybeAmount, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text, yesNo } from '../../parts'
import { sum } from '../../sum'

export const whichCoreWay = sum({
  key: 'which-core-way',
  title: 'Which core way',
  pocket: 'structure',
  about:
    'The ways to mend a wet core, which fits this one and why the others do not, with hours and waits.',
  words: 'core balsa foam wet deck dry fill inject recore above below delaminated',
  source: 'the trade’s rules: hours of the recipes',
  asks: [
    amount('area', 'Wet, damp or dull', 'm²', 0.3, [0.001, 30], { doubt: 0.2 }),
    maybeAmount('edge', 'All round it', 'm', [0.1, 80], { doubt: 0.2 }),
    amount('core', 'Core', 'mm', 12, [5, 60], { doubt: 0.15 }),
    amount('outer', 'Skin over it', 'mm', 4, [0.5, 30], { doubt: 0.2 }),
    yesNo('load', 'It carries load', 'yes'),
    yesNo('spreads', 'It has spread since it was last looked at'),
    pick('sample', 'A core sample says', 'none', [
      { value: 'none', label: 'none taken' },
      { value: 'wet', label: 'wet' },
      { value: 'powder', label: 'dry, gone to powder' },
      { value: 'parted', label: 'skin and core parted' },
    ]),
    yesNo('falling', 'Readings fall as it dries', 'yes'),
    maybeAmount('lining', 'Hours for the lining under it, out and back', 'h', [0, 300]),
    amount('fittings', 'Fittings on it', 'pieces', 2, [0, 60], { whole: true }),
  ],
  wantedBy: [
    {
      recipe: 'recore-above',
      steps: ['map', 'strip', 'cut'],
      fill: { area: 'areaM2', edge: 'edgeM', core: 'core', fittings: 'fittings' },
    },
    { recipe: 'dry-local-core', steps: ['open', 'pick'], fill: { area: 'areaM2', core: 'core' } },
  ],
  work: (given, { say }) => {
    const { area, edge, core, outer, load, spreads, sample, falling, lining, fittings } = given
    const about: PanelCase = {
      panel: { carriesLoad: load === 'yes', coreMm: core, fittings: [], dampFrom: 14 },
      figures: {
        wetM2: area,
        dampM2: 0,
        dullM2: 0,
        openM2: area,
        wetShare: 1,
        unreadM2: 0,
        highest: null,
        wetKeys: new Set(),
        deepestMm: null,
      },
      spreading: spreads === 'yes',
      parted: sample === 'parted',
      powder: sample === 'powder',
      wetSample: sample === 'wet',
      drying: falling === 'yes' ? { is: 'tooFew', more: 3 } : { is: 'notFalling' },
      daysToDry: null,
      liningHours: lining,
      fittingsInIt: fittings,
      edgeM: edge ?? 4 * Math.sqrt(area),
      outerMm: outer,
    }
    const ways = rankedWays(coreWays(about), new Map())
    const best = ways[0] as (typeof ways)[number]
    const word = { fits: 'fits', offered: 'second choice', not: 'not here' } as const
    const side = Math.sqrt(area) * 1000
    const shapes: Shape[] = [
      box(-side, 0, side * 3, outer * 6, { fill: 'glass' }),
      box(-side, outer * 6, side * 3, core * 6, { fill: 'core' }),
      box(0, outer * 6, side, core * 6, { fill: 'short', edge: 'red' }),
      box(-side, (outer + core) * 6, side * 3, outer * 4, { fill: 'glass' }),
      text([side / 2, 0], say(round(area, 2), 'm²'), {
        anchor: 'middle',
        down: -0.6,
        bold: true,
        field: 'area',
      }),
    ]
    return accepted({
      says: best.recipe.title.toLowerCase(),
      takes: best.key,
      heading:
        best.fit === 'not'
          ? 'none of the ways is advised here: ask a surveyor'
          : `${best.recipe.title.toLowerCase()}: ${round(best.hours)} h`,
      verdict: best.fit === 'not' ? 'stop' : 'go',
      figures: ways.map((one) => ({
        label: one.recipe.title,
        value: `${round(one.hours)} h, ${counted(round(one.waitDays, 0), 'day')} of waits`,
        note: `${word[one.fit]}: ${one.because}`,
        tone:
          one === best && one.fit === 'fits'
            ? ('good' as const)
            : one.fit === 'not'
              ? ('short' as const)
              : undefined,
      })),
      working: [
        'Up to 0.05 m² round one fitting is dried and filled; to 0.1 m² either way is done; more, or what spreads, is re-cored.',
        'Hours and waits are those of the recipes with these sizes in.',
      ],
      distrust: [
        'A meter and a tap find the edge within a hand’s width. One sample outranks both.',
        'Without a map this area is one person’s opinion: Walk draws one.',
      ],
      cautions: ['Propped from below before a skin that carries load is cut. Glass dust: P3.'],
      drawing: {
        shapes,
        free: { ratio: 0.25 },
        said: `${round(area, 2)} square metres of bad core.`,
      },
      puts: [
        { is: 'asBuilt', key: 'way', kind: 'note', what: 'Why this way', value: best.because },
      ],
    })
  },
})
