/** How wide words come out in the typeface of the drawings, so that a drawing can be laid out without a screen. */
import { letterWidths } from './letters'

export type Weight = keyof typeof letterWidths

/** A letter that was not measured is taken for as wide as the widest. */
const widest = 0.82
/** Letters set closer or wider than measured one by one. */
const spare = 1.01

const tables = new Map(
  ([500, 600] as const).map((weight) => [
    weight,
    new Map(
      letterWidths[weight].flatMap(([width, letters]) =>
        [...letters].map((letter) => [letter, width / 1000] as const),
      ),
    ),
  ]),
)

/** Width of a text, px. `size` in px; weight 500 or 600. */
export function widthOf(text: string, size: number, weight: Weight = 600): number {
  const table = tables.get(weight)
  let width = 0
  for (const letter of text) width += table?.get(letter) ?? widest
  return width * size * spare
}
