/** What is still to be decided, and the ways it could go. */
import { date, integer, maybe, note, record, ref, text } from '../field'
import { kind } from '../kind'
import type { Operation, PlaceNeed } from '../words'

/** A step that an option would add. */
export interface DraftStep {
  readonly title: string
  readonly operation: Operation
  /** Person-hours. */
  readonly hours: number
  readonly placeNeed: PlaceNeed
}
/** A part that an option would add. */
export interface DraftPart {
  readonly name: string
  readonly quantity: number
  readonly priceMinor: number | null
}

/** A choice between options, each a draft of steps and parts. It says nothing to the plan until it is decided. */
export const decision = kind('decision', {
  title: text('What is to be decided', 200),
  /** The job that what is chosen goes into. */
  jobId: ref('Job', 'job', { onDelete: 'goes' }),
  /** The step that waits for it; null: the job's first open one. */
  beforeStepId: maybe(ref('This step waits for it', 'step')),
  whoId: maybe(ref('Who decides', 'person')),
  /** Days kept between deciding and the last moment. */
  safetyDays: integer('Days to spare', { min: 0, max: 365 }, 7),
  /** When it was decided, and what for; null: it is open. */
  decidedOn: maybe(date('Decided on')),
  optionId: maybe(ref('Chosen', 'option')),
  because: note('Because', 500),
  order: text('Order', 80),
})

export const option = kind('option', {
  decisionId: ref('Decision', 'decision', { onDelete: 'goes' }),
  title: text('Option', 200),
  /** From ordering until it is here. */
  leadDays: integer('Days until it is here', { min: 0, max: 1000 }, 0),
  /** What it costs besides its parts. */
  costMinor: maybe(integer('Costs besides its parts', { min: 0, max: 1e11, unit: 'minor' })),
  steps: record<readonly DraftStep[]>('Steps', []),
  parts: record<readonly DraftPart[]>('Parts', []),
  order: text('Order', 80),
})
