/** Changes that put things in order again. */
import type { ChangeItem } from '../model/changes'
import type { Step } from '../model/entities'
import { keyBetween } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { Operation } from '../model/words'
import { findCycle } from '../plan/network'
import type { OrderStep } from './facts'
import type { OrderMend } from './rule'

interface Inserted {
  readonly title: string
  readonly operation: Operation
  readonly hoursLikely: number
  readonly parallel?: boolean
  readonly more?: Readonly<Record<string, unknown>>
}

/** A step put into a job before or behind another. */
export function insertItem(
  rows: Pick<RefitRows, 'step'>,
  beside: Step,
  where: 'before' | 'behind',
  given: Inserted,
  id: string,
): ChangeItem {
  const list = inOrder(rows.step.filter((one) => one.jobId === beside.jobId))
  const at = list.findIndex((one) => one.id === beside.id)
  const [before, after] = where === 'before' ? [list[at - 1], beside] : [beside, list[at + 1]]
  const order = keyBetween(before?.order ?? null, after?.order ?? null)
  const { title, operation, hoursLikely, parallel = false, more = {} } = given
  return {
    op: 'create',
    entity: 'step',
    id,
    patch: { jobId: beside.jobId, title, operation, hoursLikely, parallel, order, ...more },
  }
}

/** The first before the second: a link between their jobs, or their order within one. Null: it would make a circle, or cannot be any more. */
export function firstThen(
  rows: Pick<RefitRows, 'step' | 'link'>,
  first: OrderStep,
  second: OrderStep,
  label: string,
): OrderMend | null {
  if (second.done || first.done) return null
  if (first.job.id === second.job.id) {
    const list = inOrder(rows.step.filter((one) => one.jobId === first.job.id))
    const at = list.findIndex((one) => one.id === second.step.id)
    const order = keyBetween(list[at - 1]?.order ?? null, second.step.order)
    return {
      label,
      items: () => [patchOf('step', first.step, { order, parallel: false })],
    }
  }
  const link = { fromJobId: first.job.id, toJobId: second.job.id }
  if (findCycle([...rows.link, link])) return null
  return {
    label,
    items: (newId) => [
      {
        op: 'create',
        entity: 'link',
        id: newId(),
        patch: { ...link, fromStepId: first.step.id, toStepId: second.step.id },
      },
    ],
  }
}
