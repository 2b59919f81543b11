/** Refit files of an older format, as they would be written today. */
import type { RefitDocument } from './refitFile'

type FileRow = Readonly<Record<string, unknown>>

const named = (row: FileRow): string =>
  typeof row.supplier === 'string' ? row.supplier.trim() : ''

/** Format 1 had the name of a supplier on the part; a supplier is a row of its own since. */
function withSuppliers(document: RefitDocument): RefitDocument {
  const { part = [], supplier = [] } = document.rows
  const ids = new Map<string, string>()
  const made: FileRow[] = []
  const taken = new Set(supplier.map((one) => one.id))
  const parts = part.map((row): FileRow => {
    const { supplier: _, ...kept } = row
    const name = named(row)
    if (name === '') return kept
    const key = name.toLowerCase()
    let id = ids.get(key)
    if (id === undefined) {
      id = `supplier-${ids.size + 1}`
      while (taken.has(id)) id += 'x'
      ids.set(key, id)
      made.push({ id, name })
    }
    return { ...kept, supplierId: id }
  })
  return { ...document, rows: { ...document.rows, part: parts, supplier: [...supplier, ...made] } }
}

/** The document in the format of today. Precondition: it has no problem. */
export const asOfToday = (document: RefitDocument): RefitDocument =>
  document.version < 2 ? withSuppliers(document) : document
