import { needRange } from '../guard'
import { exactSpans } from './exactSpans'

/** A stretch of a run, metres from its datum. */
export type Stretch = readonly [fromM: number, toM: number]

export interface PostsOnRun {
  /** Where posts stand, metres from the datum, rising. */
  readonly marksM: readonly number[]
  readonly largestM: number
  readonly smallestM: number
}

const spansOf = (marks: readonly number[]): number[] =>
  marks.slice(1).map((mark, index) => mark - (marks[index] as number))

/** Posts stand on whole millimetres where something keeps them out. */
const gridMm = 1
/** A post may stand on the very edge of a keep-out: this much less of it is kept out, mm. */
const edgeMm = gridMm / 2

/** Best marks over one stretch without a gate: the fewest, then the least spread of spans. Null: none. */
function bestMarks(ends: Stretch, longestM: number, keepOuts: readonly Stretch[]): number[] | null {
  const [from, to] = ends
  // Posts at the ends are not to be moved.
  if (keepOuts.some(([a, b]) => ends.some((end) => end > a + 1e-6 && end < b - 1e-6))) return null
  const inside = keepOuts.filter(([a, b]) => b > from && a < to)
  if (inside.length === 0) {
    const spans = Math.max(1, Math.ceil((to - from) / longestM - 1e-9))
    return Array.from({ length: spans + 1 }, (_, at) => from + ((to - from) * at) / spans)
  }
  const mm = (metres: number): number => (metres - from) * 1000
  const marks = exactSpans({
    length: mm(to),
    maxSpan: longestM * 1000 + 1e-6,
    keepOuts: inside.flatMap(([a, b]) =>
      mm(b) - mm(a) > 2 * edgeMm ? [[mm(a) + edgeMm, mm(b) - edgeMm] as const] : [],
    ),
    grid: gridMm,
  })
  return marks?.map((one) => from + one / 1000) ?? null
}

/**
 * Posts along a run of 0.1–100 m, spans at most `longestM` (0.2–20) and as equal as can be, moved out of
 * keep-outs (at most twelve); a gate inside the run has a post at each side. Marks are from one datum.
 * Throws RangeError outside, when the gate does not lie inside or leaves nothing beside it, or when no post can stand between keep-outs.
 * Between keep-outs marks are whole millimetres from the stretch's end. Source: handbook 11. Example: 7.2 m at 1.6 m → 0, 1.44, 2.88, 4.32, 5.76, 7.2.
 */
export function postsOnRun(
  lengthM: number,
  longestM: number,
  gate: Stretch | null,
  keepOuts: readonly Stretch[],
): PostsOnRun {
  const key = JSON.stringify([lengthM, longestM, gate, keepOuts])
  const known = kept.get(key)
  if (known) return known
  const found = laidOut(lengthM, longestM, gate, keepOuts)
  if (kept.size >= mostKept) kept.clear()
  kept.set(key, found)
  return found
}

/** A recipe asks for marks, spans and count of the same run one after the other. */
const kept = new Map<string, PostsOnRun>()
const mostKept = 50

function laidOut(
  lengthM: number,
  longestM: number,
  gate: Stretch | null,
  keepOuts: readonly Stretch[],
): PostsOnRun {
  needRange('postsOnRun', 'length in m', lengthM, 0.1, 100)
  needRange('postsOnRun', 'longest span in m', longestM, 0.2, 20)
  needRange('postsOnRun', 'number of keep-outs', keepOuts.length, 0, 12)
  for (const [from, to] of keepOuts)
    if (!(from < to)) throw new RangeError('postsOnRun: a keep-out ends before it begins')
  if (gate && !(gate[0] >= 0 && gate[1] > gate[0] && gate[1] <= lengthM + 1e-9))
    throw new RangeError('postsOnRun: the gate must lie inside the run')
  if (gate && lengthM - (gate[1] - gate[0]) < 1e-9)
    throw new RangeError('postsOnRun: the gate takes the whole run; there is nothing to divide')
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
