/** Differences between rows: whatever became of them, applying the difference makes the one of the other. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyRefit, job } from '../testing/build'
import { applyDifference, applyRows, rowsBetween, supposing } from './applyChange'
import type { RefitRows } from './refit'

const byIds = (rows: RefitRows) =>
  Object.fromEntries(
    Object.entries(rows).map(([kind, list]) => [
      kind,
      [...list].sort((a, b) => (a.id < b.id ? -1 : 1)),
    ]),
  )

describe('the difference between rows', () => {
  const some = fc.array(
    fc.record({
      id: fc.integer({ min: 0, max: 5 }).map((n) => `job-${n}`),
      do: fc.constantFrom('create' as const, 'patch' as const, 'delete' as const),
    }),
    { maxLength: 12 },
  )
  it('makes the one of the other, forwards and back', () => {
    fc.assert(
      fc.property(some, some, (first, then) => {
        const begun = emptyRefit()
        job(begun, 'job-0')
        const after = (rows: RefitRows, list: typeof first) =>
          list.reduce((now, one, at) => {
            const there = now.job.find((row) => row.id === one.id)
            if ((one.do === 'create') === (there !== undefined)) return now
            const base = { entity: 'job' as const, id: one.id }
            return supposing(now, [
              one.do === 'create'
                ? { ...base, op: 'create', patch: { title: `new ${at}`, order: 'b' } }
                : one.do === 'patch'
                  ? { ...base, op: 'patch', baseVersion: 1, patch: { title: `title ${at}` } }
                  : { ...base, op: 'delete', baseVersion: 1 },
            ])
          }, rows)
        const one = after(begun, first)
        const other = after(one, then)
        expect(byIds(applyDifference(one, rowsBetween(one, other)))).toEqual(byIds(other))
        // Back to lower versions, too: a supposition is taken back.
        expect(byIds(applyDifference(other, rowsBetween(other, one)))).toEqual(byIds(one))
      }),
    )
  })

  it('is nothing between rows and themselves, and one row after one edit', () => {
    const rows = emptyRefit()
    job(rows, 'deck')
    expect(rowsBetween(rows, { ...rows })).toEqual([])
    const edited = supposing(rows, [
      { op: 'patch', entity: 'job', id: 'deck', baseVersion: 1, patch: { title: 'Deck' } },
    ])
    expect(rowsBetween(rows, edited)).toHaveLength(1)
  })
})

it('an older row that was heard late does not replace a newer one', () => {
  const rows = emptyRefit()
  const row = job(rows, 'deck', { title: 'Old' })
  const newer = applyRows(rows, [
    { entity: 'job', id: 'deck', row: { ...row, title: 'New', version: 3 } },
  ])
  const late = applyRows(newer, [
    { entity: 'job', id: 'deck', row: { ...row, title: 'Late', version: 2 } },
  ])
  expect(late.job[0]?.title).toBe('New')
})
