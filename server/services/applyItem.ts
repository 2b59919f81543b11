import type { ChangeItem, Clash, FieldProblem } from '#core/model/changes'
import { fieldLabel } from '#core/model/changes'
import type { EntityName } from '#core/model/entities'
import { withInitials } from '#core/model/newRow'
import { entityWord, isComputed } from '#core/model/references'
import { createSchema, patchSchema } from '#shared/schemas/entitySchema'
import { fieldProblems } from '#shared/problems'
import type { Plain } from './rows'

/** What one operation does to its row. */
export interface Applied {
  readonly item: ChangeItem
  readonly before: Plain | null
  readonly after: Plain | null
  /** Fields that the patch really changes. */
  readonly fields: readonly string[]
  /** True when a row that was taken away is put back. */
  readonly restored?: boolean
}

/** Fields of a row that others changed since a version; null: not known any more, so it may be any. */
export type ChangedSince = (
  entity: EntityName,
  id: string,
  version: number,
) => Promise<ReadonlySet<string> | null>

export type Outcome =
  | { readonly applied: Applied }
  | { readonly problems: readonly FieldProblem[] }
  | { readonly clashes: readonly Clash[] }

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

const gone = (item: ChangeItem): Outcome => ({
  problems: [
    {
      field: item.entity,
      message: `This ${entityWord[item.entity]} is not there any more: somebody removed it.`,
    },
  ],
})

/** Works out one operation against the row as it stands now. Pure but for asking the journal. */
export async function applyItem(
  item: ChangeItem,
  current: Plain | null,
  changedSince: ChangedSince,
): Promise<Outcome> {
  if (item.op === 'create') return applyCreate(item, current)
  if (!current) return gone(item)
  if (item.baseVersion > (current.version as number))
    return {
      problems: [{ field: item.entity, message: 'That version is not known here. Reload.' }],
    }
  if (item.op === 'delete') return applyDelete(item, current, changedSince)
  const { error, value } = patchSchema(item.entity).validate(item.patch)
  if (error) return { problems: fieldProblems(error, item.entity) }
  return applyPatch(item, value as Plain, current, changedSince)
}

function applyCreate(item: ChangeItem & { op: 'create' }, current: Plain | null): Outcome {
  if (current)
    return {
      problems: [
        {
          field: `${item.entity}.id`,
          message: `Another ${entityWord[item.entity]} has that id already.`,
        },
      ],
    }
  const { error, value } = createSchema(item.entity).validate(item.patch)
  if (error) return { problems: fieldProblems(error, item.entity) }
  const values = withInitials(item.entity, value as never)
  const after = { id: item.id, version: 1, ...values }
  return { applied: { item, before: null, after, fields: Object.keys(values) } }
}

async function applyDelete(
  item: ChangeItem & { op: 'delete' },
  current: Plain,
  changedSince: ChangedSince,
): Promise<Outcome> {
  if (item.entity === 'refit')
    return {
      problems: [
        {
          field: 'refit',
          message: 'A whole refit is taken away under Settings, never by a change: all would go.',
        },
      ],
    }
  const behind = item.baseVersion < (current.version as number)
  const touched = behind ? await changedSince(item.entity, item.id, item.baseVersion) : new Set()
  if (touched === null || touched.size > 0)
    return {
      clashes: [
        {
          entity: item.entity,
          id: item.id,
          field: '',
          label: entityWord[item.entity],
          yours: null,
          theirs: current.title ?? current.name ?? null,
          theirVersion: current.version as number,
        },
      ],
    }
  return { applied: { item, before: current, after: null, fields: [] } }
}

async function applyPatch(
  item: ChangeItem & { op: 'patch' },
  patch: Plain,
  current: Plain,
  changedSince: ChangedSince,
): Promise<Outcome> {
  const fields = Object.keys(patch).filter((name) => !same(patch[name], current[name]))
  // What the program works out is the same whoever works it out: the last one stands.
  if (item.baseVersion < (current.version as number) && !isComputed(item.entity)) {
    const touched = await changedSince(item.entity, item.id, item.baseVersion)
    const clashes = fields
      .filter((name) => touched?.has(name) ?? true)
      .map((name) => ({
        entity: item.entity,
        id: item.id,
        field: name,
        label: fieldLabel(item.entity, name),
        yours: patch[name],
        theirs: current[name],
        theirVersion: current.version as number,
      }))
    if (clashes.length > 0) return { clashes }
  }
  const after = { ...current, ...patch, version: (current.version as number) + 1 }
  return { applied: { item, before: current, after, fields } }
}
