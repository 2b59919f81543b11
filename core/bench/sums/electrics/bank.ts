import { bankAh, bankByDrawAh, chemistries, loadAh, solarAh } from '../../../electrics/energy'
import type { Chemistry } from '../../../electrics/energy'
import { accepted } from '../../../result'
import { amount, count, lines, pick, rarely, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import type { Beside } from '../../sum'
import { sum } from '../../sum'

const where = ['anchor', 'passage', 'alongside'] as const
const said = { anchor: 'at anchor', passage: 'on passage', alongside: 'alongside' } as const

export const loadsToBank = sum({
  key: 'loads-to-bank',
  title: 'Loads to bank',
  pocket: 'electrics',
  about:
    'What she uses in a day at anchor, on passage and alongside, the bank that carries it, and what sun and engine put back.',
  words:
    'battery bank energy budget ah solar panel engine hours loads watts amp fridge lithium agm consumption',
  source: 'the trade’s rules: Ah a day × days ÷ what may be drawn × 1.1; W × sun hours × 0.7',
  isWide: true,
  asks: [
    pick('place', 'Shown for', 'anchor', [
      { value: 'anchor', label: 'at anchor' },
      { value: 'passage', label: 'on passage' },
      { value: 'alongside', label: 'alongside' },
    ]),
    amount('volts', 'Volts of the bank', 'V', 12, [6, 60]),
    amount('days', 'Days without charge', 'days', 2, [0.1, 30]),
    pick('kind', 'Bank of', 'agm', [
      { value: 'lead', label: 'lead, flooded', why: 'Half may be drawn. Cheapest to buy, heavy.' },
      {
        value: 'agm',
        label: 'AGM',
        why: 'Half may be drawn. No gas in use, dislikes being left half full.',
      },
      {
        value: 'lithium',
        label: 'lithium iron phosphate',
        why: 'Four fifths may be drawn. Needs its own protection and chargers: a licensed person.',
      },
    ]),
    amount('panels', 'Panels', 'W', 200, [0, 20_000]),
    amount('sun', 'Peak sun hours a day', 'h', 4.2, [0, 12], { doubt: 0.3 }),
    amount('alternator', 'Engine charges at', 'A', 40, [0, 1000]),
    lines(
      'loads',
      'Loads',
      'load',
      [
        words('name', 'Load', 'load', 40),
        amount('watts', 'Watts', 'W', 10, [0, 20_000], { doubt: 0.15 }),
        rarely(count('many', 'How many', 1, 200)),
        amount('anchor', 'Hours, at anchor', 'h', 2, [0, 24], { doubt: 0.3 }),
        amount('passage', 'On passage', 'h', 2, [0, 24], { doubt: 0.3 }),
        amount('alongside', 'Alongside', 'h', 0, [0, 24]),
        pick('need', 'It is', 'want', [
          { value: 'need', label: 'needed' },
          { value: 'want', label: 'wanted' },
        ]),
        rarely(
          pick('by', 'From', 'bank', [
            { value: 'bank', label: 'the bank' },
            { value: 'inverter', label: 'an inverter' },
          ]),
        ),
      ],
      [
        { name: 'bilge pump', watts: 48, anchor: 0.2, passage: 0.2, alongside: 0.2, need: 'need' },
        { name: 'anchor or masthead light', watts: 3, anchor: 10, passage: 10, need: 'need' },
        { name: 'radio, AIS', watts: 9, anchor: 8, passage: 24, need: 'need' },
        { name: 'depth, log, compass', watts: 5, anchor: 2, passage: 24, need: 'need' },
        { name: 'autopilot', watts: 42, anchor: 0, passage: 16, need: 'need' },
        {
          name: 'cabin lights',
          watts: 2.5,
          many: 8,
          anchor: 4,
          passage: 2,
          alongside: 4,
          need: 'want',
        },
        { name: 'fridge', watts: 45, anchor: 9, passage: 9, alongside: 9, need: 'want' },
        {
          name: 'laptop',
          watts: 60,
          anchor: 2,
          passage: 1,
          alongside: 2,
          need: 'want',
          by: 'inverter',
        },
      ],
      { most: 60 },
    ),
  ],
  beside: ({ volts }): readonly Beside[] => [
    { sum: 'cable-and-fuse', gives: { volts } },
    { sum: 'if-one-thing-fails', gives: {} },
  ],
  wantedBy: [
    { recipe: 'electrical-system', steps: ['loads', 'schematic'], fill: { volts: 'volts' } },
  ],
  wantedAt: {
    operations: ['survey', 'buy', 'fit'],
    words: /energy|load list|battery bank|budget/i,
  },
  work: ({ place, volts, days, kind, panels, sun, alternator, loads }, { say }) => {
    const ahOf = (one: (typeof loads)[number], at: (typeof where)[number]) =>
      loadAh(one.watts, one.many, one[at], volts, one.by === 'inverter')
    const total = (at: (typeof where)[number], only?: 'need' | 'want') =>
      loads.filter((one) => !only || one.need === only).reduce((all, one) => all + ahOf(one, at), 0)
    const all = total(place)
    const needs = total(place, 'need')
    const bank = bankAh(all, days, kind as Chemistry)
    const bankNeeds = bankAh(needs, days, kind as Chemistry)
    const gives = solarAh(panels, sun, volts)
    const short = all - gives
    const engineMin = short > 0 && alternator > 0 ? (short / alternator) * 60 : 0
    // Drawn for an hour, its Ah are its amperes.
    const pulls = loads
      .map((one) => ({
        name: one.name,
        amps: loadAh(one.watts, one.many, 1, volts, one.by === 'inverter'),
      }))
      .reduce((most, one) => (one.amps > most.amps ? one : most))
    const largest = [...loads].sort((a, b) => ahOf(b, place) - ahOf(a, place))[0]
    const ah = (value: number) => `${round(value, value < 100 ? 1 : 0)} Ah`
    const row = 22
    const scale = 300 / Math.max(...loads.map((one) => ahOf(one, place)), 0.1)
    const shapes: Shape[] = []
    const drawn = drawnLoads(loads.map((one) => ({ ...one, ah: ahOf(one, place) })))
    drawn.forEach((one, at) => {
      const value = one.ah
      shapes.push(
        text([0, at * row + 8], `${one.name}${one.many > 1 ? ` × ${one.many}` : ''} `, {
          anchor: 'end',
          bold: one.need === 'need',
          tone: one.need === 'need' ? 'ink' : 'soft',
        }),
        box(4, at * row + 2, Math.max(0.5, value * scale), 12, {
          fill: one.need === 'need' ? 'ink' : 'paper',
          dashed: one.need !== 'need',
        }),
        text([8 + value * scale, at * row + 8], ` ${ah(value)}`, {}),
      )
    })
    const y = drawn.length * row + 26
    const usable = chemistries[kind as Chemistry].usable
    const wide = 420
    const part = (share: number) => share * wide
    const needShare = bank === 0 ? 0 : (needs * days) / bank
    const wantShare = bank === 0 ? 0 : ((all - needs) * days) / bank
    const rest = bank === 0 ? 0 : (all * days) / usable / bank - needShare - wantShare
    let x = -120
    const block = (
      share: number,
      words_: string,
      look: Parameters<typeof box>[4],
      tone?: 'ink',
    ) => {
      if (share <= 0) return
      shapes.push(
        box(x, y, part(share), 26, look),
        text([x + part(share) / 2, y + 13], words_, {
          anchor: 'middle',
          tone,
          room: [part(share), 26],
        }),
      )
      x += part(share)
    }
    block(needShare, 'needed', { fill: 'stock' })
    block(wantShare, 'wanted', { fill: 'wood' })
    block(rest, 'not to be drawn', { fill: 'waste' })
    block(1 - needShare - wantShare - rest, 'age', { fill: 'water' })
    shapes.push(text([-120, y], `bank ${ah(bank)}`, { down: -0.6, bold: true }))
    const sunY = y + 56
    const dayScale = wide / Math.max(all, gives, 0.1)
    shapes.push(
      box(-120, sunY, Math.min(gives, all) * dayScale, 18, { fill: 'brass' }),
      ...(short > 0
        ? [box(-120 + gives * dayScale, sunY, short * dayScale, 18, { fill: 'short', edge: 'red' })]
        : []),
      text([-120, sunY], `${round(panels)} W give ${ah(gives)} of ${ah(all)} a day`, {
        down: -0.6,
      }),
    )
    const says = ah(bank)
    return accepted({
      says: `${Math.round(bank)} Ah`,
      takes: `${Math.ceil(bank / 50) * 50} Ah`,
      heading:
        needs < all
          ? `${round(days)} days ride on ${ah(bankNeeds)} for needs, ${says} for all of it${largest ? `; ${largest.name} is the most of it` : ''}`
          : `${round(days)} days ride on ${says}`,
      verdict: kind === 'lithium' ? 'look' : 'go',
      figures: [
        { label: `A day ${said[place]}`, value: ah(all), note: `needs alone ${ah(needs)}` },
        { label: 'Bank for all of it', value: says },
        { label: 'Bank for needs alone', value: ah(bankNeeds) },
        { label: 'The sun gives', value: ah(gives) },
        {
          label: short > 0 ? 'Short a day' : 'Over a day',
          value: ah(Math.abs(short)),
          note:
            short > 0
              ? alternator > 0
                ? `engine ${Math.round(engineMin)} min at ${round(alternator)} A`
                : 'nothing closes it'
              : undefined,
          tone: short > 0 ? 'short' : 'good',
        },
        {
          label: 'By its draw',
          value: ah(bankByDrawAh(pulls.amps, kind as Chemistry)),
          note: `${pulls.name} alone draws ${round(pulls.amps)} A: a smaller bank sags`,
        },
        {
          label: 'By its charging',
          value: ah(alternator * 5),
          note: `a ${kind === 'lithium' ? 'lithium' : 'lead'} bank much smaller than five times what charges it is forced`,
        },
      ],
      table: {
        caption: 'A day, three places',
        head: ['', ...where.map((one) => said[one])],
        rows: [
          ['Needs', ...where.map((one) => ah(total(one, 'need')))],
          ['Wants', ...where.map((one) => ah(total(one, 'want')))],
          ['Bank', ...where.map((one) => ah(bankAh(total(one), days, kind as Chemistry)))],
          [
            'Sun is short',
            ...where.map((one) => {
              const gap = total(one) - gives
              return gap > 0 ? ah(gap) : 'nothing'
            }),
          ],
        ],
      },
      checks:
        kind === 'lithium'
          ? [
              {
                text: 'Lithium',
                detail: 'protection, charging and fusing by a licensed person',
                state: 'look',
              },
            ]
          : undefined,
      working: [
        `Σ W × number × hours ÷ ${round(volts)} V, what goes through an inverter ÷ 0.85: ${ah(all)} a day.`,
        `${round(all)} × ${round(days)} ÷ ${usable} × 1.1 = ${round(bank)} Ah.`,
        `${round(panels)} W × ${round(sun)} h × 0.7 ÷ ${round(volts)} V = ${round(gives)} Ah.`,
      ],
      distrust: [
        'Hours are guesses until a meter has run a week.',
        'Half the sun hours are left in late autumn, and a shadow of a shroud takes half of what is left.',
      ],
      cautions: [
        'Isolate, prove dead. A battery cannot be switched off: cover its posts. Mains and lithium: licensed people.',
      ],
      drawing: {
        shapes,
        free: { tallPx: sunY + 18 },
        said: `${loads.length} loads, a bank of ${Math.round(bank)} Ah, sun giving ${Math.round(gives)} of ${Math.round(all)} Ah a day.`,
      },
      puts: [
        {
          is: 'part',
          key: 'bank',
          name: `Batteries, ${chemistries[kind as Chemistry].name}, ${Math.ceil(bank / 10) * 10} Ah`,
          quantity: 1,
          unit: 'sets',
        },
        {
          is: 'asBuilt',
          key: 'budget',
          kind: 'size',
          what: `Energy a day ${said[place]}`,
          value: `${ah(all)}, needs ${ah(needs)}; bank ${says} for ${round(days)} days`,
        },
        {
          is: 'asBuilt',
          key: 'sun',
          kind: 'size',
          what: 'Sun',
          value: `${say(panels, 'W')}, ${ah(gives)} a day at ${round(sun)} h`,
        },
      ],
    })
  },
})

/** More rows than this run into each other. */
const mostDrawn = 14
interface DrawnLoad {
  readonly name: string
  readonly many: number
  readonly need: 'need' | 'want'
  readonly ah: number
}

/** Loads as they are drawn: the largest by themselves, in their order, the others together. */
function drawnLoads(all: readonly DrawnLoad[]): readonly DrawnLoad[] {
  if (all.length <= mostDrawn) return all
  const large = new Set([...all].sort((a, b) => b.ah - a.ah).slice(0, mostDrawn - 1))
  const rest = all.filter((one) => !large.has(one))
  return [
    ...all.filter((one) => large.has(one)),
    {
      name: `${rest.length} others`,
      many: 1,
      need: rest.some((one) => one.need === 'need') ? 'need' : 'want',
      ah: rest.reduce((sum_, one) => sum_ + one.ah, 0),
    },
  ]
}
