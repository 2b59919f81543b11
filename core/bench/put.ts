/** An answer put on a job: parts, a step, lines to bring, a piece for the shelf, and the answer itself, kept. */
import type { ChangeItem } from '../model/changes'
import type { Job, KeptSum, Step } from '../model/entities'
import type { KeptLine, MadeRows } from '../model/entities/bench'
import { keyBetween } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { isStillToBuy } from '../model/partState'
import type { Values } from './ask'
import type { Known } from './doubt'
import type { Answer, Put, Sum } from './sum'

export interface Putting {
  readonly sum: Sum
  readonly answer: Answer
  readonly values: Values
  readonly known: Known
  readonly filled: Values
  /** Null: it is kept for itself. */
  readonly job: Job | null
  /** The step that wants it: parts and lines to bring go to it. */
  readonly step: Step | null
  /** The answer kept before for the same job, which this one takes the place of. */
  readonly before: KeptSum | null
  /** Lines that are put; empty: it is only kept. */
  readonly puts: readonly Put[]
  readonly note: string
  readonly at: number
  readonly personId: string | null
}

const create = (
  entity: ChangeItem['entity'],
  id: string,
  patch: Readonly<Record<string, unknown>>,
): ChangeItem => ({ op: 'create', entity, id, patch })

/** A line put again moves what it made the first time, as long as that is still open. */
function partItems(
  put: Extract<Put, { is: 'part' }>,
  { job, step }: Putting,
  rows: RefitRows,
  madeId: string | undefined,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly id: string } {
  const fields = {
    name: put.name,
    quantity: Math.max(0.001, put.quantity),
    unit: put.unit,
    packSize: put.pack ?? null,
    ...(put.specification ? { specification: put.specification } : {}),
  }
  const mine = rows.part.find(
    (one) => one.id === madeId && isStillToBuy(one) && one.jobId === (job?.id ?? null),
  )
  if (mine) return { items: [patchOf('part', mine, fields)], id: mine.id }
  const id = newId()
  return {
    items: [
      create('part', id, { ...fields, jobId: job?.id ?? null, neededByStepId: step?.id ?? null }),
    ],
    id,
  }
}

function stepItems(
  put: Extract<Put, { is: 'step' }>,
  { job }: Putting,
  rows: RefitRows,
  madeId: string | undefined,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly id: string } | null {
  if (!job) return null
  const fields = {
    title: put.title,
    operation: put.operation,
    hoursLikely: put.hours,
    waitKind: put.wait?.kind ?? 'none',
    waitHours: put.wait?.hours ?? 0,
    waitMinC: put.wait?.minC ?? null,
    caution: put.caution ?? '',
    unitName: put.units?.name ?? '',
    unitCount: put.units?.count ?? null,
  }
  const mine = rows.step.find(
    (one) => one.id === madeId && one.state === 'open' && one.jobId === job.id,
  )
  if (mine) return { items: [patchOf('step', mine, fields)], id: mine.id }
  const last = inOrder(rows.step.filter((one) => one.jobId === job.id)).at(-1)?.order ?? null
  const id = newId()
  return {
    items: [create('step', id, { ...fields, jobId: job.id, order: keyBetween(last, null) })],
    id,
  }
}

function bringItems(
  put: Extract<Put, { is: 'bring' }>,
  stepId: string | null,
  rows: RefitRows,
  madeId: string | undefined,
  lastOrder: string | null,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly id: string; readonly order: string } | null {
  if (stepId === null) return null
  const fields = { what: put.what, amount: put.amount, kind: put.kind }
  const mine = rows.bringLine.find((one) => one.id === madeId && one.stepId === stepId)
  if (mine)
    return { items: [patchOf('bringLine', mine, fields)], id: mine.id, order: lastOrder ?? '' }
  const id = newId()
  const order = keyBetween(lastOrder, null)
  return { items: [create('bringLine', id, { ...fields, stepId, order })], id, order }
}

/**
 * The change list of an answer that is kept, with the lines of it that are put on the job. What an earlier answer of the
 * same job made is moved, not made twice.
 */
