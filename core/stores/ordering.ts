/** Ordering, what came, what slips and what goes back, each as the changes it takes. */
import { dayNumber } from '../time/civil'
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { keysAfter } from '../model/order'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { KeptAt } from '../model/words'
import { isOpen } from '../plan/planned'
import { asNow } from './frozen'
import { lineUnit } from './pool'

type Part = Row<'part'>
type Line = Row<'purchaseLine'>

export interface LineDraft {
  readonly name: string
  readonly quantity: number
  readonly unit: string
  readonly packSize: number | null
  readonly priceMinor: number | null
  readonly partIds: readonly string[]
}

/** What is known of an order when it goes out. Dates are civil dates. */
export type OrderDraft = Pick<
  Row<'purchase'>,
  'number' | 'supplierId' | 'currency' | 'rate' | 'rateOn' | 'freightMinor' | 'taxMinor'
> & { readonly orderedOn: string; readonly dueOn: string | null }

const tiny = 1e-6

/** Steps of a job that order something and come before the one that needs a part. */
function buyStepsOf(rows: Pick<RefitRows, 'step'>, part: Part): Row<'step'>[] {
  const needs = rows.step.find((one) => one.id === part.neededByStepId)
  if (!needs) return []
  const steps = inOrder(rows.step.filter((one) => one.jobId === needs.jobId))
  return steps.slice(0, steps.indexOf(needs)).filter((one) => one.operation === 'buy')
}

/** The one that is still to be done; null where there is none, or more than one and nobody can say which. */
function buyStepOf(rows: Pick<RefitRows, 'step'>, part: Part): Row<'step'> | null {
  const open = buyStepsOf(rows, part).filter(isOpen)
  return open.length === 1 ? (open[0] ?? null) : null
}

/** What ordered a part is done, and waits until the part comes: until another day now. */
function waitsUntil(rows: RefitRows, part: Part, on: string): ChangeItem[] {
  if (part.orderedOn === null) return []
  const done = buyStepsOf(rows, part).filter((one) => one.state === 'done')
  const [step] = done
  if (!step || done.length > 1 || step.waitKind !== 'calendar') return []
  const waitHours = Math.max(0, dayNumber(on) - dayNumber(part.orderedOn)) * 24
  return waitHours === step.waitHours ? [] : [patchOf('step', step, { waitHours })]
}

/** The same step once, with what was said of it last. */
function lastOfEach(items: readonly ChangeItem[]): ChangeItem[] {
  return [...new Map(items.map((item) => [`${item.entity} ${item.id}`, item])).values()]
}

/** An order with its lines, the parts on it ordered, and the steps that were to order them done. */
export function orderItems(
  rows: RefitRows,
  draft: OrderDraft,
  lines: readonly LineDraft[],
  newId: () => string,
): ChangeItem[] {
  const purchaseId = newId()
  return [
    { op: 'create', entity: 'purchase', id: purchaseId, patch: { ...draft } },
    ...lineItems(rows, purchaseId, draft, lines, newId),
  ]
}

/** Lines more on an order: `dueOn` is when they come, null when nobody said. */
export function lineItems(
  rows: RefitRows,
  purchaseId: string,
  { orderedOn, dueOn, supplierId }: Pick<OrderDraft, 'orderedOn' | 'dueOn' | 'supplierId'>,
  lines: readonly LineDraft[],
  newId: () => string,
): ChangeItem[] {
  const parts = byId(rows.part)
  const before = inOrder(rows.purchaseLine.filter((one) => one.purchaseId === purchaseId))
  const orders = keysAfter(before.at(-1)?.order ?? null, lines.length)
  const orderDueOn = rows.purchase.find((one) => one.id === purchaseId)?.dueOn
  const days = dueOn === null ? 0 : dayNumber(dueOn) - dayNumber(orderedOn)
  const ordering = new Map<string, Row<'step'>>()
  const items = lines.flatMap((line, index): ChangeItem[] => {
    const lineId = newId()
    const { partIds, ...fields } = line
    const own = orderDueOn !== undefined && orderDueOn !== dueOn ? { dueOn } : {}
    return [
      {
        op: 'create',
        entity: 'purchaseLine',
        id: lineId,
        patch: { ...fields, ...own, purchaseId, order: orders[index] as string },
      },
      ...partIds.flatMap((partId): ChangeItem[] => {
        const part = parts.get(partId)
        if (!part) return []
        const step = buyStepOf(rows, part)
        if (step) ordering.set(step.id, step)
        return [
          {
            op: 'create',
            entity: 'lineWant',
            id: newId(),
            patch: { lineId, partId, asOrdered: asNow(part) },
          },
          patchOf('part', part, {
            state: 'ordered',
            orderedOn,
            arrivesOn: dueOn,
            supplierId: supplierId ?? part.supplierId,
          }),
        ]
      }),
    ]
  })
  return [
    ...items,
    // It is ordered: what is left of that step is the wait until it comes.
    ...[...ordering.values()].map((step) =>
      patchOf('step', step, { state: 'done', waitHours: Math.max(0, days) * 24 }),
    ),
  ]
}

