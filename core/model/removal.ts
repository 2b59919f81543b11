/** What has to go or let go when a row is taken away. */
import type { ChangeItem } from './changes'
import type { EntityName, Job, Step } from './entities'
import { references } from './references'
import type { Reference } from './references'
import type { RefitRows } from './refit'

type Plain = { readonly id: string; readonly version: number }
type Fields = Plain & Readonly<Record<string, unknown>>

export const deletion = (entity: EntityName, row: Plain): ChangeItem => ({
  op: 'delete',
  entity,
  id: row.id,
  baseVersion: row.version,
})
export const patchOf = (
  entity: EntityName,
  row: Plain,
  patch: Readonly<Record<string, unknown>>,
): ChangeItem => ({ op: 'patch', entity, id: row.id, baseVersion: row.version, patch })

/** True when a row goes with what the reference points to. */
const goesWith = ({ onDelete }: Reference, row: Fields): boolean =>
  typeof onDelete === 'object' ? row[onDelete.goesWhen] === onDelete.is : onDelete === 'goes'

/** Rows of a kind, whichever it is. */
export const plainRows = (rows: RefitRows, name: EntityName): readonly Fields[] =>
  rows[name] as unknown as readonly Fields[]

const points = (row: Fields, field: string, id: string): boolean => {
  const value = row[field]
  return Array.isArray(value) ? value.includes(id) : value === id
}

/** The rows and all that hangs on them go; whatever else points to them lets go. One operation a row. */
export function removal(rows: RefitRows, entity: EntityName, ids: readonly string[]): ChangeItem[] {
  const of = (name: EntityName) => plainRows(rows, name)
  const gone = new Map<string, { entity: EntityName; row: Fields }>()
  const loosened = new Map<
    string,
    { entity: EntityName; row: Fields; patch: Record<string, unknown> }
  >()
  const take = (name: EntityName, row: Fields): void => {
    if (gone.has(row.id)) return
    // Records of what was done hold what they point to, and the door refuses.
    for (const reference of references.filter(
      (one) => one.to === name && one.onDelete !== 'holds',
    )) {
      const { from, field } = reference
      for (const user of of(from).filter((one) => points(one, field, row.id)))
        if (goesWith(reference, user)) take(from, user)
        else {
          const was = loosened.get(user.id) ?? { entity: from, row: user, patch: {} }
          const value = was.patch[field] ?? user[field]
          const left = Array.isArray(value) ? value.filter((one) => one !== row.id) : null
          loosened.set(user.id, { ...was, patch: { ...was.patch, [field]: left } })
        }
    }
    gone.set(row.id, { entity: name, row })
  }
  for (const row of of(entity).filter((one) => ids.includes(one.id))) take(entity, row)
  return [
    ...[...loosened.values()]
      .filter((one) => !gone.has(one.row.id))
      .map((one) => patchOf(one.entity, one.row, one.patch)),
    ...[...gone.values()].map((one) => deletion(one.entity, one.row)),
  ]
}

/** A step and everything that hangs on it. Hours logged on it still hold it: see `hasHours`. */
export const stepRemoval = (rows: RefitRows, step: Step): ChangeItem[] =>
  removal(rows, 'step', [step.id])

/** True when hours were written down for a step: it may be dropped, but not taken away. */
export const hasHours = (rows: Pick<RefitRows, 'hoursEntry'>, stepId: string): boolean =>
  rows.hoursEntry.some((entry) => entry.stepId === stepId)

/** Jobs with their steps and links. Those with hours or an as-built sheet are dropped and keep their record. */
export function jobsRemoval(
  rows: RefitRows,
  jobs: readonly Job[],
): { readonly items: readonly ChangeItem[]; readonly kept: readonly Job[] } {
  const steps = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const holding = new Set([
    ...rows.hoursEntry.map((entry) => entry.jobId ?? steps.get(entry.stepId ?? '')),
    ...rows.asBuiltSheet.map((sheet) => sheet.jobId),
  ])
  const kept = jobs.filter((job) => holding.has(job.id))
  const going = jobs.filter((job) => !holding.has(job.id))
  const items = removal(
    rows,
    'job',
    going.map((job) => job.id),
  )
  // What was found waits for a word again when the job that would have put it right is gone.
  const gone = new Set(going.map((job) => job.id))
  const found = new Map(rows.finding.map((one) => [one.id, one]))
  const reopened = items.map((item): ChangeItem => {
    const finding = item.entity === 'finding' ? found.get(item.id) : undefined
    const lost = finding?.state === 'jobMade' && gone.has(finding.jobId ?? '')
    return lost && item.op === 'patch' ? { ...item, patch: { ...item.patch, state: 'new' } } : item
  })
  const touched = new Map(reopened.map((item) => [item.id, item]))
  const drops = kept.map((job): ChangeItem => {
    const loosened = touched.get(job.id)
    const patch = loosened?.op === 'patch' ? loosened.patch : {}
    return patchOf('job', job, { ...patch, decision: 'dropped' })
  })
  const dropped = new Set(kept.map((job) => job.id))
  return { items: [...reopened.filter((item) => !dropped.has(item.id)), ...drops], kept }
}
