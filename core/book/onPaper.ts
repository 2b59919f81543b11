/** A drawing true to scale in one black, for paper: stuffs are told apart by their lines. */
import type { Drawing, Shape, Stuff } from '../bench/drawing'

type Box = Extract<Shape, { readonly is: 'box' }>

/** Scales a ruler can be laid to, the largest first, with what is said of them. */
const scales = [
  [1, 'full size'],
  [1 / 2, 'half size'],
  [1 / 4, 'a quarter of its size'],
  [1 / 10, 'a tenth of its size'],
] as const

/** How far apart the lines of a stuff are on paper, mm, and which way they run. */
const lines: Partial<Record<Stuff, { readonly apart: number; readonly upright: boolean }>> = {
  glass: { apart: 0.9, upright: false },
  core: { apart: 1.6, upright: true },
}
const fills: Partial<Record<Stuff, string>> = { resin: '#c4c4c4' }

/**
 * Draws the boxes of a drawing in mm at the largest scale at which they are no wider than so many mm; smaller than a tenth
 * they are as wide as that. Words and other shapes are left out.
 */
export function onPaper(
  { shapes }: Drawing,
  mostWideMm: number,
): { readonly svg: string; readonly wideMm: number; readonly scale: string } {
  const boxes = shapes.filter((one): one is Box => one.is === 'box')
  const [left, right] = [
    Math.min(...boxes.map((one) => one.from[0])),
    Math.max(...boxes.map((one) => one.from[0] + one.size[0])),
  ]
  const [top, bottom] = [
    Math.min(...boxes.map((one) => one.from[1])),
    Math.max(...boxes.map((one) => one.from[1] + one.size[1])),
  ]
  const wide = right - left
  const [by, scale] = scales.find(([share]) => wide * share <= mostWideMm - 2 * edgeMm) ?? [
    (mostWideMm - 2 * edgeMm) / wide,
    'not to a scale',
  ]
  const at = (x: number, y: number): [number, number] => [
    (x - left) * by + edgeMm,
    (y - top) * by + edgeMm,
  ]
  const [wideMm, highMm] = [wide * by + 2 * edgeMm, (bottom - top) * by + 2 * edgeMm]
  const body = boxes.map((one) =>
    drawn(at(...one.from), [one.size[0] * by, one.size[1] * by], one.fill),
  )
  return {
    scale,
    wideMm,
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${cut(wideMm)} ${cut(highMm)}" width="${cut(wideMm)}" height="${cut(highMm)}">${body.join('')}</svg>`,
  }
}

/** Room for the outline, mm. */
const edgeMm = 0.4
const cut = (length: number): string => length.toFixed(2)

function drawn(
  [x, y]: readonly [number, number],
  [wide, high]: readonly [number, number],
  fill: Stuff = 'none',
): string {
  const hatch = lines[fill]
  const along: string[] = []
  if (hatch)
    for (let off = hatch.apart; off < (hatch.upright ? wide : high); off += hatch.apart)
      along.push(
        hatch.upright
          ? `M${cut(x + off)} ${cut(y)}V${cut(y + high)}`
          : `M${cut(x)} ${cut(y + off)}H${cut(x + wide)}`,
      )
  const inside =
    along.length === 0
      ? ''
      : `<path d="${along.join('')}" fill="none" stroke="#000000" stroke-width="0.12"/>`
  return `<rect x="${cut(x)}" y="${cut(y)}" width="${cut(wide)}" height="${cut(high)}" fill="${fills[fill] ?? '#ffffff'}" stroke="#000000" stroke-width="0.3"/>${inside}`
}
