/** Pieces of a plan as they lie. */
import type { Laid } from '../../../cutting/guillotine'
import type { Shape } from '../../drawing'
import { box, by, round } from '../../parts'
import type { Tools } from '../../sum'
import type { OnePiece } from './pieces'

/** Pieces of a plan drawn from a corner; `tint`: they come from what is there; `onRoll`: they can be pinned
 * elsewhere on a roll so wide. */
export function drawnPieces(
  laid: readonly Laid[],
  pieces: readonly OnePiece[],
  [left, top]: readonly [number, number],
  { tint = false, onRoll }: { readonly tint?: boolean; readonly onRoll?: number },
  { say }: Tools,
): Shape[] {
  return laid.flatMap((one): Shape[] => {
    const piece = pieces[one.piece] as OnePiece
    const [x, y] = [left + one.along, top + one.across]
    const { trim } = piece
    const middle = [x + one.long / 2, y + one.wide / 2] as const
    return [
      box(x, y, one.long, one.wide, {
        fill: tint ? 'resin' : 'paper',
        thick: piece.cut.pin !== undefined,
        field: `pieces.${piece.line}.long`,
        ...(onRoll === undefined
          ? {}
          : {
              drag: {
                along: `pieces.${piece.line}.pinAlong`,
                across: `pieces.${piece.line}.pinAcross`,
                from: [one.along, one.across],
                mostAcross: Math.max(0, onRoll - piece.cut.wide),
              },
            }),
      }),
      ...(piece.cut.pin
        ? [
            {
              is: 'round' as const,
              at: [x + trim / 2, y + trim / 2] as const,
              radius: Math.max(8, trim / 2),
              fill: 'brass' as const,
            },
          ]
        : []),
      ...(trim > 0
        ? [
            box(
              x + trim,
              y + trim,
              one.isTurned ? piece.wide : piece.long,
              one.isTurned ? piece.long : piece.wide,
              { dashed: true, edge: 'soft' },
            ),
          ]
        : []),
      ...(piece.hole
        ? [
            box(
              middle[0] - (one.isTurned ? piece.hole.wide : piece.hole.long) / 2,
              middle[1] - (one.isTurned ? piece.hole.long : piece.hole.wide) / 2,
              one.isTurned ? piece.hole.wide : piece.hole.long,
              one.isTurned ? piece.hole.long : piece.hole.wide,
              { fill: 'stock' },
            ),
          ]
        : []),
      {
        is: 'label',
        from: [x + trim, y + trim],
        size: [one.long - 2 * trim, one.wide - 2 * trim],
        lines: [
          `${piece.no}`,
          piece.name,
          `${by(say(round(piece.long, 0), 'mm'), say(round(piece.wide, 0), 'mm'))}`,
        ],
      },
      {
        is: 'arrow',
        from: [
          x + one.long * (one.isTurned ? 0.9 : 0.72),
          y + one.wide * (one.isTurned ? 0.62 : 0.16),
        ],
        to: [x + one.long * 0.9, y + one.wide * (one.isTurned ? 0.9 : 0.16)],
      },
    ]
  })
}
