/** The drawing turned for a phone: time runs down, levels stand as boards beside each other, words only at the knots. */
import { widthOf } from './measure'
import { levels } from './pieces'
import type { Level, SeamKind } from './pieces'
import type { Plank } from './planks'
import type { KnotReading } from './reading'
import { labelOf } from './rope'
import { xOf } from './ruler'
import type { Ruler } from './ruler'

interface PhoneBar {
  readonly plank: Plank
  readonly x: number
  readonly y0: number
  readonly y1: number
  readonly parts: readonly { readonly y: number; readonly tall: number; readonly kind: SeamKind }[]
}
interface PhoneColumn {
  readonly level: Level
  readonly x0: number
  readonly x1: number
  readonly bars: readonly PhoneBar[]
  /** Planks of the stretch, drawn or not. */
  readonly count: number
}
/** Words about links that lie close together, right of the boards, with the knot they lead from. */
interface PhoneWords {
  readonly reading: KnotReading
  readonly x: number
  readonly y: number
  readonly top: number
  readonly tall: number
}
interface PhoneKnot {
  readonly label: string
  readonly x: number
  readonly y: number
  readonly half: number
}
export interface Phone {
  readonly columns: readonly PhoneColumn[]
  readonly knots: readonly PhoneKnot[]
  readonly words: readonly PhoneWords[]
  readonly rope: readonly { readonly x: number; readonly y: number }[]
  readonly height: number
  readonly wordsX: number
}

const [barWidth, laneGap, columnGap, firstX] = [8, 3, 7, 64]
/** Most lanes of a level side by side; what has no room is only counted. */
const mostLanes = 3
export const phoneTitle = 16
export const phoneWhy = 14
const [titleLine, whyLine, wordsGap] = [19, 17, 8]
/** Links nearer than this are one knot, and their words one reading. */
const [nearKnots, nearWords] = [20, 56]

/** Lines that words take at a width; a word too long for it is broken. */
export function linesOf(text: string, size: number, weight: 500 | 600, width: number): number {
  let [lines, used] = [1, 0]
  const space = widthOf(' ', size, weight)
  for (const word of text.split(' ')) {
    const own = widthOf(word, size, weight)
    if (used > 0 && used + space + own > width) {
      lines++
      used = 0
    }
    lines += Math.floor(own / (width + 0.01))
    used += (used > 0 ? space : 0) + (own % (width + 0.01))
  }
  return lines
}

function columnOf(level: Level, planks: readonly Plank[], ruler: Ruler, x0: number): PhoneColumn {
  const ends: number[] = []
  const bars = [...planks]
    .sort((a, b) => Number(b.binding) - Number(a.binding) || a.from - b.from)
    .flatMap((plank): PhoneBar[] => {
      const [y0, end] = [xOf(ruler, plank.from), xOf(ruler, plank.to)]
      const y1 = Math.max(y0 + 4, end)
      let lane = ends.findIndex((one) => one <= y0)
      if (lane < 0) lane = ends.length
      if (lane >= mostLanes) return []
      ends[lane] = y1 + 3
      const parts = plank.seam
        .filter((part) => part.to > ruler.from && part.from < ruler.to)
        .map((part) => ({
          y: xOf(ruler, part.from),
          tall: Math.max(2, xOf(ruler, part.to) - xOf(ruler, part.from)),
          kind: part.kind,
        }))
      return [{ plank, x: x0 + lane * (barWidth + laneGap), y0, y1, parts }]
    })
  const lanes = Math.max(1, ends.length)
  return { level, x0, x1: x0 + lanes * (barWidth + laneGap) - laneGap, bars, count: planks.length }
}

/**
 * Lays the turned drawing out. `width` of the phone; `ruler` runs downwards; readings that have a place in it get words.
 */
