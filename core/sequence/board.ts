/** A plank as a board with its words: how wide everything is, before it has a lane. */
import { widthOf } from './measure'
import type { PlankFlag } from './mark'
import type { Plank } from './planks'
import type { Ruler } from './ruler'
import { xOf } from './ruler'

/** What a dense drawing leaves out of its boards. */
export interface BoardStyle {
  readonly nameSize: number
  readonly tile: boolean
  readonly slackDays: boolean
  readonly slackLine: boolean
  /** Mends stand beside their flags. */
  readonly mends: boolean
  readonly shortNames: boolean
}

/** A board placed along time, drawing units. Words may stand inside it, run past its end, or before it. */
export interface Board {
  readonly plank: Plank
  /** A second line of words; '': none. */
  readonly sub: string
  /** Number of its knot where no rope is drawn; '': none. */
  readonly badge: string
  /** Its ends, seen part only. */
  readonly x0: number
  readonly x1: number
  readonly tornLeft: boolean
  readonly tornRight: boolean
  readonly words: string
  readonly wordsX: number
  readonly wordsEnd: number
  readonly tileX: number | null
  /** Right edge of the words beyond the board: no line may meet them there; null: they stand inside. */
  readonly openFrom: number | null
  readonly flag: PlankFlag | null
  readonly flagX: number
  readonly mendX: number
  readonly mendEnd: number
  readonly slack: string
  readonly slackX: number
  /** Drooping line of slack; null: none. */
  readonly droop: readonly [number, number] | null
  /** Everything of it, with the air round it. */
  readonly left: number
  readonly right: number
}

const tileWidth = 17
const pad = 4
/** Least width of a board: a tick of work is seen. */
const leastBoard = 5
const [flagWidth, flagGap, plateText, platePad] = [15, 4, 13, 6]
const slackSize = 13
/** Of second lines. */
export const subSize = 13
/** A droop is at most so long, however long the slack. */
const mostDroop = 38
const air = 5
/** A knot of the rope stands out so far to the left of its board. */
const knotOut = 12

/** Words that could stand on a plank, the fullest first. */
export const namesOf = (plank: Plank, style: BoardStyle): string[] =>
  style.shortNames && plank.short !== '' ? [plank.short, plank.name] : [plank.name]

interface Words {
  readonly x: number
  readonly end: number
  readonly tileX: number | null
  readonly before: boolean
}

/** Where words stand: on the board and past its end, else in front of it. Null: neither has room. */
function wordsOf(
  text: string,
  style: BoardStyle,
  ruler: Ruler,
  [x0, x1]: readonly [number, number],
  behind: number,
  sub: string,
  lead: number,
): Words | null {
  const tile = style.tile ? tileWidth + pad : 0
  const width = Math.max(widthOf(text, style.nameSize), widthOf(sub, subSize, 500))
  const end = x0 + pad + tile + width
  if (end + behind <= ruler.right || end + pad <= x1)
    return { x: x0 + pad + tile, end, tileX: style.tile ? x0 + 3 : null, before: false }
  const start = x0 - Math.max(knotOut, lead) - width - tile - behind
  if (start < ruler.left) return null
  return {
    x: start + tile,
    end: start + tile + width,
    tileX: style.tile ? start : null,
    before: true,
  }
}

/** What a plank has besides its name. */
export interface BoardExtras {
  readonly flag: PlankFlag | null
  /** The rope runs on to here along its lane; null: it is not of the chain, or none is drawn. */
  readonly ropeTo: number | null
  readonly sub: string
  readonly badge: string
  /** Kept free in front of its seam, px. */
  readonly lead: number
}

/** A plank as a board with one of its names; null: the name has no room on the drawing. */
export function boardOf(
  plank: Plank,
  text: string,
  style: BoardStyle,
  ruler: Ruler,
  { flag, ropeTo, sub, badge, lead }: BoardExtras,
): Board {
  const x0 = Math.min(xOf(ruler, plank.from), ruler.right - leastBoard)
  const seamEnd = Math.min(ruler.right, Math.max(x0 + leastBoard, xOf(ruler, plank.to)))
  const x1 = seamEnd
  const days = plank.binding ? 0 : (plank.slackDays ?? 0)
  const wanted = style.slackDays && days > 0 ? `${days} d` : ''
  const slackWidth = wanted === '' ? 0 : widthOf(wanted, slackSize, 500) + 6
  const mendText =
    flag && style.mends && flag.mend !== '' ? widthOf(flag.mend, plateText) + 2 * platePad : 0
  const badgeWidth = badge === '' ? 0 : widthOf(badge, plateText) + 16
  const behind =
    badgeWidth + (flag ? flagGap + flagWidth : 0) + (mendText > 0 ? flagGap + mendText : 0)
  const droopLength =
    style.slackLine && days > 0
      ? Math.min(mostDroop, Math.max(8, xOf(ruler, plank.to + days * 86_400_000) - x1))
      : 0
  const words = wordsOf(text, style, ruler, [x0, x1], behind + air, sub, lead)
  const placed = words ?? { x: x0, end: Infinity, tileX: null, before: false }
  const flagX = placed.end + badgeWidth + flagGap
  const mendX = flagX + flagWidth + flagGap
  const wordsRight = placed.end + behind
  const runsOver = !placed.before && wordsRight + pad > x1
  const droopFrom = x1
  const droop: [number, number] | null =
    droopLength > 0 && x1 + droopLength <= ruler.right ? [droopFrom, x1 + droopLength] : null
  const slackAt = Math.max(droop ? droop[1] + 4 : x1 + 4, placed.before ? 0 : wordsRight + 6)
  // Where the drawing ends there is nothing for it to be slack to.
  const slack = slackAt + slackWidth - 6 <= ruler.right ? wanted : ''
  const slackX = slackAt
  const ends = [
    x1,
    placed.before ? x1 : wordsRight,
    droop?.[1] ?? 0,
    slack === '' ? 0 : slackX + slackWidth - 6,
    ropeTo === null ? 0 : ropeTo + knotOut,
  ]
  return {
    plank,
    sub,
    badge,
    x0,
    x1,
    tornLeft: plank.from < ruler.from,
    tornRight: plank.to > ruler.to,
    words: text,
    wordsX: placed.x,
    wordsEnd: placed.end,
    tileX: placed.tileX,
    openFrom: runsOver ? Math.min(x1, placed.x - 2) : null,
    flag,
    flagX,
    mendX,
    mendEnd: mendText > 0 ? mendX + mendText : mendX,
    slack,
    slackX,
    droop,
    left:
      Math.min(
        x0 - (ropeTo === null ? Math.max(1, lead) : knotOut),
        (placed.tileX ?? placed.x) - 1,
      ) - air,
    right: Math.max(...ends) + air,
  }
}

/** True when all of a board lies on the drawing. */
export const fits = (board: Board, ruler: Ruler): boolean =>
  Number.isFinite(board.wordsEnd) && board.right - air <= ruler.right + 1
