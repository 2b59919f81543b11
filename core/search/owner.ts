import type { EntityName, Row } from '../model/entities'
import type { RefitRows } from '../model/refit'

/** What a row may belong to, the nearest first, and what that is called. */
const owners = [
  ['sheetId', 'asBuiltSheet'],
  ['stepId', 'step'],
  ['jobId', 'job'],
  ['findingId', 'finding'],
  ['bagId', 'bag'],
  ['trialId', 'trial'],
  ['decisionId', 'decision'],
] as const

/** Title of what a row is part of: the sheet of a line, the job of a step; '': it stands by itself. */
export function ownerOf(row: Row<EntityName>, rows: RefitRows): string {
  const refs = row as unknown as Readonly<Record<string, unknown>>
  for (const [field, entity] of owners) {
    const id = refs[field]
    if (typeof id !== 'string') continue
    const owner = (rows[entity] as readonly Row<EntityName>[]).find((one) => one.id === id)
    if (owner) return 'title' in owner ? String(owner.title) : 'what' in owner ? owner.what : ''
  }
  return ''
}
