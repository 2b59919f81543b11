/** How a line of an order stands: what came, what is still to come, what is over, what to do next. */
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { groupBy } from '../model/refit'

type Line = Row<'purchaseLine'>
type Delivery = Row<'delivery'>

export interface LineState {
  readonly line: Line
  readonly deliveries: readonly Delivery[]
  /** In the unit of the line; what went back is not counted as here. */
  readonly came: number
  readonly toCome: number
  /** Came and was not ordered. */
  readonly over: number
  readonly faulty: number
  /** The first day by which faulty goods have to go back; null: nothing has. */
  readonly returnBy: string | null
  /** It is here, and nobody looked at it yet. */
  readonly unchecked: number
  /** When the rest is due; null: nothing is to come, or nobody said. */
  readonly dueOn: string | null
}

const tidy = (amount: number): number => Math.round(amount * 1e6) / 1e6
const sumOf = (rows: readonly Delivery[], of: (one: Delivery) => number): number =>
  tidy(rows.reduce((sum, one) => sum + of(one), 0))

/** The state of one line from what came of it. */
function lineState(
  line: Line,
  deliveries: readonly Delivery[],
  orderDueOn: string | null,
): LineState {
  const arrived = sumOf(deliveries, (one) => one.quantity)
  const returned = sumOf(deliveries, (one) => one.returned)
  const toCome = tidy(Math.max(0, line.quantity - arrived))
  // What went back is not faulty goods in the house any more.
  const faulty = sumOf(deliveries, (one) => Math.max(0, one.faulty - one.returned))
  const back = deliveries
    .filter((one) => one.faulty > one.returned)
    .flatMap((one) => one.returnBy ?? [])
    .sort()
  return {
    line,
    deliveries,
    came: tidy(arrived - returned),
    toCome,
    over: tidy(Math.max(0, arrived - line.quantity)),
    faulty,
    returnBy: back[0] ?? null,
    unchecked: sumOf(
      deliveries.filter((one) => one.checkedOn === null),
      (one) => one.quantity,
    ),
    dueOn: toCome > 0 ? (line.dueOn ?? orderDueOn) : null,
  }
}

/** States of every line, by line id. */
export function lineStates(
  rows: Pick<RefitRows, 'purchase' | 'purchaseLine' | 'delivery'>,
): ReadonlyMap<string, LineState> {
  const came = groupBy(rows.delivery, (one) => one.lineId)
  const dueOn = new Map(rows.purchase.map((one) => [one.id, one.dueOn]))
  return new Map(
    rows.purchaseLine.map((line) => [
      line.id,
      lineState(line, came.get(line.id) ?? [], dueOn.get(line.purchaseId) ?? null),
    ]),
  )
}
