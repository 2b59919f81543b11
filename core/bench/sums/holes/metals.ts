import { isolateOverV, metalPair, metals } from '../../../fastening/galvanic'
import type { Metal } from '../../../fastening/galvanic'
import { accepted } from '../../../result'
import { lines, pick, words } from '../../ask'
import type { Shape } from '../../drawing'
import { path, text } from '../../parts'
import { sum } from '../../sum'

const options = (Object.entries(metals) as [Metal, { name: string }][]).map(
  ([value, { name }]) => ({ value, label: name.toLowerCase() }),
)

export const metalsThatMeet = sum({
  key: 'metals-that-meet',
  title: 'Metals that meet',
  pocket: 'holes',
  about: 'Which metals may touch, which one is eaten, and how to keep them apart.',
  words: 'galvanic corrosion metals stainless aluminium bronze mast isolate tef electrolysis anode',
  source: 'the trade’s rules: volts in sea water; over 0.20 V wetted they are kept apart',
  asks: [
    lines(
      'touch',
      'What touches what',
      'pair',
      [
        words('name', 'Where', 'pair', 40),
        pick('first', 'This', 'stainlessPassive', options),
        pick('second', 'touches', 'aluminium', options),
        pick('wet', 'It is', 'wet', [
          { value: 'wet', label: 'wetted by salt' },
          { value: 'dry', label: 'always dry' },
        ]),
        pick('anode', 'One of them is', 'no', [
          { value: 'no', label: 'no anode' },
          { value: 'yes', label: 'an anode, on purpose' },
        ]),
      ],
      [
        { name: 'bolt in the mast', first: 'stainlessActive', second: 'aluminium' },
        { name: 'sea valve and hose tail', first: 'bronze', second: 'bronze' },
      ],
      { most: 30 },
    ),
  ],
  wantedBy: [{ recipe: 'solar-on-arch', steps: ['isolate', 'bed'], fill: {} }],
  work: ({ touch }) => {
    const pairs = touch.map((one) => {
      const pair = metalPair(one.first as Metal, one.second as Metal)
      return {
        ...one,
        pair,
        isBad: one.wet === 'wet' && one.anode === 'no' && pair.volts > isolateOverV + 1e-9,
      }
    })
    const bad = pairs.filter((one) => one.isBad)
    const used = [...new Set(touch.flatMap((one) => [one.first, one.second]))] as Metal[]
    const scale = 300
    const at = (metal: Metal) => metals[metal].volts * scale
    const shapes: Shape[] = [
      path(
        [
          [-1.65 * scale, 0],
          [0.3 * scale, 0],
        ],
        { thick: true },
      ),
      ...used.map((metal, index): Shape => ({
        is: 'text',
        at: [at(metal), 0],
        text: `${metals[metal].name.split(',')[0]} ${metals[metal].volts.toFixed(2)}`,
        anchor: 'middle',
        down: -0.8 - (index % 3) * 0.95,
      })),
      ...used.map((metal): Shape =>
        path(
          [
            [at(metal), -6],
            [at(metal), 6],
          ],
          { thick: true },
        ),
      ),
    ]
    pairs.slice(0, 8).forEach((one, index) => {
      const y = 22 + index * 24
      shapes.push(
        path(
          [
            [at(one.first as Metal), 6],
            [at(one.first as Metal), y],
            [at(one.second as Metal), y],
            [at(one.second as Metal), 6],
          ],
          { edge: one.isBad ? 'red' : 'good', thick: true },
        ),
        text(
          [(at(one.first as Metal) + at(one.second as Metal)) / 2, y],
          `${one.name} ${one.pair.volts.toFixed(2)} V`,
          { anchor: 'middle', down: 0.55, size: 'small', tone: one.isBad ? 'red' : 'good' },
        ),
      )
    })
    return accepted({
      says: bad.length === 0 ? 'may touch' : `${bad.length} to keep apart`,
      heading:
        bad.length === 0
          ? 'all of these may touch'
          : `keep apart: ${bad.map((one) => one.name).join(', ')}`,
      verdict: bad.length === 0 ? 'go' : 'look',
      figures: pairs.map((one) => ({
        label: one.name,
        value: `${one.pair.volts.toFixed(2)} V`,
        note:
          one.pair.volts === 0
            ? 'no pair'
            : one.anode === 'yes'
              ? `${metals[one.pair.eaten].name.toLowerCase()} is meant to go`
              : one.isBad
                ? `${metals[one.pair.eaten].name.toLowerCase()} is eaten: isolate, or change one`
                : one.wet === 'dry'
                  ? 'fine while it stays dry'
                  : 'near enough',
        tone: one.isBad ? ('short' as const) : ('good' as const),
      })),
      working: [
        'How far apart they stand in sea water; the lower of the two is eaten.',
        'Over 0.20 V wetted: a sheet between, sleeves in the holes, washers under head and nut, sealant over all, so that no metal path is left.',
      ],
      distrust: [
        'Stainless under sealant, in wet core or in a gland counts as active: take that row.',
        'A small bolt in a large noble plate goes in a season; a large plate with a small noble bolt stands for years.',
      ],
      cautions: [
        'A stray current eats faster than any pair: where metal goes in weeks, an electrician looks.',
      ],
      drawing: {
        shapes,
        said: pairs.map((one) => `${one.name}: ${one.pair.volts.toFixed(2)} volts.`).join(' '),
      },
      puts: [
        ...(bad.length > 0
          ? [
              {
                is: 'part' as const,
                key: 'isolate',
                name: 'Isolating sheet, sleeves and washers',
                quantity: bad.length,
                unit: 'sets',
              },
            ]
          : []),
        {
          is: 'asBuilt',
          key: 'metals',
          kind: 'note',
          what: 'Metals',
          value:
            bad.length === 0
              ? 'may touch'
              : `kept apart: ${bad.map((one) => one.name).join(', ')}`.slice(0, 300),
        },
      ],
    })
  },
})
