/** Circuits as they are drawn: ropes that hang from the bank. */
import type { Circuit, Sized } from '../../../electrics/circuits'
import type { Shape } from '../../drawing'
import { box, path, round, text } from '../../parts'
import type { Tools } from '../../sum'

/** A circuit and the line of the list that it is. */
export type OnList = Circuit & { readonly line: number }
export type SizedCircuit = Sized<OnList>
/** "3", or "3–5" of several alike. */
export const waysOf = ({ firstWay, lastWay }: SizedCircuit): string =>
  firstWay === lastWay ? String(firstWay) : `${firstWay}–${lastWay}`

const mostDrawn = 24
/** Ropes from the bank: across the length, down the share of the drop that is allowed. */
export function ropes(sized: readonly SizedCircuit[], say: Tools['say']): Shape[] {
  const longest = Math.max(...sized.map((one) => one.runM))
  const deep = longest * 0.24
  const top = longest * 0.05
  const shapes: Shape[] = [
    box(-longest * 0.05, 0, longest * 0.05, longest * 0.1, { fill: 'brass' }),
  ]
  sized.slice(0, mostDrawn).forEach((one) => {
    const share = one.dropV / one.allowedV
    const hang = Math.min(1.05, share) * deep
    const points = Array.from({ length: 9 }, (_, step): [number, number] => {
      const t = step / 8
      return [one.runM * t, top + hang * Math.sin((t * Math.PI) / 2)]
    })
    const field = `runs.${one.line}.long`
    shapes.push(
      path(points, {
        thick: one.mm2 >= 16,
        dashed: !one.isThere,
        edge: one.dropV > one.allowedV + 1e-6 ? 'red' : 'ink',
        field,
      }),
    )
    // Of many only those that use half of their drop keep a number.
    if (sized.length <= 10 || share > 0.5)
      shapes.push(text(points.at(-1) as [number, number], ` ${waysOf(one)}`, { bold: true, field }))
  })
  shapes.push(
    path(
      [
        [0, top + deep],
        [longest, top + deep],
      ],
      { edge: 'red', thick: true },
    ),
    text([longest, top + deep], 'all it may lose', { anchor: 'end', down: 0.8, tone: 'red' }),
    text([longest, 0], say(round(longest, 1), 'm'), { anchor: 'end', down: -0.5, tone: 'soft' }),
  )
  return shapes
}
