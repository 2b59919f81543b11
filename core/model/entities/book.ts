/** What the boat's book keeps besides its sheets: looks to come, meters, trials, and work before us. */
import { choice, date, flag, integer, maybe, note, real, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** Something read now and then, and kept as a series: engine hours, rest volts, bilge counts. */
export const meter = kind('meter', {
  title: text('Meter', 120),
  unit: note('Read in', 40),
  /** It only ever rises, as hours run do: how fast says when the next check is due. */
  counts: flag('It counts up', true),
  order: text('Order', 80),
})

export const meterReading = kind('reading of a meter', {
  meterId: ref('Meter', 'meter', { onDelete: 'goes' }),
  on: date('On'),
  value: real('Reads', { min: -1e6, max: 1e9 }),
  note: note('Note', 300),
})

/** Something to be looked at again: by a date, by what a meter reads, or at the next haul-out. */
export const check = kind('check', {
  title: text('Look at', 300),
  systemId: maybe(ref('System', 'system')),
  zoneId: maybe(ref('Where', 'zone')),
  sheetId: maybe(ref('Sheet', 'asBuiltSheet')),
  dueOn: maybe(date('Due on')),
  meterId: maybe(ref('Due by meter', 'meter')),
  dueAtValue: maybe(real('Due when it reads', { min: 0, max: 1e9 })),
  atHaulOut: flag('At the next haul-out', false),
  /** Once done the next is due so much later; null: it is done once. */
  everyMonths: maybe(integer('Every so many months', { min: 1, max: 240 })),
  everyValue: maybe(real('Every so much on the meter', { min: 0.1, max: 1e6 })),
  doneOn: maybe(date('Last done on')),
  doneNote: note('What was seen', 500),
  doneById: maybe(ref('Done by', 'person')),
  order: text('Order', 80),
})

/** One job done two or three ways on purpose. */
export const trial = kind('trial', {
  title: text('Trial', 200),
  jobId: maybe(ref('Job', 'job')),
  systemId: maybe(ref('System', 'system')),
  wayA: text('One way', 80),
  whereA: note('Where', 120),
  wayB: text('The other way', 80),
  whereB: note('Where', 120),
  wayC: note('A third way', 80),
  whereC: note('Where', 120),
  /** What is counted: "squares fouled of 40". Of these fewer are better, or more. */
  counted: note('What is counted', 120),
  outOf: integer('Out of', { min: 1, max: 100_000 }, 40),
  better: choice('Better is', ['fewer', 'more'], 'fewer'),
  judgeOn: maybe(date('Judged on')),
  /** What the next run of its recipe offers first; 'none': not settled. */
  verdict: choice('Verdict', words.trialVerdicts, 'none', said.trialVerdict),
  because: note('What to distrust', 500),
  order: text('Order', 80),
})

export const trialReading = kind('reading of a trial', {
  trialId: ref('Trial', 'trial', { onDelete: 'goes' }),
  way: choice('Which way', ['a', 'b', 'c']),
  on: date('On'),
  count: integer('Counted', { min: 0, max: 100_000 }),
  note: note('Note', 300),
})

/** Work done before us, with a rough date. */
export const earlierWork = kind('work before us', {
  zoneId: maybe(ref('Where', 'zone')),
  what: text('What was done', 300),
  year: integer('About', { min: 1900, max: 2200 }),
  byWhom: note('By whom', 120),
})
