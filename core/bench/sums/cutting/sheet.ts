import { leastSheets, sheetPlan } from '../../../cutting/cutPlan'
import type { CutPiece, SheetPlan } from '../../../cutting/cutPlan'
import { accepted } from '../../../result'
import type { Result } from '../../../result'
import { capital, counted } from '../../../units/counted'
import { amount, maybeAmount, words } from '../../ask'
import type { Shape } from '../../drawing'
import { by, box, round, text } from '../../parts'
import { sum } from '../../sum'
import { lotsAsLines, pieceLines, seamAsked, stockLines } from './asked'
import { drawnPieces } from './drawn'
import { bestWay, cutList, joinedFigures, joinedWays } from './pieces'
import type { Cut, Joined } from './pieces'
import { shelfPuts, withHoles } from './shelf'

export const fromSheet = sum({
  key: 'from-a-sheet',
  title: 'From a sheet',
  pocket: 'cutting',
  about:
    'Pieces out of sheets by cuts from edge to edge, as a saw makes them, first from what is there.',
  words: 'cutting plan plywood ply board panel sheet saw kerf guillotine grain offcut',
  source: 'the trade’s rules: cuts from edge to edge with search',
  isSearch: true,
  isWide: true,
  asks: [
    words('what', 'What it is', 'marine ply', 60),
    amount('sheetLong', 'Sheet, long', 'mm', 2440, [100, 10_000]),
    amount('sheetWide', 'Sheet, wide', 'mm', 1220, [50, 5000]),
    amount('kerf', 'The saw takes', 'mm', 3, [0, 20]),
    amount('trim', 'Left on for fitting, each edge', 'mm', 5, [0, 200]),
    maybeAmount('price', 'A sheet costs', 'money', [0, 1e8]),
    seamAsked,
    pieceLines('grain', [
      { name: 'locker side', many: 2, long: 900, wide: 620 },
      { name: 'shelf', many: 3, long: 860, wide: 300 },
      { name: 'berth top', many: 1, long: 1900, wide: 640 },
    ]),
    stockLines('Offcuts'),
  ],
  shelf: (lots) => ({ stock: lotsAsLines(lots) }),
  wantedAt: { operations: ['cut'], words: /\bply|plywood|panel|board/i },
  work: ({ what, sheetLong, sheetWide, kerf, trim, price, seam, pieces: asked, stock }, tools) => {
    const { say, search } = tools
    const sheet = { long: sheetLong, wide: sheetWide }
    const fits = ({ long, wide, mayTurn }: CutPiece): boolean =>
      (long <= sheetLong && wide <= sheetWide) ||
      (mayTurn && wide <= sheetLong && long <= sheetWide)
    const ways = joinedWays(asked, trim, fits, sheetWide)
    const planOf = (joined: Joined): Result<Way> => {
      const list = cutList(asked, trim, seam, joined, fits, (name, cut) => ({
        message: `${name} is larger than the sheet. Let it be joined of two, or take a larger sheet.`,
        cell: 'long',
        at: `With its trim ${by(say(cut.long, 'mm'), say(cut.wide, 'mm'))}.`,
      }))
      if (!list.ok) return list
      const found = withHoles(
        stock,
        list.value.pieces,
        kerf,
        (boards) => sheetPlan(list.value.toCut, boards, sheet, kerf, search.part(1 / ways.length)),
        (one) => one.from,
      )
      return accepted({ ...list.value, ...found })
    }
    const found = bestWay(ways, planOf, ({ plan }) => plan.sheets)
    if (!found.ok) return found
    const { pieces, toCut, plan, there, joined } = found.value
    const area = toCut.reduce((all, one) => all + one.long * one.wide, 0)
    const onSheets = plan.from
      .filter((one) => one.board === null)
      .reduce(
        (all, one) => all + one.laid.reduce((sum_, each) => sum_ + each.long * each.wide, 0),
        0,
      )
    const waste = plan.sheets === 0 ? 0 : 1 - onSheets / (plan.sheets * sheetLong * sheetWide)
    const fromThere = plan.from
      .filter((one) => one.board !== null)
      .reduce((all, one) => all + one.laid.length, 0)
    const shapes: Shape[] = []
    let x = 0
    let top = 0
    let high = 0
    const row = Math.max(sheetLong * 2.2, 2600)
    plan.from.forEach((from, at) => {
      const board =
        from.board === null
          ? {
              ...sheet,
              name: `sheet ${plan.from.slice(0, at + 1).filter((one) => one.board === null).length}`,
            }
          : there[from.board]
      if (!board) return
      if (x > 0 && x + board.long > row) {
        top += high * 1.22
        x = 0
        high = 0
      }
      shapes.push(
        text([x, top], board.name, { down: -0.7, bold: true }),
        box(x, top, board.long, board.wide, { fill: 'waste' }),
        ...drawnPieces(from.laid, pieces, [x, top], { tint: from.board !== null }, tools),
      )
      x += board.long + sheetLong * 0.05
      high = Math.max(high, board.wide)
    })
    const says = counted(plan.sheets, 'sheet')
    return accepted({
      says: plan.sheets === 0 ? 'nothing to buy' : says,
      takes: String(plan.sheets),
      heading:
        plan.sheets === 0
          ? 'all of it comes out of what is there'
          : `buy ${says}${fromThere > 0 ? `, ${counted(fromThere, 'piece')} from what is there` : ''}`,
      verdict: 'go',
      score:
        plan.sheets * 1000 -
        Math.max(
          0,
          ...plan.from.map((one) =>
            one.board === null && one.rest ? (one.rest.long * one.rest.wide) / 1e6 : 0,
          ),
        ),
      figures: [
        {
          label: 'Buy',
          value: says,
          note: price === null ? undefined : `${tools.money(price * plan.sheets)} in all`,
          tone: 'good',
        },
        ...joinedFigures(asked, joined, say(seam, 'mm')),
        { label: 'Waste', value: `${Math.round(waste * 100)} % of what is bought` },
        {
          label: 'By area alone',
          value: counted(leastSheets(toCut, sheet), 'sheet'),
          note: plan.sheets === leastSheets(toCut, sheet) ? 'fewer cannot be' : undefined,
        },
        { label: 'From what is there', value: counted(fromThere, 'piece') },
      ],
      table: {
        caption: 'Cut by cut',
        head: ['Piece', 'out of', 'from the end', 'from the edge', 'cut'],
        rows: plan.from.flatMap((from, at) => {
          const name =
            from.board === null
              ? `sheet ${plan.from.slice(0, at + 1).filter((one) => one.board === null).length}`
              : (there[from.board]?.name ?? '')
          return [...from.laid]
            .sort((a, b) => a.along - b.along || a.across - b.across)
            .map((one) => [
              `${pieces[one.piece]?.no} ${pieces[one.piece]?.name}`,
              name,
              say(round(one.along, 0), 'mm'),
              say(round(one.across, 0), 'mm'),
              `${by(say(round(one.long, 0), 'mm'), say(round(one.wide, 0), 'mm'))}`,
            ])
        }),
      },
      working: [
        `${capital(counted(pieces.length, 'piece'))}, ${say(trim, 'mm')} left on each edge, ${say(kerf, 'mm')} lost at each cut: ${say(round(area / 1e6, 2), 'm²')}.`,
        `A sheet is ${say(round((sheetLong * sheetWide) / 1e6, 2), 'm²')}; every cut goes from edge to edge of what is left.`,
      ],
      distrust: [
        'Sheets are not always square: cut one true edge first.',
        'Both faces have a better side: mark it on the plan.',
      ],
      cautions: ['Saw: dust mask, goggles, the sheet held on both sides of the cut.'],
      drawing: {
        shapes,
        inMm: true,
        said: `${pieces.length} pieces on ${plan.sheets} sheets, ${fromThere} from what is there.`,
      },
      puts: [
        ...(plan.sheets > 0
          ? [
              {
                is: 'part' as const,
                key: 'sheets',
                name: `${what}, ${by(say(sheetLong, 'mm'), say(sheetWide, 'mm'))}`,
                quantity: plan.sheets,
                unit: 'sheets',
              },
            ]
          : []),
        {
          is: 'step',
          key: 'cut',
          title: `Cut ${counted(pieces.length, 'piece')} of ${what}`,
          operation: 'cut',
          hours: round(Math.max(0.2, pieces.length * 0.15), 1),
          units: { name: 'pieces', count: pieces.length },
        },
        ...shelfPuts(
          what,
          plan.from.filter((one) => one.board === null || (there[one.board]?.of ?? -1) < 0),
          stock,
          [],
          tools,
        ),
        {
          is: 'asBuilt',
          key: 'pieces',
          kind: 'size',
          what: `${what}, pieces`,
          value: `${pieces.length}, ${says}`,
        },
      ],
    })
  },
})

interface Way extends Cut {
  readonly plan: SheetPlan
  readonly there: ReturnType<typeof withHoles>['there']
}
