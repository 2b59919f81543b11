import type { Piece } from '../cutting/skyline'
import type { Random } from '../random'

/** A sheet of whole sizes cut into so many pieces with nothing left over, shuffled: its length is the shortest there is. */
export function perfectCut(random: Random, many: number, width: number, length: number): Piece[] {
  const pieces: Piece[] = [{ w: width, h: length }]
  for (let tries = 0; pieces.length < many && tries < 100_000; tries++) {
    const at = Math.floor(random() * pieces.length)
    const { w, h } = pieces[at] as Piece
    const isAcross = random() < w / (w + h)
    const side = isAcross ? w : h
    if (side < 4) continue
    const cut = 1 + Math.floor(random() * (side - 1))
    const parts = isAcross
      ? [
          { w: cut, h },
          { w: w - cut, h },
        ]
      : [
          { w, h: cut },
          { w, h: h - cut },
        ]
    pieces.splice(at, 1, ...parts)
  }
  for (let at = pieces.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1))
    const piece = pieces[at] as Piece
    pieces[at] = pieces[other] as Piece
    pieces[other] = piece
  }
  return pieces
}