/** Parts of a line, those that are needed first first. */
const partsOf = (rows: RefitRows, line: Line, firstNeeded: readonly string[]): Part[] => {
  const parts = byId(rows.part)
  const at = new Map(firstNeeded.map((id, index) => [id, index]))
  return rows.lineWant
    .filter((want) => want.lineId === line.id)
    .flatMap((want) => parts.get(want.partId) ?? [])
    .sort((a, b) => (at.get(a.id) ?? Infinity) - (at.get(b.id) ?? Infinity))
}

/** What came of a line, and where it was put. */
export type Arrival = Pick<
  Row<'delivery'>,
  | 'cameOn'
  | 'quantity'
  | 'checkedOn'
  | 'checkedById'
  | 'batch'
  | 'expiresOn'
  | 'faulty'
  | 'fault'
  | 'returnBy'
  | 'instead'
> & {
  readonly at: KeptAt
  /** When what is still missing comes; null: nothing is, or nobody said. */
  readonly restDueOn: string | null
}

/**
 * A delivery: parts are here in the order in which they are needed, as far as what is sound reaches; what is sound and
 * nobody wants goes on the shelf. `firstNeeded`: ids of parts, the first to be needed first.
 */
export function arriveItems(
  rows: RefitRows,
  line: Line,
  { at, restDueOn, ...arrival }: Arrival,
  firstNeeded: readonly string[],
  newId: () => string,
): ChangeItem[] {
  const before = rows.delivery.filter((one) => one.lineId === line.id)
  const soundBefore = before.reduce((sum, one) => sum + one.quantity - one.faulty, 0)
  const sound = soundBefore + arrival.quantity - arrival.faulty
  const toCome =
    line.quantity - before.reduce((sum, one) => sum + one.quantity, 0) - arrival.quantity
  const perUnit = lineUnit(line.unit)[1]
  const deliveryId = newId()
  const items: ChangeItem[] = [
    { op: 'create', entity: 'delivery', id: deliveryId, patch: { ...arrival, lineId: line.id } },
  ]
  if (toCome > tiny && line.dueOn !== restDueOn)
    items.push(patchOf('purchaseLine', line, { dueOn: restDueOn }))
  let wanted = 0
  const waits: ChangeItem[] = []
  const parts = partsOf(rows, line, firstNeeded)
  for (const part of parts) {
    wanted += (part.quantity * lineUnit(part.unit)[1]) / perUnit
    const isHere = wanted <= sound + tiny
    if (part.state === 'arrived' || part.state === 'fitted') continue
    if (isHere)
      items.push(patchOf('part', part, { state: 'arrived', arrivesOn: arrival.cameOn, at }))
    else items.push(patchOf('part', part, { arrivesOn: toCome > tiny ? restDueOn : null }))
    const on = isHere ? arrival.cameOn : toCome > tiny ? restDueOn : null
    if (on !== null) waits.push(...waitsUntil(rows, part, on))
  }
  items.push(...lastOfEach(waits))
  // What was over before is on the shelf already.
  const over = Math.max(0, sound - wanted) - Math.max(0, soundBefore - wanted)
  if (over > tiny)
    items.push({
      op: 'create',
      entity: 'stock',
      id: newId(),
      patch: {
        name: arrival.instead || line.name,
        quantity: Math.round(over * 1e6) / 1e6,
        unit: line.unit,
        at,
        batch: arrival.batch,
        expiresOn: arrival.expiresOn,
        deliveryId,
        order: keysAfter(inOrder(rows.stock).at(-1)?.order ?? null, 1)[0] as string,
      },
    })
  return items
}

/** Another day for what is still to come of a line. */
export function dueItems(rows: RefitRows, line: Line, dueOn: string | null): ChangeItem[] {
  const ordered = partsOf(rows, line, []).filter((part) => part.state === 'ordered')
  return [
    patchOf('purchaseLine', line, { dueOn }),
    ...ordered.map((part) => patchOf('part', part, { arrivesOn: dueOn })),
    ...(dueOn === null ? [] : lastOfEach(ordered.flatMap((part) => waitsUntil(rows, part, dueOn)))),
  ]
}

/** Another day for parts on their way: those of one line of an order, or one that is on none. */
export function comesOnItems(
  rows: RefitRows,
  wants: readonly { readonly part: Part; readonly line: { readonly line: Line } | null }[],
  day: string,
): ChangeItem[] {
  const line = wants.find((one) => one.line)?.line?.line
  if (line) return dueItems(rows, line, day)
  const items = wants.flatMap(({ part }) => [
    patchOf('part', part, { arrivesOn: day }),
    ...waitsUntil(rows, part, day),
  ])
  return lastOfEach(items)
}

/** The next number for an order: one more than the highest there is. */
export function nextNumber(rows: Pick<RefitRows, 'purchase'>): string {
  const numbers = rows.purchase.flatMap(({ number }) =>
    /^\d{1,9}$/.test(number) ? Number(number) : [],
  )
  return String(numbers.reduce((most, one) => Math.max(most, one), 0) + 1)
}
