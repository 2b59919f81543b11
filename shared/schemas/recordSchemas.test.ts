/** No record comes in unread: every field that keeps one has its shape written down. */
import { expect, it } from 'vitest'
import { entityNames } from '#core/model/entities'
import { fieldsOf, isComputed } from '#core/model/references'
import { recordSchemas } from './recordSchemas'

it('knows the shape of every record of a row', () => {
  const records = entityNames.flatMap((entity) =>
    fieldsOf(entity).flatMap(([field, { kind }]) =>
      kind === 'record' ? [[entity, field] as const] : [],
    ),
  )
  expect(records.length).toBeGreaterThan(10)
  const unread = records.filter(
    ([entity, field]) => !isComputed(entity) && !recordSchemas[entity]?.[field],
  )
  expect(unread).toEqual([])
})
