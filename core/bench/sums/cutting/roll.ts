import { pinsAtOdds } from '../../../cutting/around'
import { fitsRoll, rollPlan } from '../../../cutting/cutPlan'
import type { CutPiece, RollPlan } from '../../../cutting/cutPlan'
import { accepted, refused } from '../../../result'
import type { Result } from '../../../result'
import { capital, counted } from '../../../units/counted'
import { amount, maybeAmount, words } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, length, round, text } from '../../parts'
import type { Figure, Tools } from '../../sum'
import { sum } from '../../sum'
import { lotsAsLines, rollPieceLines, seamAsked, stockLines } from './asked'
import type { PieceAsked } from './asked'
import { drawnPieces } from './drawn'
import { bestWay, cutList, joinedFigures, joinedWays } from './pieces'
import type { Cut, Joined } from './pieces'
import { shelfPuts, withHoles } from './shelf'

export const fromRoll = sum({
  key: 'from-a-roll',
  title: 'From a roll',
  pocket: 'cutting',
  about: 'How pieces lie on a roll, first from what is there, and how much to buy.',
  words: 'cutting plan cloth vinyl foam lining carpet fabric glass roll offcut nap nesting waste',
  source: 'the trade’s rules: best fit on a skyline with search',
  isSearch: true,
  isWide: true,
  asks: [
    words('what', 'What it is', 'lining', 60),
    amount('roll', 'Roll, wide', 'mm', 1370, [50, 10_000]),
    amount('trim', 'Trim or wrap on each edge', 'mm', 30, [0, 500]),
    amount('step', 'Sold by', 'mm', 100, [1, 5000]),
    maybeAmount('priceM', 'A metre costs', 'money', [0, 1e8]),
    seamAsked,
    rollPieceLines('nap', [
      { name: 'side', many: 2, long: 1780, wide: 420 },
      { name: 'bulkhead', many: 2, long: 880, wide: 610 },
      { name: 'overhead', many: 1, long: 640, wide: 1290 },
    ]),
    stockLines('Offcuts'),
  ],
  wantedBy: [
    {
      recipe: 'recover-lining',
      steps: ['plan', 'glue'],
      fill: {
        roll: 'rollM',
        trim: 'wrapMm',
        'pieces.0.many': 'count1',
        'pieces.0.long': 'long1M',
        'pieces.0.wide': 'wide1M',
        'pieces.1.many': 'count2',
        'pieces.1.long': 'long2M',
        'pieces.1.wide': 'wide2M',
      },
      times: {
        roll: 1000,
        'pieces.0.long': 1000,
        'pieces.0.wide': 1000,
        'pieces.1.long': 1000,
        'pieces.1.wide': 1000,
      },
      takes: { pieces: 2 },
    },
  ],
  shelf: (lots) => ({ stock: lotsAsLines(lots) }),
  wantedAt: { operations: ['cut', 'fit'], words: /lining|vinyl|carpet|headliner/i },
  work: ({ what, roll, trim, step, priceM, seam, pieces: asked, stock }, tools) => {
    const { say, search } = tools
    const fits = (one: CutPiece) => fitsRoll(one, roll)
    const ways = joinedWays(asked, trim, fits, roll)
    const pins = pinTrouble(asked, trim, roll, say)
    if (pins) return pins
    const planOf = (joined: Joined): Result<Way> => {
      const list = cutList(asked, trim, seam, joined, fits, (name, cut) => ({
        message: `${name} is wider than the roll: ${say(cut.wide, 'mm')} with its trim. Let it be joined of two, or buy a wider one.`,
        cell: 'wide',
        at: `The roll is ${say(roll, 'mm')} wide.`,
      }))
      if (!list.ok) return list
      const found = withHoles(
        stock,
        list.value.pieces,
        trim,
        (boards) => rollPlan(list.value.toCut, boards, roll, search.part(0.6 / ways.length)),
        (one) => one.fromStock,
      )
      return accepted({ ...list.value, ...found })
    }
    const found = bestWay(ways, planOf, ({ plan }) => plan.length)
    if (!found.ok) return found
    const { pieces, toCut, plan, there, joined } = found.value
    // What it is compared with is searched for too: half a search would make this plan look better than it is.
    const bare = there.length > 0 ? rollPlan(toCut, [], roll, search.part(0.2)) : plan
    const turned = toCut.some((one) => !one.mayTurn)
      ? rollPlan(
          toCut.map((one) => ({ ...one, mayTurn: true })),
          there,
          roll,
          search.part(0.2),
        )
      : null
    const buy = (mm: number): number => Math.ceil(mm / step - 1e-9) * step
    const toBuy = buy(plan.length)
    const used = plan.onRoll.reduce((all, one) => all + one.long * one.wide, 0)
    const waste = toBuy > 0 ? 1 - used / (toBuy * roll) : 0
    const m = (mm: number) => say(round(mm / 1000, 2), 'm')
    const price = (mm: number): string | undefined =>
      priceM === null
        ? undefined
        : `${tools.money((mm / 1000) * priceM)} at ${tools.money(priceM)} a metre`
    const saved = buy(bare.length) - toBuy
    const figures: Figure[] = [
      { label: 'Buy', value: m(toBuy), note: price(toBuy), tone: 'good' },
      ...(there.length > 0
        ? [
            {
              label: 'Nothing from what is there',
              value: m(Math.max(buy(bare.length), toBuy)),
              note:
                saved > 0
                  ? `${m(saved)} more, by the best that was found`
                  : 'what is there saves nothing',
            },
          ]
        : []),
      ...(turned
        ? [
            {
              label: 'Nap free to turn',
              value: m(Math.min(buy(turned.length), toBuy)),
              note:
                buy(turned.length) < toBuy
                  ? `${m(toBuy - buy(turned.length))} less, with the nap both ways`
                  : 'nothing better was found',
            },
          ]
        : []),
      ...joinedFigures(asked, joined, say(seam, 'mm')),
      { label: 'Waste', value: `${Math.round(waste * 100)} % of what is bought` },
      {
        label: 'No plan is shorter than',
        value: m(plan.atLeast),
        note: plan.length <= plan.atLeast + 0.5 ? 'this is as short as can be' : undefined,
      },
    ]
    const shapes: Shape[] = []
    if (plan.length > 0) {
      shapes.push(
        box(0, 0, toBuy, roll, { fill: 'waste' }),
        ...drawnPieces(plan.onRoll, pieces, [0, 0], { onRoll: roll }, tools),
        length([0, roll], [plan.length, roll], `last cut at ${say(round(plan.length, 0), 'mm')}`, {
          off: 0.5,
        }),
        text([0, 0], `free end; roll ${say(roll, 'mm')} wide, nap away from you →`, {
          down: -0.8,
          bold: true,
        }),
      )
    }
    let x = 0
    const top = plan.length > 0 ? roll * 1.28 : 0
    for (const from of plan.fromStock) {
      const board = there[from.board ?? -1]
      if (!board) continue
      shapes.push(
        text([x, top], board.name, { down: -0.7 }),
        box(x, top, board.long, board.wide, { fill: 'waste' }),
        ...drawnPieces(from.laid, pieces, [x, top], { tint: true }, tools),
      )
      x += board.long + Math.max(toBuy, 1000) * 0.04
    }
    const fromThere = plan.fromStock.reduce((all, one) => all + one.laid.length, 0)
    const guessNote = `${counted(fromThere, 'piece')} from what is there`
    const restAtEnd = toBuy - plan.length
    return accepted({
      says: `buy ${m(toBuy)}`,
      takes: m(toBuy),
      heading:
        toBuy === 0
          ? 'all of it comes out of what is there'
          : `buy ${m(toBuy)}${fromThere > 0 ? `, ${guessNote}` : ''}`,
      verdict: 'go',
      score: plan.length + plan.fromStock.length * 1e-3,
      figures,
      table: {
        caption: 'In the order they lie',
        head: ['Piece', 'from the free end', 'from the near edge', 'cut'],
        rows: [
          ...[...plan.onRoll]
            .sort((a, b) => a.along - b.along || a.across - b.across)
            .map((one) =>
              rowOf(one, pieces[one.piece]?.no ?? 0, pieces[one.piece]?.name ?? '', say),
            ),
          ...plan.fromStock.flatMap((from) =>
            from.laid.map((one) => [
              `${pieces[one.piece]?.no} ${pieces[one.piece]?.name}`,
              there[from.board ?? -1]?.name ?? '',
              '',
              `${by(say(round(one.long, 0), 'mm'), say(round(one.wide, 0), 'mm'))}`,
            ]),
          ),
        ],
      },
      working: [
        `${capital(counted(pieces.length, 'piece'))}, ${say(trim, 'mm')} of trim on each edge.`,
        `Pieces that fit go on what is there first, the smallest of it first; the rest lie on the roll.`,
        `Their area alone, the longest, and those that cannot lie side by side want ${m(plan.atLeast)}; this plan takes ${m(plan.length)}, sold by ${say(step, 'mm')}.`,
      ],
      distrust: [
        'Measure the roll’s width and its first edge before you cut: few are square.',
        'A piece whose size is a guess is cut last.',
        ...(there.some((one) => one.of >= 0)
          ? ['Cut what comes out of a hole only after the piece round it is wrapped.']
          : []),
      ],
      cautions: ['Contact glue: ventilation, no flames.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${plan.onRoll.length} pieces on ${round(plan.length / 1000, 2)} metres of roll, ${fromThere} from what is there.`,
      },
      puts: [
        ...(toBuy > 0
          ? [
              {
                is: 'part' as const,
                key: 'roll',
                name: `${what}, ${say(roll, 'mm')} wide`,
                quantity: round(toBuy / 1000, 3),
                unit: 'm',
              },
            ]
          : []),
        {
          is: 'step',
          key: 'cut',
          title: `Cut ${counted(pieces.length, 'piece')} of ${what} from the free end`,
          operation: 'cut',
          hours: round(Math.max(0.1, pieces.length * 0.07), 1),
          units: { name: 'pieces', count: pieces.length },
        },
        ...shelfPuts(
          what,
          plan.fromStock.filter((one) => (there[one.board ?? -1]?.of ?? 0) < 0),
          stock,
          restAtEnd > 0 ? [{ long: restAtEnd, wide: roll }] : [],
          tools,
        ),
        {
          is: 'asBuilt',
          key: 'pieces',
          kind: 'size',
          what: `${what}, pieces`,
          value: `${pieces.length}, ${m(toBuy)} bought`,
        },
      ],
    })
  },
})

