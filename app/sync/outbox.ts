/** Changes that wait to be sent, in their order. Pure: what is kept where is the machine's business. */
import { supposing } from '#core/model/applyChange'
import type { Change, ChangeItem, Clash } from '#core/model/changes'
import { fieldLabel } from '#core/model/changes'
import { entityWord } from '#core/model/references'
import type { RefitRows } from '#core/model/refit'

type Plain = Readonly<Record<string, unknown>>

const rowOf = (rows: RefitRows, { entity, id }: ChangeItem): Plain | null =>
  (rows[entity] as unknown as readonly Plain[]).find((row) => row.id === id) ?? null

const touches = (change: Change, item: ChangeItem): boolean =>
  change.items.some((one) => one.entity === item.entity && one.id === item.id)

/** Rows as they will be when all that waits has gone through. */
export const withWaiting = (rows: RefitRows, waiting: readonly Change[]): RefitRows =>
  waiting.reduce((supposed, change) => supposing(supposed, change.items), rows)

/**
 * A change made on rows as they will be, told on what it really rests: versions that the server knows, and the
 * waiting changes that come before it. What those do is then no clash with it.
 */
export function onTopOf(change: Change, waiting: readonly Change[], confirmed: RefitRows): Change {
  const before = waiting.filter((one) => change.items.some((item) => touches(one, item)))
  if (before.length === 0) return change
  return {
    ...change,
    basedOn: before.map((one) => one.changeId),
    items: change.items.map((item) =>
      item.op === 'create' || !before.some((one) => touches(one, item))
        ? item
        : { ...item, baseVersion: Number(rowOf(confirmed, item)?.version ?? 1) },
    ),
  }
}

/** The same change on rows of another life, whose versions have nothing to do with those it was made on. */
export const rebased = (items: readonly ChangeItem[], rows: RefitRows): ChangeItem[] =>
  items.map((item) =>
    item.op === 'create'
      ? item
      : { ...item, baseVersion: Number(rowOf(rows, item)?.version ?? item.baseVersion) },
  )

/** The same change on top of what its maker was shown of others, and of nothing newer: that is asked about again. */
export const onTheirs = (items: readonly ChangeItem[], clashes: readonly Clash[]): ChangeItem[] =>
  items.map((item) => {
    const theirs = clashes.find((one) => one.entity === item.entity && one.id === item.id)
    return item.op === 'create' || !theirs ? item : { ...item, baseVersion: theirs.theirVersion }
  })

/** Fields in which a change differs from rows that came in its place: what is asked about before it is sent again. */
export const differences = (change: Change, rows: RefitRows): Clash[] =>
  change.items.flatMap((item): Clash[] => {
    const row = rowOf(rows, item)
    const base = { entity: item.entity, id: item.id, theirVersion: Number(row?.version ?? 0) }
    if (item.op !== 'patch')
      return [
        {
          ...base,
          field: '',
          label: entityWord[item.entity],
          yours: item.op === 'create' ? (item.patch.title ?? item.patch.name ?? 'new') : null,
          theirs: row?.title ?? row?.name ?? null,
        },
      ]
    return Object.entries(item.patch)
      .filter(([field, value]) => JSON.stringify(value) !== JSON.stringify(row?.[field]))
      .map(([field, yours]) => ({
        ...base,
        field,
        label: fieldLabel(item.entity, field),
        yours,
        theirs: row?.[field] ?? null,
      }))
  })
