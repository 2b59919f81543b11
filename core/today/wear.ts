/** What is worn and kept off on a day: each caution once, with who and when. */
import type { Operation } from '../model/words'
import { usualCaution } from '../plan/facts'
import type { DayLine } from './dayLine'

/** The mark by which a caution is known at its step. */
export type WearMark = 'mask' | 'glove' | 'flame' | 'hand'

const masks: readonly Operation[] = ['grind', 'fair', 'cut']
const gloves: readonly Operation[] = ['laminate', 'fill', 'bed', 'antifoul']
const flames: readonly Operation[] = ['prime', 'barrier', 'paint', 'varnish', 'weld']

/** The mark of an operation's usual caution; null: it has none. */
export function wearMark(operation: Operation): WearMark | null {
  if (usualCaution(operation) === '') return null
  if (masks.includes(operation)) return 'mask'
  if (gloves.includes(operation)) return 'glove'
  return flames.includes(operation) ? 'flame' : 'hand'
}

/** A caution of the day. */
export interface Wear {
  readonly mark: WearMark
  readonly text: string
  readonly from: number
  readonly to: number
  readonly personIds: readonly string[]
}

/** The usual cautions of a day's lines, each once, from the first step that asks for it to the last. */
export function wearOf(lines: readonly DayLine[]): Wear[] {
  const found = new Map<string, Wear>()
  for (const line of lines) {
    const mark = line.step ? wearMark(line.step.operation) : null
    if (!line.step || !mark) continue
    const text = usualCaution(line.step.operation)
    const known = found.get(text)
    found.set(text, {
      mark,
      text,
      from: Math.min(known?.from ?? Infinity, line.from),
      to: Math.max(known?.to ?? 0, line.to),
      personIds: [...new Set([...(known?.personIds ?? []), ...line.personIds])],
    })
  }
  return [...found.values()].sort((a, b) => a.from - b.from)
}
