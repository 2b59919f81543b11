import { inverterShare } from '../../../electrics/energy'
import { cableFor } from '../../../electrics/cable'
import { accepted } from '../../../result'
import { amount, lines, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import { sum } from '../../sum'

/** An inverter is not run over this share of its plate for long. Starting value. */
const steady = 0.8

export const inverterSize = sum({
  key: 'inverter',
  title: 'Inverter',
  pocket: 'electrics',
  about:
    'The inverter for what runs at once and for what starts, what it draws from the bank, and its cable.',
  words: 'inverter mains 230 watt surge kettle microwave tools draw',
  source: 'the trade’s rules: loads through an inverter ÷ 0.85',
  asks: [
    amount('volts', 'Volts of the bank', 'V', 12, [6, 60]),
    amount('bank', 'Bank', 'Ah', 300, [10, 20_000]),
    amount('run', 'From bank to inverter', 'm', 1.5, [0.1, 20]),
    lines(
      'things',
      'What runs at once',
      'thing',
      [
        words('name', 'Thing', 'thing', 40),
        amount('watts', 'Watts', 'W', 100, [1, 10_000], { doubt: 0.1 }),
        amount('start', 'When it starts, times', '', 1, [1, 10]),
      ],
      [
        { name: 'laptop', watts: 60, start: 1 },
        { name: 'drill charger', watts: 150, start: 1 },
        { name: 'sander', watts: 400, start: 3 },
      ],
      { most: 30 },
    ),
  ],
  work: ({ volts, bank, run, things }, { say }) => {
    const all = things.reduce((sum_, one) => sum_ + one.watts, 0)
    const surge = Math.max(...things.map((one) => all - one.watts + one.watts * one.start))
    const want = Math.max(all / steady, surge / 2)
    const sizes = [150, 300, 500, 800, 1200, 1600, 2000, 3000, 5000, 8000, 10_000]
    const take = sizes.find((one) => one >= want) ?? Math.ceil(want / 1000) * 1000
    const amps = all / volts / inverterShare
    const full = take / volts / inverterShare
    const share = amps / bank
    const cable =
      full <= 150 ? cableFor({ runM: run, loadA: full, volts, dropPercent: 3, derating: 1 }) : null
    const hard = share > 0.25
    const w = (value: number) => `${Math.round(value)} W`
    const scale = 360 / Math.max(surge, take)
    const shapes: Shape[] = [
      box(0, 0, all * scale, 20, { fill: 'resin' }),
      box(all * scale, 0, Math.max(0, surge - all) * scale, 20, { fill: 'short', edge: 'red' }),
      text([0, 0], `at once ${w(all)}, starting ${w(surge)}`, { down: -0.6 }),
      path(
        [
          [take * scale, -8],
          [take * scale, 34],
        ],
        { thick: true },
      ),
      text([take * scale, 34], w(take), { anchor: 'end', down: 0.7, bold: true }),
    ]
    return accepted({
      says: w(take),
      takes: w(take),
      heading: hard
        ? `${w(take)}, drawing ${Math.round(amps)} A: much for a bank of ${Math.round(bank)} Ah`
        : `${w(take)}; it draws ${Math.round(amps)} A`,
      verdict: hard ? 'look' : 'go',
      figures: [
        {
          label: 'Inverter',
          value: w(take),
          note: 'steady four fifths of its plate, twice it for a start',
        },
        { label: 'Draws, as said', value: `${round(amps)} A` },
        { label: 'Draws, at its plate', value: `${round(full)} A` },
        {
          label: 'Of the bank, an hour',
          value: `${Math.round(share * 100)} %`,
          tone: hard ? 'short' : undefined,
        },
        {
          label: 'Cable',
          value: cable
            ? `${cable.mm2} mm², fuse ${cable.fuseA} A`
            : 'more than one cable: the maker’s sheet',
          note: say(run, 'm'),
        },
      ],
      working: [
        `${w(all)} ÷ ${steady} = ${w(all / steady)}; the worst start ${w(surge)} ÷ 2 = ${w(surge / 2)}.`,
        `${w(all)} ÷ ${round(volts)} V ÷ ${inverterShare} = ${round(amps)} A.`,
      ],
      distrust: [
        'A motor’s start is three to six times its plate: read it, or ask.',
        'It draws something when nothing runs: switch it off.',
      ],
      cautions: ['230 V aboard: earth-leakage breaker, a licensed person, local code.'],
      drawing: {
        shapes,
        free: { ratio: 0.25 },
        said: `${Math.round(all)} watts at once, ${Math.round(surge)} at a start, against an inverter of ${take}.`,
      },
      puts: [
        {
          is: 'part',
          key: 'inverter',
          name: `Inverter ${w(take)}, ${round(volts)} V`,
          quantity: 1,
          unit: 'pieces',
        },
        {
          is: 'asBuilt',
          key: 'inverter',
          kind: 'setting',
          what: 'Inverter',
          value: `${w(take)}${cable ? `, ${cable.mm2} mm², fuse ${cable.fuseA} A` : ''}`,
        },
      ],
    })
  },
})