interface Way extends Cut {
  readonly plan: RollPlan
  readonly there: ReturnType<typeof withHoles>['there']
}
/** Pieces that are pinned over each other, or over the edge of the roll; null: none. */
function pinTrouble(
  asked: readonly PieceAsked[],
  trim: number,
  roll: number,
  say: Tools['say'],
): Result<never> | null {
  const pinned = asked.flatMap((one, line) =>
    one.pinAlong == null && one.pinAcross == null
      ? []
      : [
          {
            line,
            name: one.name,
            x: one.pinAcross ?? 0,
            y: one.pinAlong ?? 0,
            w: one.wide + 2 * trim,
            h: one.long + 2 * trim,
          },
        ],
  )
  const wrong = pinsAtOdds(roll, pinned)
  if (!wrong) return null
  const [first, second] = wrong.map((at) => pinned[at])
  if (first && second)
    return refused(`${first.name} and ${second.name} are pinned over each other.`, [
      { field: `pieces.${second.line}.pinAlong`, message: `It lies over ${first.name}.` },
    ])
  return refused(`${first?.name ?? 'A piece'} is pinned over the edge of the roll.`, [
    {
      field: `pieces.${first?.line ?? 0}.pinAcross`,
      message: `With its trim it is ${say(first?.w ?? 0, 'mm')} wide, and the roll ${say(roll, 'mm')}.`,
    },
  ])
}

function rowOf(
  one: {
    readonly along: number
    readonly across: number
    readonly long: number
    readonly wide: number
  },
  no: number,
  name: string,
  say: (value: number, unit: string) => string,
): string[] {
  return [
    `${no} ${name}`,
    say(round(one.along, 0), 'mm'),
    say(round(one.across, 0), 'mm'),
    `${by(say(round(one.long, 0), 'mm'), say(round(one.wide, 0), 'mm'))}`,
  ]
}
