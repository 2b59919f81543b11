/** What was measured at a step. */
import { aside, instant, integer, maybe, note, real, ref, text } from '../field'
import { kind } from '../kind'

/** A value read at a step, of one of its units or of the whole. */
export const reading = kind(
  'reading',
  {
    stepId: ref('Step', 'step', { onDelete: 'goes' }),
    /** Which of the step's units, from 1; null: the whole step. */
    unitNo: maybe(integer('Which one', { min: 1, max: 100_000 })),
    what: text('What was read', 120),
    value: real('Value', { min: -1e6, max: 1e6 }),
    at: instant('Read at'),
    personId: aside(maybe(ref('Read by', 'person'))),
    note: aside(note('Note', 500)),
  },
  { planInput: true },
)
