import type { ChangeItem } from '../model/changes'
import type { Job, Part, Row, Step } from '../model/entities'
import { keyBetween } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

type Patch = Readonly<Record<string, unknown>>

const stepCopy = ({ id: _, version: _v, ...step }: Step, jobId: string): Patch => ({
  ...step,
  jobId,
  state: 'open',
  doneAt: null,
  earnedIn: null,
})
const partCopy = ({ id: _, version: _v, ...part }: Part, jobId: string, step: string): Patch => ({
  ...part,
  jobId,
  neededByStepId: step,
  state: 'wanted',
  orderedOn: null,
  arrivesOn: null,
})
const lineCopy = ({ id: _, version: _v, ...line }: Row<'bringLine'>, stepId: string): Patch => ({
  ...line,
  stepId,
})

/**
 * A job once more, all open, with its steps, parts and things to bring: for the other side, or the next
 * fitting of the same kind. Hours, links, findings and pictures belong to the first and stay there.
 */
export function copyJob(
  rows: RefitRows,
  job: Job,
  title: string,
  newId: () => string,
): { readonly jobId: string; readonly items: ChangeItem[] } {
  const jobId = newId()
  const { id: _, version: _v, ...fields } = job
  const next = inOrder(rows.job).find((one) => one.order > job.order)
  const order = keyBetween(job.order, next?.order ?? null)
  const create = (entity: ChangeItem['entity'], patch: Patch, id = newId()): ChangeItem => ({
    op: 'create',
    entity,
    id,
    patch,
  })
  const steps = inOrder(
    rows.step.filter((step) => step.jobId === job.id && step.state !== 'dropped'),
  )
  const items = steps.flatMap((step) => {
    const stepId = newId()
    return [
      create('step', stepCopy(step, jobId), stepId),
      ...rows.bringLine
        .filter((line) => line.stepId === step.id)
        .map((line) => create('bringLine', lineCopy(line, stepId))),
      ...rows.part
        .filter((part) => part.neededByStepId === step.id)
        .map((part) => create('part', partCopy(part, jobId, stepId))),
    ]
  })
  const copied = { ...fields, title, order, pinnedRank: null, tradePriceMinor: null }
  return { jobId, items: [create('job', copied, jobId), ...items] }
}
