/** A drawing put into so many pixels: one scale for both ways, words of a fixed size, names beside that keep apart. */
import type { At, Drawing, Look, Shape, Tone } from './drawing'

type Drawn = Look & {
  readonly d: string
  readonly closed: boolean
}
interface Word {
  readonly x: number
  readonly y: number
  readonly text: string
  readonly anchor: 'start' | 'middle' | 'end'
  readonly tone: Tone
  readonly px: number
  readonly bold: boolean
  readonly field?: string
}
interface Stroke {
  readonly d: string
  readonly tone: Tone
  readonly head?: string
}
export interface Fitted {
  /** Pixels for a unit of the drawing, along and across. */
  readonly scale: At
  readonly width: number
  readonly height: number
  readonly bodies: readonly Drawn[]
  readonly strokes: readonly Stroke[]
  readonly words: readonly Word[]
}

const margin = 8
const linePx = 19
const sizes = { small: 14, plain: 16, large: 22 } as const
/** Width of a letter of the narrow face against its height, on the safe side. */
const perLetter = 0.43
const wordWidth = (text: string, px: number): number => text.length * px * perLetter
const nameGap = 22

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}
const emptyBox = (): Box => ({
  left: Infinity,
  right: -Infinity,
  top: Infinity,
  bottom: -Infinity,
})
function widen(box: Box, x: number, y: number): void {
  box.left = Math.min(box.left, x)
  box.right = Math.max(box.right, x)
  box.top = Math.min(box.top, y)
  box.bottom = Math.max(box.bottom, y)
}

function pointsOf(shape: Shape): readonly At[] {
  switch (shape.is) {
    case 'box':
    case 'label':
      return [shape.from, [shape.from[0] + shape.size[0], shape.from[1] + shape.size[1]]]
    case 'shape':
      return shape.corners
    case 'path':
      return shape.points
    case 'round':
      return [
        [shape.at[0] - shape.radius, shape.at[1] - shape.radius],
        [shape.at[0] + shape.radius, shape.at[1] + shape.radius],
      ]
    case 'arrow':
    case 'length':
      return [shape.from, shape.to]
    case 'text':
    case 'name':
      return [shape.at]
  }
}

/** Narrower than this, names beside the drawing are cut: their figure stands first. */
const narrow = 540
const mostLetters = 18
const withShortNames = (drawing: Drawing): Drawing => ({
  ...drawing,
  shapes: drawing.shapes.map((one) =>
    one.is === 'name' && one.text.length > mostLetters
      ? { ...one, text: `${one.text.slice(0, mostLetters - 1)}…` }
      : one,
  ),
})

const tallOf = (free: NonNullable<Drawing['free']>, wide: number): number =>
  'tallPx' in free ? free.tallPx : wide * free.ratio

const fixed = (value: number): string => value.toFixed(1)

/** Lays a drawing out in `width` pixels, no higher than `mostHeight`. Precondition: every number in it is finite. */
export function fitDrawing(given: Drawing, width: number, mostHeight: number): Fitted {
  const drawing = width < narrow ? withShortNames(given) : given
  const own = emptyBox()
  for (const shape of drawing.shapes) for (const [x, y] of pointsOf(shape)) widen(own, x, y)
  const spanX = Math.max(own.right - own.left, 1e-9)
  const spanY = Math.max(own.bottom - own.top, 1e-9)
  const nameRoom = (side: 'left' | 'right'): number =>
    Math.max(
      0,
      ...drawing.shapes.map((one) =>
        one.is === 'name' && one.side === side ? wordWidth(one.text, sizes.plain) + 34 : 0,
      ),
    )
  const [leftNames, rightNames] = [nameRoom('left'), nameRoom('right')]
  let spareX = leftNames + rightNames
  let spareY = 0
  let laid: Laid | null = null
  // Words reach beyond the lines they stand at: what they take is known once they are laid.
  for (let pass = 0; pass < 4; pass++) {
    const room = Math.max(60, width - 2 * margin - spareX)
    const high = Math.max(60, mostHeight - 2 * margin - spareY)
    const fitX = room / spanX
    const scaleX = drawing.free ? fitX : Math.min(fitX, high / spanY)
    const scaleY = drawing.free ? Math.min(high, tallOf(drawing.free, room)) / spanY : scaleX
    laid = new Laid(drawing, own, scaleX, scaleY)
    const { box } = laid
    const wide = box.right - box.left
    const tall = box.bottom - box.top
    if (wide <= width - 2 * margin + 0.5 && tall <= mostHeight - 2 * margin + 0.5) break
    spareX = wide - spanX * scaleX
    spareY = tall - spanY * scaleY
  }
  return (laid as Laid).moved(width)
}

