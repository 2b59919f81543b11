/** A round of the shops: what each of them has that is wanted soon, what blocks most first. */
import type { Row } from '../model/entities'
import { byId, placeOfKind } from '../model/refit'
import { isOpen } from '../plan/planned'
import type { BuyBoard, BuyRow } from './board'
import { presses } from './headline'
import { plainName } from './pool'
import { shelfWarnings } from './shelf'
import { shopOf } from './shops'
import type { StoreFacts } from './storeFacts'

/** One thing to get or to ask for. */
interface Common {
  readonly key: string
  readonly name: string
  /** Local day of the last trip on which it is wanted there; null: nobody waits for it. */
  readonly neededOn: number | null
  readonly isPressing: boolean
  /** False: it is ordered there, and comes another day. */
  readonly isOverCounter: boolean
  readonly priceMinor: number | null
}
export type RunThing = Common &
  (
    | { readonly kind: 'row'; readonly row: BuyRow; readonly supplierId: string | null }
    | { readonly kind: 'bring'; readonly line: Row<'bringLine'>; readonly stepTitle: string }
    | { readonly kind: 'low'; readonly lot: Row<'stock'>; readonly have: number }
  )

export interface RunShop {
  readonly place: Row<'place'>
  readonly things: readonly RunThing[]
}

export interface ShoppingRun {
  /** The shop whose first thing blocks most stands first. */
  readonly shops: readonly RunShop[]
  /** What comes by post or is asked for by telephone. */
  readonly byPost: readonly BuyRow[]
  /** Wanted as soon, and its size is not sure yet, or rests on what nobody measured. */
  readonly notSure: readonly BuyRow[]
  /** Wanted as soon, and no shop is known for it. */
  readonly nowhere: readonly RunThing[]
}

/** What is wanted in so many days is worth a shelf's length more on the way. Assumed. */
export const runDays = 28

const ahead = (things: readonly RunThing[]): RunThing[] =>
  [...things].sort(
    (a, b) =>
      Number(b.isPressing) - Number(a.isPressing) ||
      (a.neededOn ?? Infinity) - (b.neededOn ?? Infinity) ||
      (a.name < b.name ? -1 : 1),
  )

/** The run of today: rows of the board, what days want brought and nobody has, and what is low on the shelf. */
export function shoppingRun(facts: StoreFacts, board: BuyBoard, today: string): ShoppingRun {
  const { rows } = facts
  const shopFor = shopOf(rows)
  const usual = placeOfKind(rows, 'shop')
  const at = new Map<Row<'place'>, RunThing[]>()
  const put = (shop: Row<'place'> | null, thing: RunThing) => {
    if (shop) at.set(shop, [...(at.get(shop) ?? []), thing])
    else nowhere.push(thing)
  }
  const [byPost, notSure]: [BuyRow[], BuyRow[]] = [[], []]
  const nowhere: RunThing[] = []
  for (const row of board.rows) {
    if (row.kind !== 'buy' || !isWantedSoon(row, facts.today)) continue
    if (row.window.opensOn !== null || row.guessed.length > 0) {
      notSure.push(row)
      continue
    }
    const [asked] = row.wants.filter(({ part }) => part.supplierId !== null)
    const shop = asked ? shopFor({ entity: 'part', id: asked.part.id }) : usual
    if (!shop) {
      byPost.push(row)
      continue
    }
    put(shop, {
      key: row.key,
      kind: 'row',
      row,
      // Whoever keeps the shop sells it.
      supplierId:
        asked?.part.supplierId ?? rows.supplier.find((one) => one.placeId === shop.id)?.id ?? null,
      name: row.pool.name,
      neededOn: row.window.neededOn,
      isPressing: presses(row, facts.today),
      isOverCounter: isOverCounter(row),
      priceMinor: row.pool.priceMinor,
    })
  }
  for (const thing of toBring(facts))
    put(shopFor({ entity: 'bringLine', id: thing.line.id }), thing)
  for (const { lot, have } of shelfWarnings(rows, today).low)
    put(shopOfLot(facts, lot) ?? usual, {
      key: `low ${lot.id}`,
      kind: 'low',
      lot,
      have,
      name: lot.name,
      neededOn: null,
      isPressing: false,
      isOverCounter: true,
      priceMinor: null,
    })
  const shops = [...at].map(([place, things]): RunShop => ({ place, things: ahead(things) }))
  const firsts = new Map(
    ahead(shops.flatMap(({ things }) => things[0] ?? [])).map((one, index) => [one, index]),
  )
  return {
    shops: shops.sort(
      (a, b) =>
        (firsts.get(a.things[0] as RunThing) ?? 0) - (firsts.get(b.things[0] as RunThing) ?? 0),
    ),
    byPost,
    notSure,
    nowhere: ahead(nowhere),
  }
}

/** Nobody said how long it takes: then it is looked for on the shelf. */
const isOverCounter = ({ wants }: BuyRow): boolean =>
  wants.every(({ lead }) => lead.days === 0 || lead.from === 'assumed')

const isWantedSoon = (row: BuyRow, today: number): boolean =>
  row.window.neededOn !== null && (presses(row, today) || row.window.neededOn - today <= runDays)

/** Lines of open steps that are to be bought. */
function toBring({ rows, plan, today, tripBefore }: StoreFacts) {
  const [steps, jobs] = [byId(rows.step), byId(rows.job)]
  const starts = new Map(plan?.placements.map((one) => [one.stepId, one.segments[0]?.[0]]) ?? [])
  const parts = new Set(rows.part.map((part) => `${part.jobId} ${plainName(part.name)}`))
  return rows.bringLine.flatMap((line) => {
    const step = steps.get(line.stepId)
    const from = starts.get(line.stepId)
    if (line.at !== 'toBuy' || !step || from === undefined) return []
    if (!isOpen(step) || jobs.get(step.jobId)?.decision !== 'plan') return []
    const neededOn = tripBefore(from)
    if (neededOn - today > runDays) return []
    // The same thing, written down as a part of the job, is bought as that.
    if (parts.has(`${step.jobId} ${plainName(line.what)}`)) return []
    return [
      {
        key: `bring ${line.id}`,
        kind: 'bring' as const,
        line,
        stepTitle: step.title,
        name: line.what,
        neededOn,
        isPressing: neededOn <= today,
        isOverCounter: true,
        priceMinor: null,
      },
    ]
  })
}

/** Where a lot was bought, if that is a shop one goes to. */
function shopOfLot({ rows }: StoreFacts, lot: Row<'stock'>): Row<'place'> | null {
  const came = rows.delivery.find((one) => one.id === lot.deliveryId)
  const line = rows.purchaseLine.find((one) => one.id === came?.lineId)
  const order = rows.purchase.find((one) => one.id === line?.purchaseId)
  const supplier = rows.supplier.find((one) => one.id === order?.supplierId)
  return rows.place.find((one) => one.id === supplier?.placeId) ?? null
}
