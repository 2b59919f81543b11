import type { Span } from './sites'

/** What two ordered lists of spans have in common. */
export function intersect(left: readonly Span[], right: readonly Span[]): readonly Span[] {
  if (left.length === 0 || right.length === 0) return none
  const both: Span[] = []
  for (const a of left)
    for (const b of right) {
      const from = Math.max(a[0], b[0])
      const to = Math.min(a[1], b[1])
      if (to > from) both.push([from, to])
    }
  return both
}

/** Ordered spans without a stretch. */
export function without(spans: readonly Span[], from: number, to: number): readonly Span[] {
  const left: Span[] = []
  for (const span of spans) {
    if (to <= span[0] || from >= span[1]) left.push(span)
    else {
      if (from > span[0]) left.push([span[0], from])
      if (to < span[1]) left.push([to, span[1]])
    }
  }
  return left
}

const none: readonly Span[] = []
