/** Open steps that could take what is left in a cup: everything before them is done and has cured. */
import type { Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Operation } from '../model/words'
import { isOpen } from '../plan/planned'
import type { Waits } from '../plan/waits'
import { readyBy } from '../plan/readyBy'

/** Operations that take mixed resin, and how. */
const wants: Partial<Readonly<Record<Operation, 'thin' | 'thick'>>> = {
  laminate: 'thin',
  barrier: 'thin',
  fill: 'thick',
  fair: 'thick',
}

export interface Prepared {
  readonly step: Step
  /** Job and step in few words. */
  readonly name: string
  readonly wants: 'thin' | 'thick'
}

/** Steps of planned jobs that are ready for resin at an instant, at most `most` of them. */
export function preparedSteps(rows: RefitRows, waits: Waits, at: number, most = 12): Prepared[] {
  const jobs = byId(rows.job)
  const isReady = readyBy(rows, waits, at)
  return rows.step
    .flatMap((step): Prepared[] => {
      const how = wants[step.operation]
      const job = jobs.get(step.jobId)
      if (!how || !isOpen(step) || job?.decision !== 'plan' || !isReady(step)) return []
      return [{ step, name: `${job.title}: ${step.title}`.slice(0, 40), wants: how }]
    })
    .slice(0, most)
}
