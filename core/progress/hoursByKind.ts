/** Hours of work by person and kind of work, for chalk strokes. */
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Operation } from '../model/words'
import { liveHours } from '../plan/liveHours'

/** Kinds of work that are counted together. */
const groups: readonly { readonly name: string; readonly of: readonly Operation[] }[] = [
  { name: 'Strip, clean', of: ['strip', 'clean', 'grind', 'move', 'setUp', 'packUp'] },
  { name: 'Fit, cut, bed', of: ['fit', 'cut', 'drill', 'bed', 'close', 'finish', 'weld'] },
  { name: 'Laminate, fill', of: ['laminate', 'fill', 'fair'] },
  { name: 'Look, test, label', of: ['survey', 'test', 'label'] },
  { name: 'Wires, hoses', of: ['wire', 'plumb'] },
  { name: 'Coats', of: ['prime', 'barrier', 'antifoul', 'paint', 'varnish'] },
]

export interface KindHours {
  readonly name: string
  /** By person id; people without any are left out. */
  readonly hours: ReadonlyMap<string, number>
}

/** Every live entry is in one group; the last two hold other work, and the way and set-up. Groups nobody worked in are left out. */
export function hoursByKind(rows: Pick<RefitRows, 'hoursEntry' | 'step'>): KindHours[] {
  const steps = byId(rows.step)
  const sums = new Map<string, Map<string, number>>()
  for (const entry of liveHours(rows)) {
    const operation = steps.get(entry.stepId ?? '')?.operation
    const group =
      entry.kind === 'work'
        ? (groups.find((one) => operation && one.of.includes(operation))?.name ?? 'Other work')
        : 'On the way, set-up'
    const people = sums.get(group) ?? new Map<string, number>()
    people.set(entry.personId, (people.get(entry.personId) ?? 0) + entry.hours)
    sums.set(group, people)
  }
  return [...groups.map((one) => one.name), 'Other work', 'On the way, set-up'].flatMap((name) => {
    const hours = sums.get(name)
    return hours ? [{ name, hours }] : []
  })
}
