/** Frozen, then changed: what a part was when it was ordered, and what it has become since. */
import { fieldLabel } from '../model/changes'
import type { Row } from '../model/entities'
import type { RefitRows } from '../model/refit'

type Part = Row<'part'>

/** What a supplier is told of a part. */
const told = ['quantity', 'unit', 'specification', 'hand', 'metal', 'size'] as const

/** A part as it is, to be kept with its order. */
export const asNow = (part: Part): Record<string, unknown> =>
  Object.fromEntries(told.map((field) => [field, part[field]]))

export interface Changed {
  readonly part: Part
  /** "Size 35 × 48, now 35 × 50", a change each. */
  readonly said: readonly string[]
}

const word = (value: unknown): string =>
  value === '' || value === 'none' ? 'not said' : String(value)

/** Parts on an order or here that are no longer what was ordered. Orders of before this was kept say nothing. */
export function changedSince(
  rows: Pick<RefitRows, 'part' | 'lineWant' | 'purchaseLine'>,
): Changed[] {
  const parts = new Map(rows.part.map((part) => [part.id, part]))
  return rows.lineWant.flatMap(({ partId, asOrdered }): Changed[] => {
    const part = parts.get(partId)
    if (!part || (part.state !== 'ordered' && part.state !== 'arrived')) return []
    const said = told.flatMap((field) => {
      const [was, now] = [asOrdered[field], part[field]]
      return was === undefined || was === now
        ? []
        : [`${fieldLabel('part', field)} ${word(was)}, now ${word(now)}`]
    })
    return said.length === 0 ? [] : [{ part, said }]
  })
}
