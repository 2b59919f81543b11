/** Heights within a board, px from the top of its lane. */
export const seamHeight = 6
/** A board that the rope runs through is so much taller. */
const ropeTall = 5

/** Height of a board. */
export const boardTall = (board: number, binding: boolean): number =>
  board + (binding ? ropeTall : 0)

/** Middle of a board's seam. */
export const seamMiddle = (board: number, binding: boolean): number =>
  boardTall(board, binding) - seamHeight / 2

const [secondLine, underLine] = [15, 3.5]

/** Baseline of the words on a board; `two`: of the first of two lines. */
export const wordsLine = (board: number, two = false): number =>
  board - seamHeight - underLine - (two ? secondLine : 0)