class Laid {
  readonly box = emptyBox()
  private readonly lines: {
    points: readonly At[]
    tone: Tone
    head: boolean
  }[] = []
  private readonly shapes: {
    points: readonly At[]
    look: Look
    closed: boolean
    radius?: number
  }[] = []
  private readonly words: Word[] = []

  constructor(
    drawing: Drawing,
    private readonly own: Box,
    private readonly scaleX: number,
    private readonly scaleY: number,
  ) {
    for (const shape of drawing.shapes) this.lay(shape)
    for (const side of ['left', 'right'] as const) this.names(drawing, side)
  }

  private at([x, y]: At): At {
    return [(x - this.own.left) * this.scaleX, (y - this.own.top) * this.scaleY]
  }

  private lay(shape: Shape): void {
    if (shape.is === 'name') return
    if (shape.is === 'text') return this.text(shape)
    if (shape.is === 'label') return this.label(shape)
    if (shape.is === 'length') return this.length(shape)
    if (shape.is === 'arrow') return this.line([shape.from, shape.to], shape.tone ?? 'ink', true)
    if (shape.is === 'round') {
      const [x, y] = this.at(shape.at)
      const radius = shape.radius * this.scaleX
      this.body([[x, y]], shape, false, radius)
      widen(this.box, x - radius, y - radius)
      widen(this.box, x + radius, y + radius)
      return
    }
    if (shape.is === 'box') {
      const [x, y] = shape.from
      const [w, h] = shape.size
      const corners: At[] = [
        [x, y],
        [x + w, y],
        [x + w, y + h],
        [x, y + h],
      ]
      this.body(
        corners.map((one) => this.at(one)),
        shape,
        true,
      )
      return
    }
    const points = shape.is === 'shape' ? shape.corners : shape.points
    this.body(
      points.map((one) => this.at(one)),
      shape,
      shape.is === 'shape',
    )
  }

  private body(points: readonly At[], look: Look, closed: boolean, radius?: number): void {
    this.shapes.push({ points, look, closed, radius })
    for (const [x, y] of points) widen(this.box, x, y)
  }

  private line(points: readonly At[], tone: Tone, head: boolean): void {
    const put = points.map((one) => this.at(one))
    this.pixelLine(put, tone, head)
  }

  private pixelLine(points: readonly At[], tone: Tone, head = false): void {
    this.lines.push({ points, tone, head })
    for (const [x, y] of points) widen(this.box, x, y)
  }

  private word(
    [x, y]: At,
    text: string,
    more: Partial<Pick<Word, 'anchor' | 'tone' | 'px' | 'bold' | 'field'>>,
  ): void {
    const { anchor = 'start', tone = 'ink', px = sizes.plain, bold = false, field } = more
    this.words.push({ x, y, text, anchor, tone, px, bold, field })
    const wide = wordWidth(text, px)
    const left = anchor === 'start' ? x : anchor === 'end' ? x - wide : x - wide / 2
    widen(this.box, left, y - px * 0.8)
    widen(this.box, left + wide, y + px * 0.25)
  }

  private text(shape: Extract<Shape, { is: 'text' }>): void {
    const [x, y] = this.at(shape.at)
    const px = sizes[shape.size ?? 'plain']
    const { room } = shape
    if (
      room &&
      (wordWidth(shape.text, px) > room[0] * this.scaleX || px * 1.2 > room[1] * this.scaleY)
    )
      return
    this.word([x, y + (shape.down ?? 0) * linePx + px * 0.33], shape.text, {
      anchor: shape.anchor,
      tone: shape.tone,
      px,
      bold: shape.bold,
      field: shape.field,
    })
  }

  private label({ from, size, lines, field }: Extract<Shape, { is: 'label' }>): void {
    const [x, y] = this.at(from)
    const [wide, tall] = [size[0] * this.scaleX - 8, size[1] * this.scaleY - 4]
    const [first = '', second = ''] = lines
    const fits = (text: string, px: number): boolean => wordWidth(text, px) <= wide
    const rows = Math.max(1, Math.floor(tall / linePx))
    const together = `${first} ${second}`.trim()
    const said =
      rows < 2
        ? [fits(together, sizes.plain) ? together : first]
        : [first, ...lines.slice(1).filter((one) => fits(one, sizes.plain))].slice(0, rows)
    const px = fits(said[0] ?? '', sizes.plain) && tall >= sizes.plain ? sizes.plain : sizes.small
    const top = y + 2 + (tall - said.length * linePx) / 2
    said.forEach((text, at) => {
      this.word([x + 5, top + at * linePx + linePx * 0.78], text, {
        px: at === 0 ? px : sizes.small,
        bold: at === 0,
        tone: at < 2 ? 'ink' : 'soft',
        field,
      })
    })
  }

