/** Changes of the same row folded into one. */
import { expect, it } from 'vitest'
import { oncePerRow } from './changes'
import type { ChangeItem } from './changes'

const patch = (id: string, baseVersion: number, fields: object): ChangeItem => ({
  op: 'patch',
  entity: 'part',
  id,
  baseVersion,
  patch: { ...fields },
})

it('folds what is patched into what was made or patched before, on the version it was based on', () => {
  const made: ChangeItem = {
    op: 'create',
    entity: 'part',
    id: 'a',
    patch: { name: 'A', unit: 'm' },
  }
  const gone: ChangeItem = { op: 'delete', entity: 'part', id: 'c', baseVersion: 3 }
  expect(
    oncePerRow([
      made,
      patch('b', 4, { unit: 'm', size: '1' }),
      patch('a', 1, { unit: 'L' }),
      patch('b', 5, { size: '2' }),
      // Another kind of row with the same id is another row.
      { ...made, entity: 'stock' },
      patch('c', 3, { size: '3' }),
      gone,
    ]),
  ).toEqual([
    { ...made, patch: { name: 'A', unit: 'L' } },
    patch('b', 4, { unit: 'm', size: '2' }),
    { ...made, entity: 'stock' },
    gone,
  ])
})
