import { entityNames, kinds } from '../model/entities'
import type { RefitRows } from '../model/refit'

/** Rises when the planner itself makes something else of the same rows. */
const planMake = 7

/** Kinds of rows a plan depends on. */
const inputs = entityNames.filter((name) => kinds[name].planInput)

/**
 * Fingerprint of all that a plan depends on: FNV-1a, 64 bits as two halves, over ids and versions.
 * Not for secrecy; two refits that differ give the same with a chance of 1 in 2^64.
 */
export function inputsHash(rows: RefitRows): string {
  let low = 0x811c9dc5
  let high = 0x9747b28c
  const mix = (text: string) => {
    for (let i = 0; i < text.length; i++) {
      low = Math.imul(low ^ text.charCodeAt(i), 0x01000193)
      high = Math.imul(high ^ text.charCodeAt(i), 0x85ebca6b)
    }
  }
  mix(`${planMake};`)
  for (const kind of inputs)
    for (const row of [...rows[kind]].sort((a, b) => (a.id < b.id ? -1 : 1)))
      mix(`${kind} ${row.id} ${row.version};`)
  return (low >>> 0).toString(16).padStart(8, '0') + (high >>> 0).toString(16).padStart(8, '0')
}

/** True when a plan of the one is a plan of the other: all that it depends on is equal, whatever the versions. */
export function sameInputs(a: RefitRows, b: RefitRows): boolean {
  return inputs.every((kind) => {
    if (a[kind] === b[kind]) return true
    if (a[kind].length !== b[kind].length) return false
    const others = new Map<string, unknown>(b[kind].map((row) => [row.id, row]))
    return a[kind].every((row) => {
      const other = others.get(row.id)
      return row === other || (other !== undefined && contentOf(row) === contentOf(other))
    })
  })
}

const contentOf = (row: unknown): string => {
  const fields = Object.entries(row as Record<string, unknown>).filter(
    ([name, value]) => name !== 'version' && value !== undefined,
  )
  return JSON.stringify(fields.sort(([one], [other]) => (one < other ? -1 : 1)))
}
