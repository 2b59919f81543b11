import type { RefitRows } from '../model/refit'
import { sameInputs } from './inputsHash'

/** So many plans are kept: as many as somebody takes back in a row. */
const most = 12

/** Plans of the last while with what they were made of, so that what is taken back gets its plan back. */
export class PlansKept<Plan> {
  private readonly kept: {
    readonly rows: RefitRows
    readonly today: string
    readonly plan: Plan
  }[] = []

  /** The plan that was accepted for these rows on this day. */
  keep(rows: RefitRows, today: string, plan: Plan): void {
    const at = this.kept.findIndex((one) => one.today === today && sameInputs(one.rows, rows))
    if (at >= 0) this.kept.splice(at, 1)
    this.kept.unshift({ rows, today, plan })
    this.kept.splice(most)
  }

  /** The plan accepted for rows of the same content on the same day; null: none is known. */
  of(rows: RefitRows, today: string): Plan | null {
    return this.kept.find((one) => one.today === today && sameInputs(one.rows, rows))?.plan ?? null
  }
}
