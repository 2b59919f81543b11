/** Rules of buying and keeping: leads, currencies, what came and went back. */
import { byId, groupBy, inOrder as inHandOrder } from '../refit'
import type { RuleContext, RuleProblem, Rules } from './rule'
import { inOrder, mendWhen, when } from './rule'
import { rateProblems } from './money'

/** A lead whose bad case is shorter than the usual one. */
const leads = (row: {
  readonly leadDays: number | null
  readonly leadLateDays: number | null
}): RuleProblem[] =>
  when(
    row.leadDays !== null && row.leadLateDays !== null && row.leadLateDays < row.leadDays,
    'leadLateDays',
    'When it goes badly it takes no fewer days than as a rule.',
  )

export const storesRules: Rules = {
  supplier: leads,
  part: (row) => [
    ...leads(row),
    ...when(
      row.fixedByStepId !== null && row.fixedByStepId === row.neededByStepId,
      'fixedByStepId',
      'The step that needs it cannot be the one that says what size it is: it has to be here by then.',
    ),
  ],
  purchase: (row, context) => {
    const { rows, once } = context
    const numbers = once('orderNumbers', () => {
      const counts = new Map<string, number>()
      for (const one of rows.purchase) {
        const key = `${one.supplierId ?? ''} ${one.number.trim().toLowerCase()}`
        counts.set(key, (counts.get(key) ?? 0) + 1)
      }
      return counts
    })
    return [
      ...inOrder('purchase', row, 'orderedOn', 'dueOn'),
      ...when(
        row.paidOn !== null && row.orderedOn === null,
        'paidOn',
        'It is not ordered yet. Say when it was ordered, then when it was paid.',
      ),
      ...when(
        row.paidOn !== null && context.today !== null && row.paidOn > context.today,
        'paidOn',
        'That day is still to come. Until it is paid it is owed.',
      ),
      ...rateProblems(row, context, 'it was ordered'),
      ...mendWhen(
        (numbers.get(`${row.supplierId ?? ''} ${row.number.trim().toLowerCase()}`) ?? 0) > 1,
        'number',
        `There is an order ${row.number} to them already. Give this one another number.`,
      ),
    ]
  },
  lineWant: (row, context) => {
    const wants = context.once('wantsOfParts', () =>
      groupBy(context.rows.lineWant, (one) => one.partId),
    )
    const isOpen = (lineId: string) => !cameOf(context, lineId)
    return when(
      isOpen(row.lineId) &&
        (wants.get(row.partId) ?? []).some((one) => one.id !== row.id && isOpen(one.lineId)),
      'partId',
      'That part is on another order already. Take it off there first.',
    )
  },
  makerItem: (row, context) => {
    const pieces = piecesOf(context, row.sheetId)
    const before = pieces.slice(
      0,
      pieces.findIndex((one) => one.id === row.id),
    )
    const last = before.findLast((one) => one.atMm !== null)
    return [
      ...when(
        pieces.some(
          (one) =>
            one.id !== row.id && one.mark.trim().toLowerCase() === row.mark.trim().toLowerCase(),
        ),
        'mark',
        `Mark ${row.mark} is on this sheet already. Each piece has its own.`,
      ),
      ...when(
        row.atMm !== null && last?.atMm != null && row.atMm <= last.atMm,
        'atMm',
        `${last?.mark ?? ''} stands at ${last?.atMm ?? 0} mm: ${row.mark} has to be further from the datum.`,
      ),
    ]
  },
  tradeItem: (row) => [
    ...when(
      row.answer !== 'none' && row.proposal.trim() === '',
      'proposal',
      'What do they propose? Write it down before you answer.',
    ),
    ...when(
      row.answer === 'taken' && row.answeredOn === null,
      'answeredOn',
      'On which day was it taken? The invoice is checked against it.',
    ),
  ],
  delivery: (row, context) => [
    ...when(
      context.today !== null && row.cameOn > context.today,
      'cameOn',
      'That day is still to come. What has not come yet is due, not here.',
    ),
    ...when(
      row.faulty > row.quantity,
      'faulty',
      `No more than the ${row.quantity} that came can be faulty.`,
    ),
    ...when(
      row.returned > row.quantity,
      'returned',
      `Only ${row.quantity} came: no more than that can go back.`,
    ),
    ...inOrder('delivery', row, 'cameOn', 'checkedOn'),
    ...when(
      !isSent(context, row.lineId),
      'cameOn',
      'That order was not sent yet. Say when it was ordered first.',
    ),
  ],
}

/** Marks and distances of one sheet for a maker. */
const piecesOf = ({ rows, once }: RuleContext, sheetId: string) =>
  inHandOrder(
    once('makerItems', () => groupBy(rows.makerItem, (one) => one.sheetId)).get(sheetId) ?? [],
  )

/** True when the order of a line went out. */
function isSent({ rows, once }: RuleContext, lineId: string): boolean {
  const lines = once('orderLines', () => byId(rows.purchaseLine))
  const orders = once('orders', () => byId(rows.purchase))
  return (orders.get(lines.get(lineId)?.purchaseId ?? '')?.orderedOn ?? null) !== null
}

/** True when something of a line came: what it is for is not on its way any more. */
function cameOf({ rows, once }: RuleContext, lineId: string): boolean {
  return once('linesThatCame', () => new Set(rows.delivery.map((one) => one.lineId))).has(lineId)
}
