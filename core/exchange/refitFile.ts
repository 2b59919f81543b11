/** The refit file's inner document: every row of every kind, with a format number. docs/refit-file.md */
import type { ChangeItem } from '../model/changes'
import { entities, entityNames } from '../model/entities'
import type { EntityName } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { asOfToday } from './olderFiles'

const refitFormat = 'inch-ahead-refit'
const refitFormatVersion = 2

/** Most a refit file has: what a zip of the plain kind can hold. Both ways, so that what is taken out can be brought in. */
export const mostFileBytes = 4e9

/** A file that rows name and that is not there. */
export interface MissingFile {
  readonly hash: string
  /** Caption or title. */
  readonly name: string
}

export interface RefitDocument {
  readonly format: typeof refitFormat
  readonly version: number
  /** Which refit it was; a copy brought in as new keeps the ids of its rows and gets another of these. */
  readonly refitId: string
  /** Pictures and documents that were named but not there when the file was written. */
  readonly missing?: readonly MissingFile[]
  readonly rows: { readonly [Name in EntityName]?: readonly Readonly<Record<string, unknown>>[] }
}

/** A refit as a document. Loses nothing but versions, which begin again where it is brought in. */
export const toDocument = (
  refitId: string,
  rows: RefitRows,
  missing: readonly MissingFile[] = [],
): RefitDocument => ({
  format: refitFormat,
  version: refitFormatVersion,
  refitId,
  ...(missing.length > 0 ? { missing } : {}),
  rows: Object.fromEntries(
    entityNames.map((entity) => [
      entity,
      // By id, so that the same refit makes the same file.
      [...(rows[entity] as readonly { id: string; version: number }[])]
        .sort((a, b) => (a.id < b.id ? -1 : 1))
        .map(({ version: _, ...kept }) => kept),
    ]),
  ),
})

/** What is wrong with a parsed file, as a sentence; '' when it is a document of ours. */
export function documentProblem(value: unknown): string {
  if (typeof value !== 'object' || value === null) return 'This is not a refit file.'
  const document = value as Partial<RefitDocument>
  if (document.format !== refitFormat)
    return 'This is not a refit file of Inch Ahead. Pick the .zip or the refit.json that it wrote.'
  if (typeof document.version !== 'number' || document.version > refitFormatVersion)
    return 'This refit file was written by a newer Inch Ahead. Update the program first.'
  if (typeof document.rows !== 'object' || document.rows === null)
    return 'The refit file has no rows: it is cut off.'
  for (const [entity, rows] of Object.entries(document.rows)) {
    if (!(entity in entities)) return `The refit file holds “${entity}”, which is not known here.`
    if (!Array.isArray(rows) || rows.some((row) => typeof row !== 'object' || row === null))
      return `The list of ${entity} in the refit file is broken.`
  }
  return document.rows.refit?.length === 1 ? '' : 'The refit file must hold one refit.'
}

/** The operations that bring a document in under a refit id. Precondition: it has no problem. */
export function documentChanges(document: RefitDocument, refitId: string): ChangeItem[] {
  const { rows } = asOfToday(document)
  return entityNames.flatMap((entity) =>
    (rows[entity] ?? []).map((row): ChangeItem => {
      const { id, ...patch } = row as { id: string }
      return { op: 'create', entity, id: entity === 'refit' ? refitId : id, patch }
    }),
  )
}
