/** Work that can be left between two of its parts; each tells how much of it is behind, 0 to 1. */
export type InParts<Result> = Generator<number, Result>

/** Parts of a work that go from one share to another of a larger one. */
export function* asShare<Result>(
  parts: InParts<Result>,
  from: number,
  to: number,
): InParts<Result> {
  for (;;) {
    const part = parts.next()
    if (part.done) return part.value
    yield from + (to - from) * part.value
  }
}

/** Does all parts at once. */
export function atOnce<Result>(parts: InParts<Result>): Result {
  for (;;) {
    const part = parts.next()
    if (part.done) return part.value
  }
}
