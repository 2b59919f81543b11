/** What is to be bought, called and sent, one row a thing, what presses first first. */
import type { Row } from '../model/entities'
import { byId } from '../model/refit'
import { partCostMinor } from '../money/jobCost'
import { dayNumber } from '../time/civil'
import { pooled, poolKey } from './pool'
import type { Pooled } from './pool'
import type { BuyWindow } from './buyWindow'
import { chanceLate } from './lead'
import { isToBuy } from './thingAt'
import type { PartFacts, StoreFacts } from './storeFacts'
import { tradesOf } from './trades'
import type { TradeFacts } from './trades'

export interface BuyRow {
  readonly key: string
  readonly kind: 'buy' | 'onItsWay' | 'boughtEarly'
  readonly pool: Pooled
  /** What is wanted, the first to be needed first. */
  readonly wants: readonly PartFacts[]
  /** The tightest of its windows. */
  readonly window: BuyWindow
  /** Local day on which it comes; null: it is not ordered, or nobody said. */
  readonly dueOn: number | null
  /** It was promised for an earlier day: so many days late by its own order. */
  readonly slippedDays: number
  /** Its arrival holds the step that needs it. */
  readonly holds: boolean
  /** Chance that it misses its step, ordered today: 0 to 1; null: nothing asks for it on a day. */
  readonly chance: number | null
  /** Dimensions it rests on that nobody measured. */
  readonly guessed: readonly string[]
  /** The sum at risk of what was bought early, and the day on which it ends; null: it was not. */
  readonly risk: { readonly minor: number; readonly untilOn: number } | null
}

/** The tightest first: by its last day, those without one last. */
const tighter = (a: BuyWindow, b: BuyWindow): number =>
  (a.closesOn ?? Infinity) - (b.closesOn ?? Infinity)

/** Which of two states presses more, where windows are pooled. */
const pressing: readonly BuyWindow['state'][] = [
  'late',
  'buyToday',
  'shutsFirst',
  'closing',
  'open',
  'early',
  'undated',
]
function tightestOf(wants: readonly PartFacts[]): PartFacts {
  const [first, ...rest] = wants as readonly [PartFacts, ...PartFacts[]]
  return rest.reduce(
    (best, one) =>
      pressing.indexOf(one.window.state) < pressing.indexOf(best.window.state) ||
      (one.window.state === best.window.state && tighter(one.window, best.window) < 0)
        ? one
        : best,
    first,
  )
}

/** Those that nothing needs on a day come last, as they came. */
const needFirst = (a: PartFacts, b: PartFacts): number =>
  (a.window.neededOn ?? Infinity) - (b.window.neededOn ?? Infinity) || 0

/** What is wanted so many days after the first of a line is bought another time. Assumed. */
const pooledDays = 90

/** For each part the key of the line of its kind that it goes into, by when it is needed. */
function linesByTime(open: readonly PartFacts[]): Map<string, string> {
  const lines = new Map<string, string>()
  const firsts = new Map<string, { at: number; line: number }>()
  for (const { part, window } of [...open].sort(needFirst)) {
    const key = poolKey(part)
    const at = window.neededOn ?? Infinity
    // It has to keep until then as well.
    const keeps = Math.min(pooledDays, (part.shelfMonths ?? Infinity) * daysAMonth)
    const first = firsts.get(key)
    const isSame = first !== undefined && (first.at === at || at - first.at <= keeps)
    const line = first === undefined ? 0 : isSame ? first.line : first.line + 1
    if (!isSame) firsts.set(key, { at, line })
    lines.set(part.id, `${key}#${line}`)
  }
  return lines
}
const daysAMonth = 30.4

function toBuyRows({ parts, today }: StoreFacts): BuyRow[] {
  const open = parts.filter(({ part }) => isToBuy(part))
  const byPart = new Map(open.map((one) => [one.part.id, one]))
  const lines = linesByTime(open)
  const list = open.map((one) => one.part)
  return pooled(list, ({ id }) => lines.get(id) ?? id).map((pool): BuyRow => {
    const wants = pool.parts.flatMap((part) => byPart.get(part.id) ?? []).sort(needFirst)
    const { window, lead } = tightestOf(wants)
    return {
      key: `buy ${pool.key}`,
      kind: 'buy',
      pool,
      wants,
      window,
      dueOn: null,
      slippedDays: 0,
      holds: false,
      chance: window.neededOn === null ? null : chanceLate(lead.days, window.neededOn - today),
      guessed: [...new Set(wants.flatMap((one) => one.guessed))],
      risk: null,
    }
  })
}

