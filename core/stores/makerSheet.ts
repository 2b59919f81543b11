/** A sheet for a maker: spans, what is missing on it, how it stands when it comes back. */
import type { Row } from '../model/entities'
import { counted } from '../units/counted'

type Sheet = Row<'makerSheet'>
type Item = Row<'makerItem'>

/** Millimetres from each piece to the next, in their order; null where one of the two has no distance. */
export const spansMm = (items: readonly Item[]): (number | null)[] =>
  items.slice(1).map((item, index) => {
    const before = items[index]?.atMm ?? null
    return item.atMm === null || before === null ? null : Math.round((item.atMm - before) * 10) / 10
  })

/** What the maker would have to ask, a sentence each; none: it can go out. */
export function asks(sheet: Sheet, items: readonly Item[]): string[] {
  const marks = (found: readonly Item[]) => found.map((one) => one.mark).join(', ')
  const without = (field: 'atMm' | 'heightMm' | 'leanDeg') =>
    items.filter((one) => one[field] === null)
  const list: string[] = []
  if (items.length === 0) list.push('Nothing is on it yet.')
  if (sheet.hand === 'none' && sheet.shape === 'posts') list.push('Which side is it for?')
  if (sheet.material.trim() === '') list.push('Of what, and finished how?')
  if (sheet.shape === 'posts') {
    if (sheet.datum.trim() === '') list.push('What are distances measured from?')
    for (const [field, words] of [
      ['atMm', 'distance'],
      ['heightMm', 'height'],
      ['leanDeg', 'lean'],
    ] as const) {
      const found = without(field)
      if (found.length > 0) list.push(`No ${words} for ${marks(found)}.`)
    }
  } else {
    const found = items.filter((one) => one.size.trim() === '')
    if (found.length > 0) list.push(`No size for ${marks(found)}.`)
  }
  return list
}

const checks = ['count', 'handed', 'leans'] as const

/** How a sheet stands that came back. */
export interface SheetChecked {
  readonly wrong: readonly Item[]
  /** Pieces of which something was not looked at. */
  readonly open: readonly Item[]
  readonly said: string
}

export function sheetChecked(items: readonly Item[]): SheetChecked {
  const wrong = items.filter((one) => checks.some((check) => one[check] === 'wrong'))
  const open = items.filter(
    (one) => !wrong.includes(one) && checks.some((check) => one[check] === 'open'),
  )
  const said =
    wrong.length > 0
      ? `${wrong.map((one) => one.mark).join(', ')} wrong${open.length > 0 ? `, ${open.length} not looked at` : ''}`
      : open.length === items.length
        ? 'not looked at yet'
        : open.length > 0
          ? `${counted(items.length - open.length, 'piece')} right, ${open.length} not looked at`
          : 'all looked at and right'
  return { wrong, open, said }
}

/** The same pieces for the other side: a hand that is said changes, and so does nothing else. */
export const mirrored = (hand: Sheet['hand']): Sheet['hand'] =>
  hand === 'port' ? 'starboard' : hand === 'starboard' ? 'port' : 'none'

/** One piece in the drawing, in its units. */
interface DrawnPiece {
  readonly item: Item
  readonly x: number
  readonly top: number
  readonly topX: number
}
export interface MakerDrawing {
  readonly deckY: number
  readonly pieces: readonly DrawnPiece[]
  /** Between pieces, by index of the left one. */
  readonly spans: readonly {
    readonly x: number
    readonly mm: number | null
    readonly isGate: boolean
  }[]
}

/** Posts along a line, not to scale: distances share the width, heights the height, leans are drawn three times. */
export function makerDrawing(items: readonly Item[], width: number, height: number): MakerDrawing {
  const [side, foot, top] = [30, 34, 34]
  const marks = items.map((one, index) => one.atMm ?? index * 1000)
  const [from, to] = [Math.min(...marks), Math.max(...marks)]
  const tallest = Math.max(1, ...items.map((one) => one.heightMm ?? 600))
  const deckY = height - foot
  const pieces = items.map((item, index): DrawnPiece => {
    const x =
      to > from
        ? side + (((marks[index] ?? 0) - from) / (to - from)) * (width - 2 * side)
        : width / 2
    const tall = ((item.heightMm ?? 600) / tallest) * (deckY - top)
    return {
      item,
      x,
      top: deckY - tall,
      topX: x + Math.tan(((item.leanDeg ?? 0) * 3 * Math.PI) / 180) * 12,
    }
  })
  return {
    deckY,
    pieces,
    spans: spansMm(items).map((mm, index) => ({
      x: ((pieces[index]?.x ?? 0) + (pieces[index + 1]?.x ?? 0)) / 2,
      mm,
      isGate: items[index]?.isGateNext ?? false,
    })),
  }
}
