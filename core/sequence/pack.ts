/** Boards into lanes: the first lane from above in which everything of a board has room. */
import type { Board } from './board'

/** A board with its lane, 0 the highest. */
export interface LaidBoard {
  readonly board: Board
  readonly lane: number
}

/** Lanes that boards are laid into one after the other. */
export class Lanes {
  private readonly taken: (readonly [number, number])[][] = []
  readonly laid: LaidBoard[] = []

  get count(): number {
    return this.taken.length
  }

  /** Lays the first of the forms that has room in a lane that stands. False: none has. */
  layInside(forms: readonly Board[]): boolean {
    for (const board of forms) {
      const lane = this.taken.findIndex((spans) =>
        spans.every(([a, b]) => board.right <= a || board.left >= b),
      )
      if (lane < 0) continue
      this.taken[lane]?.push([board.left, board.right])
      this.laid.push({ board, lane })
      return true
    }
    return false
  }

  /** Lays the first of the forms, in a new lane where no form has room in those that stand. */
  lay(forms: readonly Board[]): void {
    const [board] = forms
    if (!board || this.layInside(forms)) return
    this.taken.push([[board.left, board.right]])
    this.laid.push({ board, lane: this.taken.length - 1 })
  }
}
