import { accepted, refused } from '../../../result'
import { amount } from '../../ask'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

/** Liquid peroxide: g to a mL, and drops to a mL of a dropper bottle. Starting values; count your own. */
const density = 1.15
const drops = 30

export const catalystDrops = sum({
  key: 'catalyst',
  title: 'Catalyst',
  pocket: 'resin',
  about:
    'Grams, millilitres and drops of peroxide for polyester, gelcoat and their fillers, inside the band of the sheet.',
  words: 'polyester gelcoat peroxide catalyst percent drops hardener',
  source: 'the trade’s rules: by temperature, inside the sheet’s band',
  asks: [
    amount('mass', 'Resin', 'g', 500, [1, 50_000], { doubt: 0.05 }),
    amount('low', 'Least, of the sheet', '%', 1, [0.2, 5]),
    amount('high', 'Most, of the sheet', '%', 2.5, [0.2, 6]),
    amount('tempC', 'Where you work it is', '°C', 18, [-5, 45], { doubt: 0.08 }),
    amount('coldC', 'The most is for', '°C', 12, [0, 40]),
    amount('warmC', 'The least is for', '°C', 28, [0, 50]),
  ],
  wantedBy: [{ recipe: 'locker-lid', steps: ['gel', 'plies'], fill: {} }],
  now: ({ airC }) => ({ tempC: airC }),
  work: ({ mass, low, high, tempC, coldC, warmC }, { say }) => {
    if (high < low)
      return refused('The most is less than the least.', [
        { field: 'high', message: 'More than the least, please.' },
      ])
    if (warmC <= coldC)
      return refused('The warm end lies under the cold end.', [
        { field: 'warmC', message: 'Over the other one, please.' },
      ])
    if (tempC < coldC - 0.05)
      return refused(
        `Colder than the sheet’s band: more catalyst is no help. Warm it to ${say(coldC, '°C')} first.`,
        [{ field: 'tempC', message: `Under ${say(coldC, '°C')} it does not cure through.` }],
      )
    const share = Math.min(1, Math.max(0, (warmC - tempC) / (warmC - coldC)))
    const percent = low + (high - low) * share
    const grams = (mass * percent) / 100
    const ml = grams / density
    const tooWarm = tempC > warmC + 0.05
    const count = Math.round(ml * drops)
    return accepted({
      says: `${round(percent, 1)} %, ${say(round(ml, 1), 'mL')}`,
      heading: `${round(percent, 1)} %: ${say(round(grams, 1), 'g')}, ${say(round(ml, 1), 'mL')}${count <= 200 ? `, ${count} drops` : ''}${tooWarm ? '; warmer than the band: mix less at a time' : ''}`,
      verdict: tooWarm ? 'look' : 'go',
      figures: [
        { label: 'Share', value: `${round(percent, 2)} %` },
        { label: 'By weight', value: say(round(grams, 1), 'g') },
        { label: 'By volume', value: say(round(ml, 1), 'mL') },
        ...(count <= 200
          ? [{ label: 'Drops', value: String(count), note: 'count ten of your bottle once' }]
          : []),
      ],
      working: [
        `Between ${round(coldC)} °C (${round(high, 2)} %) and ${round(warmC)} °C (${round(low, 2)} %), ${round(tempC)} °C gives ${round(percent, 2)} %.`,
        `${round(mass)} g × ${round(percent, 2)} % = ${round(grams, 2)} g, ÷ ${density} = ${round(ml, 2)} mL.`,
      ],
      distrust: [
        'The band is your sheet’s, not the one here.',
        'A thick laminate heats itself: stay at the lower end.',
      ],
      cautions: [
        'Peroxide: goggles, always. In the eye: water for fifteen minutes, then a doctor.',
        'Never mix it with accelerator: it explodes.',
      ],
      drawing: {
        shapes: [
          path(
            [
              [0, 0],
              [100, 0],
            ],
            {},
          ),
          path(
            [
              [0, -high * 20],
              [100, -low * 20],
            ],
            { thick: true },
          ),
          path(
            [
              [(1 - share) * 100, 0],
              [(1 - share) * 100, -percent * 20],
            ],
            { dashed: true },
          ),
          box((1 - share) * 100 - 1.5, -percent * 20 - 1.5, 3, 3, { fill: 'brass' }),
          text([0, 0], say(coldC, '°C'), { down: 0.9 }),
          text([100, 0], say(warmC, '°C'), { down: 0.9, anchor: 'end' }),
          text([0, -high * 20], `${round(high, 1)} % `, { anchor: 'end' }),
          text([100, -low * 20], ` ${round(low, 1)} %`),
          text([(1 - share) * 100, -percent * 20], `${round(percent, 1)} %`, {
            down: -0.9,
            bold: true,
            anchor: 'middle',
          }),
        ],
        said: `${round(percent, 1)} per cent at ${round(tempC)} degrees.`,
      },
      puts: [
        {
          is: 'bring',
          key: 'catalyst',
          what: `Catalyst, ${say(round(ml, 1), 'mL')}, with a dropper; goggles`,
          amount: '',
          kind: 'consumable',
        },
        {
          is: 'asBuilt',
          key: 'catalyst',
          kind: 'setting',
          what: 'Catalyst',
          value: `${round(percent, 1)} % at ${say(tempC, '°C')}`,
        },
      ],
    })
  },
})
