/** Strands of the day's rope as SVG paths. Drawing only: who is where when comes from core. */

/** A stretch of a strand on the screen, px. */
export interface RopePart {
  readonly y0: number
  readonly y1: number
  readonly x: number
  readonly together: boolean
  readonly idle: boolean
}

/** Half the width of the twist, its turn, and the height over which a strand goes to another column. */
const [swing, turn, bend] = [4.5, 28, 17]
const stepPx = 3

/** Where a strand is at a height: its column, on a soft curve between two of them, and its swing in the twist. */
function xAt(parts: readonly RopePart[], y: number, phase: number): number {
  const at = parts.findIndex((part) => y < part.y1)
  const part = parts[at < 0 ? parts.length - 1 : at]
  if (!part) return 0
  const before = parts[(at < 0 ? parts.length : at) - 1]
  const into = before ? Math.min(1, (y - part.y0) / Math.min(bend, part.y1 - part.y0)) : 1
  const soft = into * into * (3 - 2 * into)
  const x = before ? before.x + (part.x - before.x) * soft : part.x
  const twist = part.together ? soft : before?.together ? 1 - soft : 0
  return x + twist * swing * Math.sin((2 * Math.PI * y) / turn + phase)
}

const pathOf = (points: readonly (readonly [number, number])[]): string =>
  points
    .map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join('')

/** The whole strand, and the pieces that lie over the others where it is twisted; `phase` in radians. */
export function ropePaths(
  parts: readonly RopePart[],
  phase: number,
): { readonly whole: string; readonly over: readonly string[] } {
  const [first, last] = [parts[0], parts.at(-1)]
  if (!first || !last) return { whole: '', over: [] }
  const points: [number, number][] = []
  for (let y = first.y0; y < last.y1; y += stepPx) points.push([xAt(parts, y, phase), y])
  points.push([xAt(parts, last.y1, phase), last.y1])
  const over: string[] = []
  for (const part of parts.filter((one) => one.together))
    for (let k = Math.ceil(part.y0 / turn); k * turn < part.y1; k++) {
      const [a, b] = [
        Math.max(part.y0, k * turn - turn / 4),
        Math.min(part.y1, k * turn + turn / 4),
      ]
      const piece = points.filter(([, y]) => y >= a && y <= b)
      if (piece.length > 1) over.push(pathOf(piece))
    }
  return { whole: pathOf(points), over }
}
