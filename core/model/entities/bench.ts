/** Answers of the bench that are kept, with all that they were worked from. */
import { instant, maybe, note, record, ref, text } from '../field'
import { kind } from '../kind'
import type { Known } from '../../bench/doubt'
import type { Values } from '../../bench/ask'

/** Line for the as-built sheet of its job, once that is written. */
export interface KeptLine {
  readonly kind: 'size' | 'setting' | 'note'
  readonly what: string
  readonly value: string
}
/** What a line of the answer became, by its key. */
export type MadeRows = Readonly<
  Record<
    string,
    {
      readonly entity: 'part' | 'step' | 'bringLine' | 'stock' | 'asBuiltLine'
      readonly id: string
    }
  >
>

export const keptSum = kind('kept answer', {
  /** Key of the sum, as its address has it. */
  sumKey: text('Sum', 60),
  jobId: maybe(ref('Job', 'job', { onDelete: 'goes' })),
  stepId: maybe(ref('Step', 'step')),
  note: note('What it is for', 120),
  inputs: record<Values>('Figures it was worked from', {}),
  known: record<Known>('Which of them were measured', {}),
  /** What the job said then: when it says something else now, the answer is to be worked again. */
  filled: record<Values>('As the job had them', {}),
  says: text('Answer', 200),
  heading: note('Answer in a sentence', 500),
  asBuilt: record<readonly KeptLine[]>('For the as-built sheet', []),
  made: record<MadeRows>('What was put on the job', {}),
  keptAt: instant('Kept at'),
  byId: maybe(ref('Kept by', 'person')),
})
