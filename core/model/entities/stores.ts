/** Buying and keeping: who sells, what was ordered for which part, what came, what lies on the shelf, tools. */
import { choice, date, flag, fresh, integer, maybe, note, real, record, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

const money = (label: string) => integer(label, { min: 0, max: 1e11, unit: 'minor' }, 0)
const days = (label: string, most: number) => integer(label, { min: 0, max: most }, 0)

export const supplier = kind('supplier', {
  name: text('Supplier', 120),
  /** Where people go for it; null: it comes by post. */
  placeId: maybe(ref('Shop', 'place')),
  /** From ordering until it is here, as a rule and when it goes badly. */
  leadDays: days('Days until it is here', 1000),
  leadLateDays: maybe(days('Days when it goes badly', 2000)),
  note: note('Note', 1000),
})

/** One order to one supplier. Its sums are in its own currency. */
export const purchase = kind('order', {
  number: text('Order number', 40),
  supplierId: maybe(ref('Supplier', 'supplier')),
  /** Null: it is written down and not sent yet. */
  orderedOn: maybe(date('Ordered on')),
  dueOn: maybe(date('Due on')),
  /** '': the refit's own. */
  currency: note('Currency', 3),
  /** What one unit of it costs in the refit's currency; null: it is the refit's own. */
  rate: maybe(real('Rate', { min: 1e-6, max: 1e6 })),
  rateOn: maybe(date('Rate of')),
  /** Null: it is owed. */
  paidOn: maybe(date('Paid on')),
  freightMinor: money('Freight'),
  taxMinor: money('Tax'),
  note: note('Note', 1000),
})

export const purchaseLine = kind('order line', {
  purchaseId: ref('Order', 'purchase', { onDelete: 'goes' }),
  name: text('What', 200),
  /** In its unit, not in packs. */
  quantity: real('How many', { min: 0.001, max: 1e6 }, 1),
  unit: note('Unit', 20),
  packSize: maybe(real('Sold in packs of', { min: 0.001, max: 1e6 })),
  /** The whole line, before freight and tax; null: not known yet. */
  priceMinor: maybe(integer('Price of the line', { min: 0, max: 1e11, unit: 'minor' })),
  /** Null: when the order is due. */
  dueOn: maybe(date('Due on')),
  order: text('Order', 80),
})

/** For which part a line was ordered. */
export const lineWant = kind('part of an order', {
  lineId: ref('Order line', 'purchaseLine', { onDelete: 'goes' }),
  partId: ref('Part', 'part', { onDelete: 'holds' }),
  /** What the part was when it was ordered: what it has become since is told. */
  asOrdered: record<Record<string, unknown>>('As it was ordered', {}),
})

/** What came of a line, one row a time. */
export const delivery = kind('delivery', {
  lineId: ref('Order line', 'purchaseLine', { onDelete: 'goes' }),
  cameOn: date('Came on'),
  quantity: real('How many came', { min: 0.001, max: 1e6 }, 1),
  /** Null: it is here, and nobody looked at count, hand and faults yet. */
  checkedOn: maybe(date('Checked on')),
  checkedById: maybe(ref('Checked by', 'person')),
  batch: note('Batch', 80),
  expiresOn: maybe(date('Good until')),
  faulty: real('Of them faulty', { min: 0, max: 1e6 }, 0),
  fault: note('What is wrong', 300),
  returnBy: maybe(date('Send back by')),
  returned: real('Sent back', { min: 0, max: 1e6 }, 0),
  /** What came in its place; '': what was ordered. */
  instead: note('Came instead', 200),
})

/** One lot of something in one place. */
export const stock = kind('lot on the shelf', {
  name: text('What', 200),
  quantity: real('How much', { min: 0, max: 1e6 }, 1),
  unit: note('Unit', 20),
  at: choice('Where', words.keptAt, 'shed', said.keptAt),
  bin: note('Bin', 40),
  batch: note('Batch', 80),
  expiresOn: maybe(date('Good until')),
  /** Said when what there is of it in all places falls under this; null: never. */
  lowAt: maybe(real('Low under', { min: 0, max: 1e6 })),
  /** A piece left over, with its size. */
  isOffcut: flag('A piece left over', false),
  size: note('Size', 120),
  /** How large it is, along and across the grain or nap; null: see its size. */
  longMm: maybe(real('Long', { min: 1, max: 100_000, unit: 'mm' })),
  wideMm: maybe(real('Wide', { min: 1, max: 10_000, unit: 'mm' })),
  /** The delivery that it is from. */
  deliveryId: maybe(ref('From delivery', 'delivery')),
  order: text('Order', 80),
})

export const tool = kind('tool', {
  name: text('Tool', 200),
  owned: choice('Whose', words.toolsOwned, 'own', said.toolsOwned),
  /** Who lent or hires it out; '': it is ours. */
  owner: note('From whom', 120),
  at: choice('Where', [...words.keptAt, 'away'], 'shed', { ...said.keptAt, away: 'not here' }),
  backBy: fresh(maybe(date('Back by'))),
  hireDayMinor: maybe(integer('A day of hire', { min: 0, max: 1e9, unit: 'minor' })),
  /** How far it reaches, or the most it takes. */
  reachMm: maybe(real('Reaches', { min: 0.1, max: 100_000, unit: 'mm' })),
  size: note('Size', 120),
  order: text('Order', 80),
})
