import { needRange } from '../guard'

/** A stretch of a run, metres from its datum. */
export type Stretch = readonly [fromM: number, toM: number]

export interface PostsOnRun {
  /** Where posts stand, metres from the datum, rising. */
  readonly marksM: readonly number[]
  readonly largestM: number
  readonly smallestM: number
}

/** A post may stand on the very edge of a keep-out, to the micrometre. */
const hair = 1e-6
/** Spans tried beyond the least, when keep-outs leave no room for that many. */
const mostMore = 4

const isKeptOut = (at: number, keepOuts: readonly Stretch[]): boolean =>
  keepOuts.some(([from, to]) => at > from + hair && at < to - hair)

/** Every way to share `spans` equal-as-can-be over a stretch, posts at its ends and at `fixed` between. */
function marksBetween(ends: Stretch, fixed: readonly number[], spans: number): number[][] {
  const edges = [ends[0], ...fixed, ends[1]]
  const gaps = edges.slice(1).map((edge, index) => edge - (edges[index] as number))
  const found: number[][] = []
  const share = (index: number, left: number, counts: readonly number[]) => {
    if (index === gaps.length) {
      if (left === 0) found.push(placed(edges, counts))
      return
    }
    const rest = gaps.length - index - 1
    for (let count = 1; count <= left - rest; count++)
      share(index + 1, left - count, [...counts, count])
  }
  share(0, spans, [])
  return found
}

const placed = (edges: readonly number[], counts: readonly number[]): number[] => [
  edges[0] as number,
  ...counts.flatMap((count, index) => {
    const [from, to] = [edges[index] as number, edges[index + 1] as number]
    return Array.from({ length: count }, (_, at) => from + ((to - from) * (at + 1)) / count)
  }),
]

const spansOf = (marks: readonly number[]): number[] =>
  marks.slice(1).map((mark, index) => mark - (marks[index] as number))

/** Best marks over one stretch without a gate: least spread of spans, none over the longest. Null: none. */
function bestMarks(ends: Stretch, longestM: number, keepOuts: readonly Stretch[]): number[] | null {
  const inside = keepOuts.filter(([from, to]) => to > ends[0] && from < ends[1])
  const edges = inside
    .flatMap(([from, to]) => [from, to])
    .filter((at) => at > ends[0] && at < ends[1])
  // Posts pushed out of a keep-out stand on one of its edges: every choice of edges is tried.
  const choices = edges.reduce<number[][]>(
    (all, edge) => [...all, ...all.map((one) => [...one, edge].sort((a, b) => a - b))],
    [[]],
  )
  const least = Math.ceil((ends[1] - ends[0]) / longestM - 1e-9)
  for (let spans = least; spans <= least + mostMore; spans++) {
    let best: { readonly marks: number[]; readonly spread: number } | null = null
    for (const fixed of choices) {
      if (fixed.length > spans - 1 || fixed.some((at) => isKeptOut(at, keepOuts))) continue
      for (const marks of marksBetween(ends, fixed, spans)) {
        if (marks.some((at) => isKeptOut(at, keepOuts))) continue
        const list = spansOf(marks)
        const spread = Math.max(...list) - Math.min(...list)
        if (Math.max(...list) > longestM + 1e-9) continue
        if (best === null || spread < best.spread - 1e-9) best = { marks, spread }
      }
    }
    if (best) return best.marks
  }
  return null
}

/**
 * Posts along a run of 0.1–100 m, spans at most `longestM` (0.2–20) and as equal as can be, moved out of
 * keep-outs (at most four); a gate inside the run has a post at each side. Marks are from one datum.
 * Throws RangeError outside, when the gate does not lie inside, or when no post can stand between keep-outs.
 * Source: handbook 11. Example: 7.2 m at 1.6 m → 0, 1.44, 2.88, 4.32, 5.76, 7.2.
 */
export function postsOnRun(
  lengthM: number,
  longestM: number,
  gate: Stretch | null,
  keepOuts: readonly Stretch[],
): PostsOnRun {
  needRange('postsOnRun', 'length in m', lengthM, 0.1, 100)
  needRange('postsOnRun', 'longest span in m', longestM, 0.2, 20)
  needRange('postsOnRun', 'number of keep-outs', keepOuts.length, 0, 4)
  for (const [from, to] of keepOuts)
    if (!(from < to)) throw new RangeError('postsOnRun: a keep-out ends before it begins')
  if (gate && !(gate[0] >= 0 && gate[1] > gate[0] && gate[1] <= lengthM + 1e-9))
    throw new RangeError('postsOnRun: the gate must lie inside the run')
  const stretches: Stretch[] = gate
    ? [
        [0, gate[0]],
        [gate[1], lengthM],
      ]
    : [[0, lengthM]]
  const marks: number[] = []
  const spans: number[] = []
  for (const ends of stretches) {
    if (ends[1] - ends[0] < 1e-9) {
      marks.push(ends[0])
      continue
    }
    const found = bestMarks(ends, longestM, keepOuts)
    if (!found)
      throw new RangeError(
        'postsOnRun: no post can stand there with spans that short; make the longest span longer or the keep-outs smaller',
      )
    marks.push(...found)
    spans.push(...spansOf(found))
  }
  return { marksM: marks, largestM: Math.max(...spans), smallestM: Math.min(...spans) }
}
