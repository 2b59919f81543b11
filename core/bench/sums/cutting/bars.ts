import { barPlan } from '../../../cutting/bars'
import { accepted, refused } from '../../../result'
import { capital, counted } from '../../../units/counted'
import { amount, count, hidden, lines, maybeAmount, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import type { Put } from '../../sum'
import { sum } from '../../sum'

export const barsAndPlanks = sum({
  key: 'bars-and-planks',
  title: 'Bars, planks, hose',
  pocket: 'cutting',
  about:
    'Lengths out of bars, planks, hose or cable as they are sold, with what the saw takes, first from what is there.',
  words: 'bar plank tube hose cable rail batten length saw offcut stock cut list wire',
  source: 'the trade’s rules: first fit with search',
  isWide: true,
  asks: [
    words('what', 'What it is', 'bar', 60),
    amount('kerf', 'The saw takes', 'mm', 2, [0, 20]),
    amount('spare', 'Left on each piece', 'mm', 0, [0, 2000], {
      help: 'For fitting, for ends, for a drip loop.',
    }),
    lines(
      'pieces',
      'Pieces',
      'piece',
      [
        words('name', 'Piece', 'piece', 40),
        count('many', 'How many', 1, 200),
        amount('long', 'Long', 'mm', 1000, [5, 100_000]),
      ],
      [
        { name: 'rail', many: 2, long: 2400 },
        { name: 'post', many: 4, long: 900 },
        { name: 'brace', many: 4, long: 650 },
      ],
      { most: 60 },
    ),
    lines(
      'sold',
      'Sold in lengths of',
      'length',
      [
        amount('long', 'Long', 'mm', 6000, [50, 500_000]),
        maybeAmount('price', 'Costs', 'money', [0, 1e8]),
      ],
      [{ long: 6000 }],
      { most: 8 },
    ),
    lines(
      'stock',
      'Lengths that are there',
      'length',
      [
        words('name', 'Which', 'offcut', 60),
        amount('long', 'Long', 'mm', 1000, [5, 500_000]),
        hidden('lot'),
      ],
      [],
      { most: 40, least: 0 },
    ),
  ],
  shelf: (lots) => ({
    stock: lots
      .filter((one) => one.wideMm === null)
      .slice(0, 40)
      .map((one) => ({ name: one.name.slice(0, 60), long: one.longMm, lot: one.id })),
  }),
  work: ({ what, kerf, spare, pieces, sold, stock }, { say, money }) => {
    const all = pieces.flatMap((one) =>
      Array.from({ length: one.many }, (_, at) => ({
        name: one.many > 1 ? `${one.name} ${at + 1}` : one.name,
        long: one.long + spare,
      })),
    )
    if (all.length > 400) return refused('More than 400 pieces on one plan. Split it.')
    let state = 7
    const dice = () => {
      state = (state * 16_807) % 2_147_483_647
      return state / 2_147_483_647
    }
    const plan = barPlan(
      all.map((one) => one.long),
      stock.map((one) => one.long),
      sold.map((one) => one.long),
      kerf,
      dice,
    )
    if (!plan) {
      const longest = Math.max(...all.map((one) => one.long))
      return refused(
        `${say(longest, 'mm')} is longer than any that is sold. Join it of two, or find a longer one.`,
        [
          {
            field: 'pieces',
            message: `The longest sold is ${say(Math.max(...sold.map((one) => one.long)), 'mm')}.`,
          },
        ],
      )
    }
    const m = (mm: number) => say(round(mm / 1000, 2), 'm')
    const boughtSaid = plan.bought.map((one) => `${one.count} × ${m(one.long)}`).join(', ')
    const cost = plan.bought.map((one) => {
      const price = sold.find((each) => each.long === one.long)?.price ?? null
      return price === null ? null : price * one.count
    })
    const costSaid =
      cost.length > 0 && cost.every((one) => one !== null)
        ? money(cost.reduce<number>((a, b) => a + (b ?? 0), 0))
        : null
    const most = Math.max(...plan.bars.map((one) => one.long))
    const shapes: Shape[] = plan.bars.slice(0, 24).flatMap((bar, at): Shape[] => {
      const high = most / 34
      const y = at * high * 1.9
      let x = 0
      return [
        box(0, y, bar.long, high, { fill: 'waste' }),
        ...bar.pieces.flatMap((index): Shape[] => {
          const piece = all[index]
          if (!piece) return []
          const from = x
          x += piece.long + kerf
          return [
            box(from, y, piece.long, high, { fill: bar.stock === null ? 'metal' : 'resin' }),
            text([from + piece.long / 2, y + high / 2], piece.name, {
              anchor: 'middle',
              size: 'small',
              room: [piece.long * 0.95, high],
            }),
          ]
        }),
      ]
    })
    const waste =
      plan.boughtLong === 0
        ? 0
        : plan.bars.filter((one) => one.stock === null).reduce((sum_, one) => sum_ + one.rest, 0) /
          plan.boughtLong
    return accepted({
      says: plan.bought.length === 0 ? 'nothing to buy' : boughtSaid,
      takes: boughtSaid,
      heading:
        plan.bought.length === 0 ? 'all of it comes out of what is there' : `buy ${boughtSaid}`,
      verdict: 'go',
      figures: [
        {
          label: 'Buy',
          value: boughtSaid || 'nothing',
          note: costSaid === null ? undefined : `${costSaid} in all`,
          tone: 'good',
        },
        {
          label: 'Pieces come to',
          value: m(all.reduce((sum_, one) => sum_ + one.long, 0)),
          note: `${counted(all.length, 'piece')}`,
        },
        { label: 'Left over of what is bought', value: `${Math.round(waste * 100)} %` },
      ],
      table: {
        caption: 'Bar by bar',
        head: ['Out of', 'pieces in the order they are cut', 'left'],
        rows: plan.bars.map((bar) => [
          bar.stock === null ? m(bar.long) : `${stock[bar.stock]?.name}, ${m(bar.long)}`,
          bar.pieces
            .map((at) => `${all[at]?.name} ${say(round(all[at]?.long ?? 0, 0), 'mm')}`)
            .join(' · '),
          say(round(bar.rest, 0), 'mm'),
        ]),
      },
      working: [
        `${capital(counted(all.length, 'piece'))} with ${say(spare, 'mm')} on each, ${say(kerf, 'mm')} lost at each cut.`,
        'The longest first, each where the least is left over; some hundred orders are tried and the shortest total taken.',
      ],
      distrust: [
        'The ends of bars are often damaged: look before you count on the last of them.',
        'Bent pieces: their flat length, not their outside.',
      ],
      cautions: ['Saw: goggles; metal chips are hot.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${all.length} pieces out of ${plan.bars.length} lengths.`,
      },
      puts: [
        ...plan.bought.map((one): Put => ({
          is: 'part',
          key: `bar ${one.long}`,
          name: `${what}, ${m(one.long)}`,
          quantity: one.count,
          unit: 'pieces',
        })),
        ...plan.bars.flatMap((bar): Put[] => {
          const lot = bar.stock === null ? undefined : stock[bar.stock]
          return lot && lot.lot !== ''
            ? [{ is: 'useStock', key: lot.lot, stockId: lot.lot, name: `${lot.name} is cut up` }]
            : []
        }),
        {
          is: 'asBuilt',
          key: 'pieces',
          kind: 'size',
          what: `${what}, pieces`,
          value: `${all.length}, ${boughtSaid || 'from what was there'}`,
        },
      ],
    })
  },
})
