/** Refit files that were written before a kind of row changed. */
import { describe, expect, it } from 'vitest'
import { documentChanges, documentProblem } from './refitFile'
import type { RefitDocument } from './refitFile'

describe('a refit file of version 1', () => {
  const old = {
    format: 'inch-ahead-refit',
    version: 1,
    refitId: 'r',
    rows: {
      refit: [{ id: 'r', name: 'Old one' }],
      part: [
        { id: 'a', name: 'Bolts', supplier: 'By post' },
        { id: 'b', name: 'Nuts', supplier: ' by Post ' },
        { id: 'c', name: 'Paste', supplier: '' },
      ],
    },
  } as unknown as RefitDocument

  it('has its suppliers as rows, one for each name, and nothing that is not known now', () => {
    expect(documentProblem(old)).toBe('')
    const made = documentChanges(old, 'new')
    const of = (entity: string) =>
      made.flatMap((one) =>
        one.op === 'create' && one.entity === entity ? [{ id: one.id, ...one.patch }] : [],
      )
    const [supplier, ...more] = of('supplier')
    expect([supplier, more]).toMatchObject([{ name: 'By post' }, []])
    expect(of('part')).toEqual([
      { id: 'a', name: 'Bolts', supplierId: supplier?.id },
      { id: 'b', name: 'Nuts', supplierId: supplier?.id },
      { id: 'c', name: 'Paste' },
    ])
  })

  it('of today is left as it is', () => {
    const now = { ...old, version: 2, rows: { ...old.rows, part: [{ id: 'a', name: 'Bolts' }] } }
    const made = documentChanges(now as unknown as RefitDocument, 'new')
    expect(made.map((one) => one.entity)).toEqual(['refit', 'part'])
  })
})
