import { chemistries, costOfKwh } from '../../../electrics/energy'
import type { Chemistry } from '../../../electrics/energy'
import { accepted } from '../../../result'
import { amount, lines, pick } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import { sum } from '../../sum'

export const whichBattery = sum({
  key: 'which-battery',
  title: 'Which battery',
  pocket: 'electrics',
  about: 'Batteries compared by what a kilowatt-hour costs that is really used.',
  words: 'battery chemistry lithium agm lead cost cycles price kwh compare',
  source: 'the trade’s rules: price ÷ (usable kWh × cycles)',
  asks: [
    amount('volts', 'Volts', 'V', 12, [6, 60]),
    amount('perYear', 'Cycles a year', '', 80, [1, 400], { doubt: 0.3 }),
    lines(
      'offers',
      'Offers',
      'offer',
      [
        pick('kind', 'Kind', 'agm', [
          { value: 'lead', label: 'lead, flooded' },
          { value: 'agm', label: 'AGM' },
          { value: 'lithium', label: 'lithium' },
        ]),
        amount('ah', 'Ah', 'Ah', 300, [1, 20_000]),
        amount('price', 'Price in all', 'money', 90_000, [1, 1e9], { doubt: 0.1 }),
        amount('cycles', 'Cycles of its sheet', '', 600, [10, 20_000], { doubt: 0.2 }),
        amount('shelf', 'Years it keeps', '', 8, [0.5, 30]),
      ],
      [
        { kind: 'lead', ah: 330, price: 55_000, cycles: 500, shelf: 6 },
        { kind: 'agm', ah: 330, price: 95_000, cycles: 600, shelf: 7 },
        { kind: 'lithium', ah: 200, price: 150_000, cycles: 3000, shelf: 12 },
      ],
      { most: 12 },
    ),
  ],
  work: ({ volts, perYear, offers }, { money }) => {
    const list = offers.map((one) => {
      const { usable, name } = chemistries[one.kind as Chemistry]
      // Whichever ends first: its cycles or its years.
      const cycles = Math.min(one.cycles, perYear * one.shelf)
      return {
        ...one,
        name,
        usableAh: one.ah * usable,
        years: cycles / perYear,
        usedUp: one.cycles <= perYear * one.shelf,
        cost: costOfKwh(one.price, one.ah, volts, usable, cycles),
      }
    })
    const best = [...list].sort((a, b) => a.cost - b.cost)[0] as (typeof list)[number]
    const most = Math.max(...list.map((one) => one.cost))
    const shapes: Shape[] = list.flatMap((one, at): Shape[] => [
      text([0, at * 26 + 9], `${one.name}, ${round(one.ah)} Ah `, { anchor: 'end' }),
      box(0, at * 26, (one.cost / most) * 260, 17, { fill: one === best ? 'brass' : 'paper' }),
      text([(one.cost / most) * 260, at * 26 + 9], ` ${money(one.cost)}`, { bold: one === best }),
    ])
    return accepted({
      says: `${best.name}, ${money(best.cost)} a kWh`,
      takes: best.name,
      heading: `${best.name} costs least for what is used, ${money(best.cost)} a kWh over ${round(best.years)} years`,
      verdict: 'go',
      figures: list.map((one) => ({
        label: `${one.name}, ${round(one.ah)} Ah`,
        value: `${money(one.cost)} a kWh`,
        note: `${round(one.usableAh)} Ah usable; ${round(one.years)} years, ${one.usedUp ? 'used up' : 'aged out before its cycles are'}`,
        tone: one === best ? ('good' as const) : undefined,
      })),
      working: [
        'Price ÷ (Ah × volts ÷ 1000 × what may be drawn × cycles).',
        `At ${round(perYear)} cycles a year it ends with its cycles or its years, whichever comes first.`,
      ],
      distrust: [
        'Chargers, fuses and protection that lithium wants are not in its price.',
        'Cycles of a sheet are for its depth and its warmth.',
      ],
      cautions: ['Lithium: protection and charging by a licensed person; insurers ask.'],
      drawing: {
        shapes,
        free: { tallPx: 26 * list.length },
        said: `${list.length} batteries by the cost of a used kilowatt-hour.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'why',
          kind: 'note',
          what: 'Why this battery',
          value: `${best.name}: ${money(best.cost)} a kWh used`,
        },
      ],
    })
  },
})