/** Days by which something comes after the day it was first promised for. */
function slipped(
  wants: readonly PartFacts[],
  dueOn: number | null,
  orders: ReadonlyMap<string, Row<'purchase'>>,
): number {
  if (dueOn === null) return 0
  const promised = wants.flatMap((one) => {
    const order = orders.get(one.line?.line.purchaseId ?? '')
    return order?.dueOn ? dayNumber(order.dueOn) : []
  })
  return promised.length === 0 ? 0 : Math.max(0, dueOn - Math.min(...promised))
}

function onItsWayRows(facts: StoreFacts): BuyRow[] {
  const ordered = facts.parts.filter(({ part }) => part.state === 'ordered')
  // What comes with one line of an order is one row.
  const groups = new Map<string, PartFacts[]>()
  for (const one of ordered) {
    const key = one.line?.line.id ?? one.part.id
    const group = groups.get(key)
    if (group) group.push(one)
    else groups.set(key, [one])
  }
  const orders = byId(facts.rows.purchase)
  const bindings = new Map(facts.plan?.placements.map((one) => [one.stepId, one.binding]) ?? [])
  return [...groups].flatMap(([key, group]) => {
    const wants = group.sort(needFirst)
    const [pool] = pooled(
      wants.map((one) => one.part),
      () => key,
    )
    if (!pool) return []
    const due = wants.flatMap(({ part }) => (part.arrivesOn ? dayNumber(part.arrivesOn) : []))
    const dueOn = due.length === 0 ? null : Math.max(...due)
    const { window } = tightestOf(wants)
    const holds = wants.some(({ needs, part }) => {
      const binding = needs ? bindings.get(needs.id) : undefined
      return binding?.kind === 'part' && binding.partId === part.id
    })
    return [
      {
        key: `way ${key}`,
        kind: 'onItsWay' as const,
        pool: { ...pool, name: wants[0]?.part.name ?? '' },
        wants,
        window,
        dueOn,
        slippedDays: slipped(wants, dueOn, orders),
        holds,
        chance: null,
        guessed: [],
        risk: null,
      },
    ]
  })
}

function boughtEarlyRows({ parts }: StoreFacts): BuyRow[] {
  return parts.flatMap((one): BuyRow[] => {
    const { part, early } = one
    if (early?.until == null || part.state !== 'arrived' || part.gamble !== 'open') return []
    const [pool] = pooled([part])
    if (!pool) return []
    return [
      {
        key: `early ${part.id}`,
        kind: 'boughtEarly',
        pool,
        wants: [one],
        window: one.window,
        dueOn: null,
        slippedDays: 0,
        holds: false,
        chance: null,
        guessed: [],
        risk: { minor: partCostMinor(part), untilOn: early.until },
      },
    ]
  })
}

/** What presses: the order in which rows stand. */
function rank(row: BuyRow): number {
  if (row.kind === 'buy' && row.window.state === 'late') return 0
  if (row.kind === 'buy' && row.window.state === 'buyToday') return 1
  if (row.kind === 'onItsWay' && (row.holds || row.slippedDays > 0)) return 2
  return row.window.state === 'undated' && row.kind === 'buy' ? 4 : 3
}
/** The day by which a row asks for something. */
const dayOf = (row: BuyRow): number =>
  row.kind === 'onItsWay'
    ? (row.dueOn ?? Infinity)
    : row.kind === 'boughtEarly'
      ? (row.risk?.untilOn ?? Infinity)
      : (row.window.closesOn ?? Infinity)

export interface BuyBoard {
  readonly rows: readonly BuyRow[]
  readonly trades: readonly TradeFacts[]
  readonly sent: readonly TradeFacts[]
  /** Counts of parts by what they are. */
  readonly counts: {
    readonly all: number
    readonly here: number
    readonly toBuy: number
    readonly ordered: number
  }
}

/** Every row there is: late, to buy today, what slipped or holds, then by the day it asks for something. */
export function buyBoard(facts: StoreFacts): BuyBoard {
  const rows = [...toBuyRows(facts), ...onItsWayRows(facts), ...boughtEarlyRows(facts)].sort(
    (a, b) => rank(a) - rank(b) || dayOf(a) - dayOf(b) || (a.key < b.key ? -1 : 1),
  )
  const trades = tradesOf(facts).sort((a, b) => tighter(a.window, b.window))
  const { part } = facts.rows
  return {
    rows,
    trades: trades.filter((one) => one.kind === 'call'),
    sent: trades.filter((one) => one.kind === 'send'),
    counts: {
      all: part.length,
      here: part.filter((one) => one.state === 'arrived' || one.state === 'fitted').length,
      toBuy: facts.parts.filter((one) => isToBuy(one.part)).length,
      ordered: part.filter((one) => one.state === 'ordered').length,
    },
  }
}
