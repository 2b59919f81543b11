/** What goes out of the house on paper: what a maker makes, what a trade looks at; and ways to come by a part. */
import { choice, date, flag, integer, maybe, note, real, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

const mm = (label: string, most: number) => real(label, { min: 0, max: most, unit: 'mm' })
const check = (label: string) => choice(label, words.checkedAs, 'open', said.checkedAs)

/** An order sheet for somebody who makes things to measure: numbered pieces with marks. */
export const makerSheet = kind('order sheet', {
  number: text('Sheet number', 40),
  title: text('What it is for', 200),
  shape: choice('What is made', words.makerSheets, 'posts', said.makerSheets),
  supplierId: maybe(ref('Maker', 'supplier')),
  jobId: maybe(ref('Job', 'job')),
  hand: choice('Side', words.hands, 'none', said.hands),
  seenFrom: note('Seen from', 60),
  /** What distances are measured from. */
  datum: note('Measured from', 60),
  material: note('Material and finish', 200),
  sentOn: maybe(date('Sent on')),
  note: note('Note for the maker', 1000),
})

/** One piece of it. */
export const makerItem = kind('piece of an order sheet', {
  sheetId: ref('Order sheet', 'makerSheet', { onDelete: 'goes' }),
  mark: text('Mark', 20),
  /** Along the line, from the datum. */
  atMm: maybe(mm('Distance', 100_000)),
  heightMm: maybe(mm('Height', 10_000)),
  /** Outwards; inwards is negative. */
  leanDeg: maybe(real('Leans out', { min: -60, max: 60, unit: '°' })),
  size: note('Size', 120),
  foot: note('Foot and holes', 120),
  /** Open to the next one: no rail there but a gate. */
  isGateNext: flag('Gate to the next', false),
  count: check('Count'),
  handed: check('Hand'),
  leans: check('Lean and size'),
  fault: note('What is wrong', 300),
  order: text('Order', 80),
})

/** One thing that a trade is to look at or do, what they propose, and what became of it. */
export const tradeItem = kind('line of a trade sheet', {
  bookingId: ref('Booking', 'tradeBooking', { onDelete: 'goes' }),
  what: text('What they look at', 500),
  pictureId: maybe(ref('Picture', 'picture')),
  /** What it is in the price they were booked at; null: it is not named there. */
  quoteMinor: maybe(integer('In the quote', { min: 0, max: 1e11, unit: 'minor' })),
  proposal: note('What they propose', 500),
  proposalMinor: maybe(integer('Price of it', { min: 0, max: 1e11, unit: 'minor' })),
  proposalDays: maybe(real('Days of it', { min: 0, max: 1000 })),
  answer: choice('Answer', words.proposalAnswers, 'none', said.proposalAnswers),
  answeredById: maybe(ref('Answered by', 'person')),
  answeredOn: maybe(date('Answered on')),
  done: check('Done'),
  invoiceMinor: maybe(integer('On the invoice', { min: 0, max: 1e11, unit: 'minor' })),
  order: text('Order', 80),
})

/** One way to come by a part. */
export const partWay = kind('way to a part', {
  partId: ref('Part', 'part', { onDelete: 'goes' }),
  way: choice('How', words.partWays, 'used', said.partWays),
  what: note('Which one', 200),
  /** All of it, in the refit's currency. */
  priceMinor: integer('Price', { min: 0, max: 1e11, unit: 'minor' }, 0),
  ownHours: real('Own hours', { min: 0, max: 10_000, unit: 'h' }, 0),
  leadDays: integer('Days until it is here', { min: 0, max: 1000 }, 0),
  /** That it fits and does, 1 to 100. */
  chancePercent: integer('Chance that it fits', { min: 1, max: 100 }, 100),
  order: text('Order', 80),
})