  private length(shape: Extract<Shape, { is: 'length' }>): void {
    const [a, b] = [this.at(shape.from), this.at(shape.to)]
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const long = Math.hypot(dx, dy) || 1
    // To the right of a line that runs down, beneath one that runs to the right.
    const [nx, ny] = [Math.abs(dy) / long, Math.abs(dx) / long]
    const off = (shape.off ?? 1) * linePx
    const move = ([x, y]: At): At => [x + nx * off, y + ny * off]
    const [p, q] = [move(a), move(b)]
    const tone = shape.tone ?? 'soft'
    this.pixelLine([p, q], tone)
    for (const [end, from] of [
      [p, a],
      [q, b],
    ] as const) {
      this.pixelLine(
        [
          [end[0] - nx * 5, end[1] - ny * 5],
          [end[0] + nx * 5, end[1] + ny * 5],
        ],
        tone,
      )
      if (Math.abs(off) > 2 * linePx) this.pixelLine([from, end], 'soft')
    }
    const middle: At = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]
    const upright = Math.abs(dy) > Math.abs(dx)
    const beside = off < 0 ? -1 : 1
    const at: At = upright
      ? [middle[0] + beside * 7, middle[1] + 5]
      : [middle[0], middle[1] + (beside > 0 ? 17 : -6)]
    this.word(at, shape.text, {
      anchor: upright ? (beside > 0 ? 'start' : 'end') : 'middle',
      tone: shape.tone ?? 'ink',
      field: shape.field,
    })
  }

  private names(drawing: Drawing, side: 'left' | 'right'): void {
    const named = drawing.shapes
      .flatMap((one) =>
        one.is === 'name' && one.side === side ? [{ one, at: this.at(one.at) }] : [],
      )
      .sort((a, b) => a.at[1] - b.at[1])
    if (named.length === 0) return
    const edge = side === 'left' ? this.box.left - 26 : this.box.right + 26
    // Each under the last; then all moved up by half of what they were pushed down.
    const ys: number[] = []
    for (const { at } of named) ys.push(Math.max(at[1], (ys.at(-1) ?? -Infinity) + nameGap))
    const pushed = ys.map((y, index) => y - (named[index]?.at[1] ?? y))
    const up = Math.max(...pushed) / 2
    named.forEach(({ one, at }, index) => {
      const y = (ys[index] as number) - up
      const away = side === 'left' ? -4 : 4
      this.pixelLine([[edge, y], [edge - away * 3, y], at], one.tone ?? 'soft')
      this.word([edge + away, y + 5], one.text, {
        anchor: side === 'left' ? 'end' : 'start',
        tone: one.tone,
        field: one.field,
      })
    })
  }

  /** Everything moved into view, in the middle of so many pixels. */
  moved(width: number): Fitted {
    const wide = this.box.right - this.box.left
    const dx = Math.max(margin, (width - wide) / 2) - this.box.left
    const dy = margin - this.box.top
    const to = ([x, y]: At): string => `${fixed(x + dx)} ${fixed(y + dy)}`
    const path = (points: readonly At[], closed: boolean): string =>
      `M${points.map(to).join('L')}${closed ? 'Z' : ''}`
    return {
      scale: [this.scaleX, this.scaleY],
      width: Math.max(width, wide + 2 * margin),
      height: this.box.bottom - this.box.top + 2 * margin,
      bodies: this.shapes.map(({ points, look, closed, radius }) => ({
        ...look,
        closed: closed || radius !== undefined,
        d:
          radius === undefined
            ? path(points, closed)
            : circle((points[0]?.[0] ?? 0) + dx, (points[0]?.[1] ?? 0) + dy, radius),
      })),
      strokes: this.lines.map(({ points, tone, head }) => ({
        d: path(points, false),
        tone,
        head: head ? arrowHead(points.map(([x, y]) => [x + dx, y + dy] as const)) : undefined,
      })),
      words: this.words.map((one) => ({ ...one, x: one.x + dx, y: one.y + dy })),
    }
  }
}

const circle = (x: number, y: number, radius: number): string =>
  `M${fixed(x - radius)} ${fixed(y)}a${fixed(radius)} ${fixed(radius)} 0 1 0 ${fixed(2 * radius)} 0a${fixed(radius)} ${fixed(radius)} 0 1 0 ${fixed(-2 * radius)} 0Z`

function arrowHead(points: readonly At[]): string {
  const [a, b] = [points.at(-2), points.at(-1)]
  if (!a || !b) return ''
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
  const [ux, uy] = [(b[0] - a[0]) / long, (b[1] - a[1]) / long]
  const corner = (side: number): string =>
    `${fixed(b[0] - ux * 10 + uy * side * 5)} ${fixed(b[1] - uy * 10 - ux * side * 5)}`
  return `M${fixed(b[0])} ${fixed(b[1])}L${corner(1)}L${corner(-1)}Z`
}
