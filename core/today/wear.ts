/** What is worn and kept off on a day: each caution once, with who and when. */
import type { Step } from '../model/entities'
import type { Operation } from '../model/words'
import { dustCaution, usualCautions } from '../plan/facts'
import type { DayLine } from './dayLine'

/** The mark by which a caution is known at its step. */
export type WearMark = 'mask' | 'glove' | 'flame' | 'hand'

const masks: readonly Operation[] = ['grind', 'fair', 'cut']
const gloves: readonly Operation[] = ['laminate', 'fill', 'bed', 'antifoul']
const flames: readonly Operation[] = ['prime', 'barrier', 'paint', 'varnish', 'weld']

function markOf(operation: Operation): WearMark {
  if (masks.includes(operation)) return 'mask'
  if (gloves.includes(operation)) return 'glove'
  return flames.includes(operation) ? 'flame' : 'hand'
}

const marked = (step: Step): { readonly text: string; readonly mark: WearMark }[] =>
  usualCautions(step).map((text) => ({
    text,
    mark: text === dustCaution ? 'mask' : markOf(step.operation),
  }))

/** The mark of the first of a step's usual cautions; null: it has none. */
export const wearMark = (step: Step): WearMark | null => marked(step)[0]?.mark ?? null

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
  for (const { step, from, to, personIds } of lines) {
    if (!step) continue
    for (const { text, mark } of marked(step)) {
      const known = found.get(text)
      found.set(text, {
        mark,
        text,
        from: Math.min(known?.from ?? Infinity, from),
        to: Math.max(known?.to ?? 0, to),
        personIds: [...new Set([...(known?.personIds ?? []), ...personIds])],
      })
    }
  }
  return [...found.values()].sort((a, b) => a.from - b.from)
}
