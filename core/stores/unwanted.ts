/** What is on its way or here for work that will not be done: nobody waits for it, and the money is out. */
import type { Row } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'

export interface Unwanted {
  readonly part: Row<'part'>
  /** "“Bed it” was dropped", without a full stop. */
  readonly why: string
}

const decided: Readonly<Record<Exclude<Row<'job'>['decision'], 'plan'>, string>> = {
  dropped: 'was dropped',
  accepted: 'is left as it is',
  later: 'is put off',
}

/** Parts ordered, and parts here that are not fitted, of dropped steps and of jobs that are not planned. */
export function unwantedParts(rows: Pick<RefitRows, 'part' | 'step' | 'job'>): Unwanted[] {
  const [steps, jobs] = [byId(rows.step), byId(rows.job)]
  return rows.part.flatMap((part): Unwanted[] => {
    if (part.state !== 'ordered' && part.state !== 'arrived') return []
    const step = steps.get(part.neededByStepId ?? '')
    const job = jobs.get(part.jobId ?? step?.jobId ?? '')
    if (step?.state === 'dropped') return [{ part, why: `“${step.title}” was dropped` }]
    if (job && job.decision !== 'plan')
      return [{ part, why: `“${job.title}” ${decided[job.decision]}` }]
    // What is done without it is done; where it is here somebody may only not have said that it is fitted.
    if (step?.state === 'done' && part.state === 'ordered')
      return [{ part, why: `“${step.title}” is done without it` }]
    return []
  })
}
