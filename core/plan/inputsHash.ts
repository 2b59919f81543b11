import { entities, entityNames, kinds } from '../model/entities'
import type { EntityName } from '../model/entities'
import type { Fields } from '../model/field'
import type { RefitRows } from '../model/refit'

/** Rises when the planner itself makes something else of the same rows. */
const planMake = 7

/** A field's name, and the value it begins with. */
type Read = readonly [name: string, initial: unknown]

/** Kinds of rows a plan depends on, with the fields of theirs that it reads. */
const inputs: readonly (readonly [EntityName, readonly Read[]])[] = entityNames
  .filter((name) => kinds[name].planInput)
  .map((name) => [
    name,
    Object.entries(entities[name] as Fields)
      .filter(([, field]) => !field.aside)
      .map(([field, { initial }]) => [field, initial ?? null] as const),
  ])

/** FNV-1a, 64 bits as two halves. */
class Mark {
  private low = 0x811c9dc5
  private high = 0x9747b28c

  mix(text: string): void {
    let { low, high } = this
    for (let i = 0; i < text.length; i++) {
      const code = text.charCodeAt(i)
      low = Math.imul(low ^ code, 0x01000193)
      high = Math.imul(high ^ code, 0x85ebca6b)
    }
    this.low = low
    this.high = high
  }
  get said(): string {
    const half = (part: number) => (part >>> 0).toString(16).padStart(8, '0')
    return half(this.low) + half(this.high)
  }
}

/** Rows are never changed in place: what was read off one holds for as long as it is there. */
const marks = new WeakMap<object, string>()

/** What a plan reads of a row, as far as it is not as it began: most of a row is. */
function readOf(row: object, fields: readonly Read[]): string {
  let read = ''
  for (const [name, initial] of fields) {
    const value = (row as Record<string, unknown>)[name] ?? null
    if (value === initial) continue
    read += `${name}=${typeof value === 'number' ? value : JSON.stringify(value)},`
  }
  return read
}

function markOf(row: object, fields: readonly Read[]): string {
  const known = marks.get(row)
  if (known !== undefined) return known
  const mark = new Mark()
  mark.mix(readOf(row, fields))
  marks.set(row, mark.said)
  return mark.said
}

/**
 * Fingerprint of all that a plan reads, 64 bits in hex: of the rows and their values, whatever their versions. What
 * stands beside the plan (a note, a caution, where a part was seen) does not move it.
 * Not for secrecy; two refits that differ give the same with a chance of 1 in 2^64.
 */
export function inputsHash(rows: RefitRows): string {
  const mark = new Mark()
  mark.mix(`${planMake};`)
  for (const [kind, fields] of inputs)
    for (const row of [...rows[kind]].sort((a, b) => (a.id < b.id ? -1 : 1)))
      mark.mix(`${kind} ${row.id} ${markOf(row, fields)};`)
  return mark.said
}

/** True when a plan of the one is a plan of the other: all that it reads is equal. */
export function sameInputs(a: RefitRows, b: RefitRows): boolean {
  return inputs.every(([kind, fields]) => {
    if (a[kind] === b[kind]) return true
    if (a[kind].length !== b[kind].length) return false
    const others = new Map<string, object>(b[kind].map((row) => [row.id, row]))
    return a[kind].every((row) => {
      const other = others.get(row.id)
      return row === other || (!!other && readOf(row, fields) === readOf(other, fields))
    })
  })
}