export function phoneOf(
  planks: readonly Plank[],
  reading: readonly KnotReading[],
  startOf: (stepId: string) => number | null,
  ruler: Ruler,
  width: number,
): Phone {
  const seen = planks.filter((one) => one.to > ruler.from && one.from < ruler.to)
  const columns: PhoneColumn[] = []
  let x = firstX
  for (const level of levels) {
    const own = seen.filter((plank) => plank.level === level)
    if (own.length === 0) continue
    const column = columnOf(level, own, ruler, x)
    columns.push(column)
    x = column.x1 + columnGap + 6
  }
  const wordsX = x + 18
  const wordsWidth = Math.max(80, width - wordsX - 10)
  const barOf = (stepId: string): PhoneBar | null =>
    columns
      .flatMap((column) => column.bars)
      .find((bar) => bar.plank.pieces.some((piece) => piece.step.id === stepId)) ?? null
  const points = reading.flatMap((one) => {
    const last = one.stepIds.at(-1)
    const [at, bar] = last === undefined ? [null, null] : [startOf(last), barOf(last)]
    if (at === null || !bar || at < ruler.from || at > ruler.to) return []
    return [{ reading: one, x: bar.x + barWidth / 2, y: xOf(ruler, at) }]
  })
  const inTime = [...points].sort((a, b) => a.y - b.y)
  const groups: (typeof inTime)[] = []
  for (const point of inTime) {
    const last = groups.at(-1)
    if (last?.[0] && point.y - last[0].y < nearWords) last.push(point)
    else groups.push([point])
  }
  let free = ruler.left - 8
  const words = groups.map((group): PhoneWords => {
    const [point] = group as [(typeof inTime)[number]]
    const merged = mergedReading(group.map((one) => one.reading))
    const title = merged.dates === '' ? merged.title : `${merged.title}, ${merged.dates}`
    const tall =
      linesOf(title, phoneTitle, 600, wordsWidth) * titleLine +
      linesOf(merged.why, phoneWhy, 500, wordsWidth) * whyLine
    const top = Math.max(free, point.y - titleLine / 2)
    free = top + tall + wordsGap
    return { reading: merged, y: point.y, x: point.x, top, tall }
  })
  return {
    columns,
    words,
    knots: knotsAlong(inTime),
    rope: inTime.map(({ x: at, y }) => ({ x: at, y })),
    height: Math.max(ruler.right, free),
    wordsX,
  }
}

/** Knots on the rope: links of one bar that lie close are tied. */
function knotsAlong(
  points: readonly { readonly reading: KnotReading; readonly x: number; readonly y: number }[],
): PhoneKnot[] {
  const groups: { x: number; y: number; numbers: number[] }[] = []
  for (const { reading, x, y } of points) {
    const numbers = (reading.label.match(/\d+/g) ?? []).map(Number)
    const near = groups.find((one) => Math.abs(one.x - x) < 2 && y - one.y < nearKnots)
    if (near) near.numbers.push(...numbers)
    else groups.push({ x, y, numbers })
  }
  return groups.map(({ x, y, numbers }) => {
    const label = labelOf(numbers)
    return { label, x, y, half: Math.max(9.5, (label.length * 6.6) / 2 + 4) }
  })
}

/** Links tied into one knot: their numbers, what they are, why the first of them is not earlier. */
function mergedReading(list: readonly KnotReading[]): KnotReading {
  const [first, last] = [list[0] as KnotReading, list.at(-1) as KnotReading]
  if (list.length === 1) return first
  const numbers = list.flatMap((one) => (one.label.match(/\d+/g) ?? []).map(Number))
  const titles = list.map((one) => one.title)
  return {
    label: labelOf(numbers),
    title: titles.length > 2 ? `${titles[0]} and ${titles.length - 1} more` : titles.join(', '),
    dates: first.dates === last.dates ? first.dates : `from ${first.dates}`,
    why: first.why,
    stepIds: list.flatMap((one) => one.stepIds),
    links: list.flatMap((one) => one.links),
  }
}
