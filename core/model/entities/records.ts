/** What was done: hours and as-built sheets. */
import { aside, choice, date, integer, maybe, note, real, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'

export const hoursEntry = kind(
  'hours entry',
  {
    stepId: maybe(ref('Step', 'step', { onDelete: 'holds' })),
    jobId: maybe(ref('Job', 'job', { onDelete: 'holds' })),
    personId: ref('Person', 'person', { onDelete: 'holds' }),
    on: date('Date'),
    hours: real('Hours', { min: 0.01, max: 24, unit: 'h' }),
    kind: choice('Kind', ['work', 'travel', 'setUp', 'packUp', 'cleanUp'], 'work', said.hoursKind),
    note: aside(note('Note', 500)),
    /** Why the work had to be done again; '': it was not. */
    reworkCause: note('Done again because', 200),
    /** The entry this one puts right; the old one stays to be seen. */
    correctsId: maybe(ref('Corrects', 'hoursEntry', { onDelete: 'holds' })),
  },
  { planInput: true },
)

export const asBuiltSheet = kind('as-built sheet', {
  jobId: maybe(ref('Job', 'job', { onDelete: 'holds' })),
  systemId: maybe(ref('System', 'system', { onDelete: 'holds' })),
  title: text('What'),
  where: note('Where', 300),
  doneOn: maybe(date('When')),
  who: note('Who', 300),
  hours: maybe(real('Hours', { min: 0, max: 100_000, unit: 'h' })),
  costMinor: maybe(integer('Cost', { min: 0, max: 1e11, unit: 'minor' })),
  takeApart: note('How to take it apart again'),
  nextCheckOn: maybe(date('Next check')),
  nextCheckWhat: note('What to check', 500),
  /** What whoever does it again would like to have known. */
  nextTime: note('Next time'),
})

/** A value that was read, and the limits within which it passes. */
const readWithLimits = {
  reading: maybe(real('Reading', { min: -1e6, max: 1e6 })),
  readUnit: note('Read in', 20),
  readLow: maybe(real('Passes from', { min: -1e6, max: 1e6 })),
  readHigh: maybe(real('Passes up to', { min: -1e6, max: 1e6 })),
  /** Beyond the passing value, up to here: to be watched. Beyond this it fails. */
  readFailAt: maybe(real('Fails beyond', { min: -1e6, max: 1e6 })),
}

export const asBuiltLine = kind('as-built line', {
  sheetId: ref('Sheet', 'asBuiltSheet', { onDelete: 'goes' }),
  kind: choice(
    'Kind of line',
    ['material', 'size', 'setting', 'clock', 'drawing', 'note'],
    'material',
    said.asBuiltLineKind,
  ),
  what: text('What', 300),
  value: note('Value', 300),
  ...readWithLimits,
  batch: note('Batch and expiry', 120),
  order: text('Order', 80),
})

export const asBuiltTest = kind('test', {
  sheetId: ref('Sheet', 'asBuiltSheet', { onDelete: 'goes' }),
  what: text('Test', 300),
  expected: note('Expected', 200),
  measured: note('Measured', 200),
  ...readWithLimits,
  outcome: choice('Outcome', ['notYet', 'passed', 'failed'], 'notYet'),
  order: text('Order', 80),
})
