import type { Step } from '../../model/entities'
import { groupBy } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { arcsOf, stepsByJob } from '../network'
import type { StepArc } from '../network'

/** What follows what. Hours, calendars and dates may change without it: it rests on jobs, step order and links. */
export interface Structure {
  /** Live steps of planned jobs, job by job. */
  readonly stepIds: readonly string[]
  readonly before: ReadonlyMap<string, readonly StepArc[]>
  readonly after: ReadonlyMap<string, readonly StepArc[]>
}

/** The structure of a refit; the same for rows that differ in hours, people, places and haul-outs only. */
export function structureOf(rows: Pick<RefitRows, 'job' | 'step' | 'link'>): Structure {
  const arcs = arcsOf(rows)
  return {
    stepIds: [...stepsByJob(rows).values()].flat().map((step: Step) => step.id),
    before: groupBy(arcs, (arc) => arc.to),
    after: groupBy(arcs, (arc) => arc.from),
  }
}
