/** What choosing an option writes down: its steps before the one that waited, its parts, the order with its lead. */
import type { ChangeItem } from '../model/changes'
import type { Job, Row, Step } from '../model/entities'
import { inOrder } from '../model/refit'
import { keyBetween, keysAfter } from '../model/order'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { isOpen } from '../plan/planned'

export type Decision = Row<'decision'>
export type Option = Row<'option'>

/** Options of a decision in their order. */
export const optionsOf = (rows: Pick<RefitRows, 'option'>, decisionId: string): Option[] =>
  inOrder(rows.option.filter((one) => one.decisionId === decisionId))

/** The step that waits for a decision: the one it names while that is open, else its job's first open one. */
export function waitingStep(
  rows: Pick<RefitRows, 'step'>,
  decision: Pick<Decision, 'jobId' | 'beforeStepId'>,
): Step | null {
  const open = inOrder(rows.step.filter((one) => one.jobId === decision.jobId && isOpen(one)))
  return open.find((one) => one.id === decision.beforeStepId) ?? open[0] ?? null
}

/** What an option costs with its parts, minor units; null: not all of it has a price. */
export function optionCost({
  costMinor,
  parts,
}: Pick<Option, 'costMinor' | 'parts'>): number | null {
  const priced = parts.map(({ priceMinor, quantity }) =>
    priceMinor === null ? null : Math.round(priceMinor * quantity),
  )
  if (priced.includes(null)) return null
  if (costMinor === null && priced.length === 0) return null
  return (costMinor ?? 0) + priced.reduce<number>((sum, one) => sum + (one ?? 0), 0)
}

/** The changes an option takes, and the step by which its last moment is known. */
export interface Chosen {
  readonly items: readonly ChangeItem[]
  /** The order, else its first step, else the step that waits; null: the job has nothing open and nothing comes to it. */
  readonly firstStepId: string | null
}

/** `on`: the civil date of deciding. Undo takes all of it back. */
export function chosen(
  rows: RefitRows,
  decision: Decision,
  option: Option,
  on: string,
  because: string,
  newId: () => string,
): Chosen {
  const job = rows.job.find((one) => one.id === decision.jobId)
  const items: ChangeItem[] = [
    patchOf('decision', decision, { decidedOn: on, optionId: option.id, because }),
  ]
  if (!job) return { items, firstStepId: null }
  const waiting = waitingStep(rows, decision)
  const own = inOrder(rows.step.filter((one) => one.jobId === job.id))
  const at = waiting ? own.findIndex((one) => one.id === waiting.id) : own.length
  const keys = keysAfter(own[at - 1]?.order ?? null, option.steps.length, waiting?.order ?? null)
  const stepIds = option.steps.map(() => newId())
  option.steps.forEach((draft, index) =>
    items.push({
      op: 'create',
      entity: 'step',
      id: stepIds[index] as string,
      patch: {
        jobId: job.id,
        title: draft.title,
        operation: draft.operation,
        hoursLikely: draft.hours,
        placeNeed: draft.placeNeed,
        // What waited stood beside the step before it: now the first of these does.
        parallel: index === 0 && (waiting?.parallel ?? false),
        order: keys[index] as string,
      },
    }),
  )
  if (waiting?.parallel && stepIds.length > 0)
    items.push(patchOf('step', waiting, { parallel: false }))
  const wants = stepIds[0] ?? waiting?.id ?? null
  for (const draft of option.parts)
    items.push({
      op: 'create',
      entity: 'part',
      id: newId(),
      patch: {
        name: draft.name,
        quantity: draft.quantity,
        priceMinor: draft.priceMinor,
        jobId: job.id,
        neededByStepId: wants,
      },
    })
  if (option.leadDays === 0) return { items, firstStepId: wants }
  const orderId = newId()
  items.push(...ordering(job, option, wants, orderId, newId))
  return { items, firstStepId: orderId }
}

/** Waiting for what is ordered holds nothing but the step that wants it: a small job of its own, linked to it. */
function ordering(
  job: Job,
  option: Option,
  wants: string | null,
  orderId: string,
  newId: () => string,
): ChangeItem[] {
  const jobId = newId()
  return [
    {
      op: 'create',
      entity: 'job',
      id: jobId,
      patch: {
        title: `Order: ${option.title}`.slice(0, 300),
        zoneId: job.zoneId,
        purpose: job.purpose,
        severity: job.severity,
        gateId: job.gateId,
        haulOutId: job.haulOutId,
        placed: true,
        order: keyBetween(job.order, null),
      },
    },
    {
      op: 'create',
      entity: 'step',
      id: orderId,
      patch: {
        jobId,
        title: `Order: ${option.title}`.slice(0, 300),
        operation: 'buy',
        hoursLikely: 0,
        placeNeed: 'away',
        hullNeed: 'either',
        waitKind: 'calendar',
        waitHours: option.leadDays * 24,
        order: keyBetween(null, null),
      },
    },
    {
      op: 'create',
      entity: 'link',
      id: newId(),
      patch: { fromJobId: jobId, toJobId: job.id, toStepId: wants },
    },
  ]
}
