import { entities } from './entities'
import type { EntityName } from './entities'
import type { Fields } from './field'

/** One operation on one row. A patch names the version it was based on. */
export type ChangeItem =
  | {
      readonly op: 'create'
      readonly entity: EntityName
      readonly id: string
      readonly patch: Readonly<Record<string, unknown>>
    }
  | {
      readonly op: 'patch'
      readonly entity: EntityName
      readonly id: string
      readonly baseVersion: number
      readonly patch: Readonly<Record<string, unknown>>
    }
  | {
      readonly op: 'delete'
      readonly entity: EntityName
      readonly id: string
      readonly baseVersion: number
    }

/** A list of operations that happens as a whole or not at all. */
export interface Change {
  /** Made by the client; the same id twice is one change. */
  readonly changeId: string
  readonly deviceId: string
  /** Who said they are at the device; null: not said. */
  readonly personId: string | null
  /** What it was, in words: "Finish Bed the posts". Shown in history and by undo. */
  readonly label: string
  /** Computed by the program, not by a person: not undone by z. */
  readonly quiet: boolean
  /** Which life of the refit it was made for; another one by now is refused. Absent: not said. */
  readonly epoch?: string
  /** Changes of the same window that it was made on top of: what they did is no clash. */
  readonly basedOn?: readonly string[]
  readonly items: readonly ChangeItem[]
}

/** What became of a row: the whole row, or null when it is gone. */
export interface RowChange {
  readonly entity: EntityName
  readonly id: string
  readonly row: Readonly<Record<string, unknown>> | null
}

/** A computed row that changed: large, and fetched by whoever wants it. */
interface RowNumber {
  readonly entity: EntityName
  readonly id: string
  readonly version: number
}

/** A change as everybody hears of it. */
export interface Heard {
  readonly seq: number
  /** Which life of the refit it belongs to: another when it is brought in anew. */
  readonly epoch: string
  readonly changeId: string
  readonly deviceId: string
  readonly label: string
  readonly rows: readonly RowChange[]
  /** Computed rows that changed, without what is in them. */
  readonly numbers: readonly RowNumber[]
}

/** A field where two people said different things. */
export interface Clash {
  readonly entity: EntityName
  readonly id: string
  readonly field: string
  readonly label: string
  readonly yours: unknown
  readonly theirs: unknown
  readonly theirVersion: number
}

/** The one shape of everything that goes wrong. */
export interface Problem {
  /** For programs: 'invalid', 'clash', 'notFound', 'tooLarge' and the like. */
  readonly code: string
  /** For people: what is wrong and what to do. */
  readonly message: string
  readonly fields: readonly FieldProblem[]
  readonly clashes?: readonly Clash[]
}

export interface FieldProblem {
  /** 'entity.field' or the row's place in a list. */
  readonly field: string
  readonly message: string
}

/** The label of a field, for sentences. */
export const fieldLabel = (entity: EntityName, field: string): string =>
  (entities[entity] as Fields)[field]?.label ?? field

/**
 * One operation a row, in the order in which rows came first: what is patched after it was made or patched goes into
 * that. Rows that are taken away are not touched before; another order of things is the caller's mistake.
 */
export function oncePerRow(items: readonly ChangeItem[]): ChangeItem[] {
  const kept = new Map<string, ChangeItem>()
  for (const item of items) {
    const key = `${item.entity} ${item.id}`
    const before = kept.get(key)
    if (before && before.op !== 'delete' && item.op === 'patch')
      kept.set(key, { ...before, patch: { ...before.patch, ...item.patch } })
    else kept.set(key, item)
  }
  return [...kept.values()]
}
