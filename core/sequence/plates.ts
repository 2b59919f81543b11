/** Where words leave their board: a plate in the ground's colour hides what lies under them. */
import type { Board } from './board'
import type { LevelLayout } from './fit'
import { wordsLine } from './lanes'

/** A board with the top of its lane. */
export interface PlacedBoard {
  readonly board: Board
  readonly level: LevelLayout
  readonly lane: number
  readonly top: number
}

/** All boards of a drawing, level by level. */
export const placedBoards = (levels: readonly LevelLayout[]): PlacedBoard[] =>
  levels.flatMap((level) =>
    level.laid.flatMap(({ board, lane }) => {
      const track = level.lanes[lane]
      return track ? [{ board, level, lane, top: level.y + track.y }] : []
    }),
  )

export interface Plate {
  readonly key: string
  readonly x: number
  readonly end: number
  readonly y: number
  readonly tall: number
}

/** Plates of the boards whose words do not stand on them. */
export function platesOf(boards: readonly PlacedBoard[], boardHeight: number): Plate[] {
  return boards.flatMap(({ board, top }): Plate[] => {
    const before = board.wordsEnd < board.x0
    if (board.words === '' || (board.openFrom === null && !before)) return []
    const slackEnd = board.slack !== '' && board.slackX > board.wordsEnd ? board.right - 4 : 0
    return [
      {
        key: board.plank.key,
        x: before ? (board.tileX ?? board.wordsX) - 2 : Math.max(board.x1 + 1, board.x0),
        end: Math.max(board.wordsEnd + 3, board.flag ? board.mendEnd + 3 : 0, slackEnd),
        y: top,
        tall: wordsLine(boardHeight) + 3,
      },
    ]
  })
}
