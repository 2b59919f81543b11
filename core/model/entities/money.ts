/** What is planned to be paid, what was paid, and what trades ask for. */
import { choice, date, flag, integer, maybe, note, real, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** What is planned for a system, or for what belongs to none. In the refit's currency. */
export const budget = kind('sum planned', {
  account: choice('For', words.accounts, 'system', said.accounts),
  /** For account 'system' alone. */
  systemId: maybe(ref('System', 'system', { onDelete: 'goes' })),
  minor: integer('Planned', { min: 0, max: 1e11, unit: 'minor' }, 0),
})

/** Money that left, or came back. Orders are told of where they are kept, and not here again. */
export const spend = kind('spend', {
  on: date('Paid on'),
  what: text('What for', 200),
  kind: choice('Kind', words.spendKinds, 'part', said.spendKinds),
  /** In its own currency. */
  minor: integer('Sum', { min: 1, max: 1e11, unit: 'minor' }),
  isBack: flag('Money back', false),
  /** '': the refit's own. */
  currency: note('Currency', 3),
  /** What one unit of it costs in the refit's currency; null: it is the refit's own. */
  rate: maybe(real('Rate', { min: 1e-6, max: 1e6 })),
  rateOn: maybe(date('Rate of')),
  supplierId: maybe(ref('Paid to', 'supplier')),
  /** The trade it was paid to. */
  bookingId: maybe(ref('Trade', 'tradeBooking', { onDelete: 'holds' })),
  /** The time in the yard it was paid for. */
  haulOutId: maybe(ref('Haul-out', 'haulOut')),
  note: note('Note', 1000),
})

/** What of a spend belongs where. With any at all they add up to it. */
export const spendShare = kind('share of a spend', {
  spendId: ref('Spend', 'spend', { onDelete: 'goes' }),
  jobId: maybe(ref('Job', 'job', { onDelete: 'holds' })),
  systemId: maybe(ref('System', 'system', { onDelete: 'holds' })),
  /** In the currency of the spend. */
  minor: integer('Share', { min: 1, max: 1e11, unit: 'minor' }),
  order: text('Order', 80),
})

/** What a trade asks for, as it came. */
export const invoice = kind('invoice', {
  bookingId: ref('Booking', 'tradeBooking', { onDelete: 'goes' }),
  number: note('Invoice number', 40),
  on: date('Date of the invoice'),
  minor: integer('Sum of the invoice', { min: 1, max: 1e11, unit: 'minor' }),
  note: note('Note', 500),
})
