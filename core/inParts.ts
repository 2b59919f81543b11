/** Work that can be left between two of its parts; each tells how much of it is behind, 0 to 1. */
export type InParts<Result> = Generator<number, Result>

/** Does all parts at once. */
export function atOnce<Result>(parts: InParts<Result>): Result {
  for (;;) {
    const part = parts.next()
    if (part.done) return part.value
  }
}
