import { entities, entityNames } from '../model/entities'
import type { RefitRows } from '../model/refit'

/** Fields that hold sums of money, by kind of row: those whose name says minor units. */
const sumFields = entityNames.map(
  (entity) =>
    [entity, Object.keys(entities[entity]).filter((field) => field.endsWith('Minor'))] as const,
)

/** True when any sum of money other than nothing is written down in a refit. */
export const hasSums = (rows: RefitRows): boolean =>
  sumFields.some(([entity, fields]) =>
    (rows[entity] as unknown as readonly Readonly<Record<string, unknown>>[]).some((row) =>
      fields.some((field) => Number(row[field] ?? 0) !== 0),
    ),
  )
