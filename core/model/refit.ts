import { entityNames } from './entities'
import type { EntityName, Row } from './entities'

/** A whole refit in memory: every live row by kind. Never mutated by core. */
export type RefitRows = { readonly [Name in EntityName]: readonly Row<Name>[] }

/** A refit with no rows. */
export const emptyRows = (): { [Name in EntityName]: Row<Name>[] } =>
  Object.fromEntries(entityNames.map((name) => [name, []])) as unknown as {
    [Name in EntityName]: Row<Name>[]
  }

/** Rows in their hand-made order: fractional key, then id. */
export const inOrder = <R extends { readonly order: string; readonly id: string }>(
  rows: readonly R[],
): R[] =>
  [...rows].sort((a, b) =>
    a.order < b.order ? -1 : a.order > b.order ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0,
  )

/** Map from id to row. */
export const byId = <R extends { readonly id: string }>(rows: readonly R[]): Map<string, R> =>
  new Map(rows.map((row) => [row.id, row]))

/** Rows gathered under the key that `keyOf` gives; rows without a key are left out. */
export const groupBy = <R, Key extends string = string>(
  rows: readonly R[],
  keyOf: (row: R) => Key | null | undefined,
): Map<Key, R[]> => {
  const groups = new Map<Key, R[]>()
  for (const row of rows) {
    const key = keyOf(row)
    if (key == null) continue
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return groups
}

/** The one place of a kind that stands for it where none is named: the first by id, however the rows arrived. */
export const placeOfKind = (
  rows: Pick<RefitRows, 'place'>,
  kind: Row<'place'>['kind'],
): Row<'place'> | null =>
  rows.place
    .filter((place) => place.kind === kind)
    .reduce<Row<'place'> | null>(
      (first, one) =>
        first && (first.order < one.order || (first.order === one.order && first.id < one.id))
          ? first
          : one,
      null,
    )
