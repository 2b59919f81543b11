/** For so long what was worked out of rows that nobody changed is as good as worked out anew. */
const freshMs = 10 * 60_000

/**
 * Answers about the rows as they stand, kept beside them: a view that is opened again while nothing changed has them at
 * once. Other rows have none.
 */
export class KeptAnswers<Answer> {
  private readonly kept = new WeakMap<
    object,
    Map<string, { readonly at: number; readonly answer: Answer }>
  >()

  /** What was kept of a question; undefined: nothing, or too long ago. `now`: UTC ms. */
  of(rows: object, question: string, now: number): Answer | undefined {
    const one = this.kept.get(rows)?.get(question)
    return one && Math.abs(now - one.at) < freshMs ? one.answer : undefined
  }

  keep(rows: object, question: string, now: number, answer: Answer): void {
    const own = this.kept.get(rows) ?? new Map()
    this.kept.set(rows, own.set(question, { at: now, answer }))
  }
}
