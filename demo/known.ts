/** The demo written once in a process: its own plan of a week ago takes longer than all of its rows. */
import type { RefitRows } from '#core/model/refit'
import { sableWren } from './sableWren'

const written = new Map<string, RefitRows>()

/** The demo of this month for tests, each time a copy that may be changed. */
export function knownDemo(refitId = 'r'): RefitRows {
  const rows = written.get(refitId) ?? sableWren(refitId)
  written.set(refitId, rows)
  return structuredClone(rows)
}
