/** Steps that use something up and for which nobody listed it. */
import type { Step } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Operation } from '../model/words'
import { isOpen } from '../plan/planned'

/** Work that cannot be done without resin, paint, sealant or the like. */
const usesUp: readonly Operation[] = [
  'fill',
  'laminate',
  'prime',
  'barrier',
  'antifoul',
  'paint',
  'varnish',
  'bed',
]

/** Open steps of a job that use something up, with no part and no line to bring. */
export function unlisted(
  rows: Pick<RefitRows, 'step' | 'part' | 'bringLine'>,
  jobId: string,
): Step[] {
  const listed = new Set([
    ...rows.part.map((one) => one.neededByStepId),
    ...rows.bringLine.map((one) => one.stepId),
  ])
  return inOrder(rows.step.filter((step) => step.jobId === jobId)).filter(
    (step) => isOpen(step) && usesUp.includes(step.operation) && !listed.has(step.id),
  )
}
