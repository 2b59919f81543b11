import type { Problem } from '#core/model/changes'

/** An answer other than what was asked for: an HTTP status and the one problem shape. */
export class Trouble extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.message)
    this.name = 'Trouble'
  }
}