export function puttingItems(
  putting: Putting,
  rows: RefitRows,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly keptId: string } {
  const { sum, answer, job, before, puts } = putting
  const made: Record<string, MadeRows[string]> = { ...before?.made }
  const items: ChangeItem[] = []
  const sheet = job ? rows.asBuiltSheet.find((one) => one.jobId === job.id) : undefined
  const asBuilt: KeptLine[] = []
  let stepId = putting.step?.id ?? null
  for (const put of puts)
    if (put.is === 'step') {
      const key = `step ${put.key}`
      const done = stepItems(put, putting, rows, before?.made[key]?.id, newId)
      if (!done) continue
      items.push(...done.items)
      made[key] = { entity: 'step', id: done.id }
      stepId ??= done.id
    }
  let lastBring =
    inOrder(rows.bringLine.filter((one) => one.stepId === stepId)).at(-1)?.order ?? null
  let lastLine =
    inOrder(rows.asBuiltLine.filter((one) => one.sheetId === sheet?.id)).at(-1)?.order ?? null
  let lastStock = inOrder(rows.stock).at(-1)?.order ?? null
  for (const put of puts) {
    const key = `${put.is} ${put.key}`
    const madeId = before?.made[key]?.id
    if (put.is === 'part') {
      const done = partItems(put, { ...putting }, rows, madeId, newId)
      items.push(
        ...done.items.map((item) =>
          item.op === 'create'
            ? { ...item, patch: { ...item.patch, neededByStepId: stepId } }
            : item,
        ),
      )
      made[key] = { entity: 'part', id: done.id }
    } else if (put.is === 'bring') {
      const done = bringItems(put, stepId, rows, madeId, lastBring, newId)
      if (!done) continue
      items.push(...done.items)
      if (done.items[0]?.op === 'create') lastBring = done.order
      made[key] = { entity: 'bringLine', id: done.id }
    } else if (put.is === 'offcut') {
      const fields = { name: put.name, size: put.size, longMm: put.longMm, wideMm: put.wideMm }
      const mine = rows.stock.find((one) => one.id === madeId)
      if (mine) {
        // Used up meanwhile, it was what it was.
        if (mine.quantity > 0) items.push(patchOf('stock', mine, fields))
        continue
      }
      const id = newId()
      lastStock = keyBetween(lastStock, null)
      items.push(
        create('stock', id, {
          ...fields,
          quantity: 1,
          unit: 'pieces',
          isOffcut: true,
          order: lastStock,
        }),
      )
      made[key] = { entity: 'stock', id }
    } else if (put.is === 'useStock') {
      const lot = rows.stock.find((one) => one.id === put.stockId && one.quantity > 0)
      // Cut up once, however often the answer is put.
      if (!lot || madeId !== undefined) continue
      items.push(patchOf('stock', lot, { quantity: Math.max(0, lot.quantity - 1) }))
      made[key] = { entity: 'stock', id: lot.id }
    } else if (put.is === 'asBuilt') {
      const line = { kind: put.kind, what: put.what, value: put.value.slice(0, 300) }
      if (!sheet) {
        asBuilt.push(line)
        continue
      }
      const mine = rows.asBuiltLine.find((one) => one.id === madeId)
      if (mine) items.push(patchOf('asBuiltLine', mine, line))
      else {
        const id = newId()
        lastLine = keyBetween(lastLine, null)
        items.push(create('asBuiltLine', id, { ...line, sheetId: sheet.id, order: lastLine }))
        made[key] = { entity: 'asBuiltLine', id }
      }
    }
  }
  const fields = {
    sumKey: sum.key,
    jobId: job?.id ?? null,
    stepId: putting.step?.id ?? null,
    note: putting.note,
    inputs: putting.values,
    known: putting.known,
    filled: putting.filled,
    says: answer.says.slice(0, 200),
    heading: answer.heading.slice(0, 500),
    asBuilt: asBuilt.length > 0 || puts.length > 0 ? asBuilt : (before?.asBuilt ?? []),
    made,
    keptAt: putting.at,
    byId: putting.personId,
  }
  const keptId = before?.id ?? newId()
  items.push(before ? patchOf('keptSum', before, fields) : create('keptSum', keptId, fields))
  return { items, keptId }
}
