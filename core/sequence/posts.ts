/** Gates, today and aimed dates as posts with flags that do not cover each other. */
import { widthOf } from './measure'

export interface Post {
  readonly key: string
  readonly kind: 'asked' | 'gate' | 'today' | 'aimed' | 'likely'
  readonly x: number
  readonly label: string
  /** Civil date or words for those who listen. */
  readonly gateId: string | null
}
export interface FlaggedPost extends Post {
  /** Row of its flag from the plot upwards, 0 the nearest; null: no room, the post stands alone. */
  readonly row: number | null
  /** True: the flag flies to the left. */
  readonly toLeft: boolean
  readonly left: number
  readonly right: number
}

export const flagSize = 15
const [tail, pad, apart] = [9, 9, 4]
const mostRows = 3
const order: readonly Post['kind'][] = ['asked', 'today', 'aimed', 'gate', 'likely']

/** True when a flag in a row meets neither another flag there nor a post that runs down through it, nor its post one. */
function isFree(
  placed: readonly FlaggedPost[],
  x: number,
  row: number,
  [a, b]: readonly [number, number],
): boolean {
  return placed.every((one) => {
    if (one.row === null) return true
    if (one.row === row) return b + apart <= one.left || a >= one.right + apart
    if (one.row > row) return one.x < a - apart || one.x > b + apart
    return x < one.left - apart || x > one.right + apart
  })
}

/** Flags to the sides given (true: left), each in the lowest row that is free, in the order of the list. */
function placedTo(
  posts: readonly Post[],
  widths: readonly number[],
  sides: readonly boolean[],
  [left, right]: readonly [number, number],
): FlaggedPost[] {
  const placed: FlaggedPost[] = []
  posts.forEach((post, index) => {
    const wide = widths[index] ?? 0
    const toLeft = sides[index] ?? false
    const [a, b] = toLeft ? [post.x - wide, post.x] : [post.x, post.x + wide]
    const rows = Array.from({ length: mostRows }, (_, row) => row)
    const row =
      a < left || b > right ? undefined : rows.find((one) => isFree(placed, post.x, one, [a, b]))
    placed.push(
      row === undefined
        ? { ...post, row: null, toLeft: false, left: post.x, right: post.x }
        : { ...post, row, toLeft, left: a, right: b },
    )
  })
  return placed
}

/** Of so many posts every way of flying is tried; further ones fly to the right. */
const mostTried = 7

/** Flags, none lost where there is a way, then in as few rows as can be, to the right where it is all the same. */
export function flagged(posts: readonly Post[], left: number, right: number): FlaggedPost[] {
  const sorted = [...posts].sort(
    (a, b) => order.indexOf(a.kind) - order.indexOf(b.kind) || a.x - b.x,
  )
  const widths = sorted.map((post) => widthOf(post.label, flagSize) + tail + pad)
  const tried = Math.min(mostTried, sorted.length)
  let best: FlaggedPost[] = []
  let least = Infinity
  for (let mask = 0; mask < 2 ** tried; mask++) {
    const sides = sorted.map((_, at) => at < tried && (mask & (1 << at)) !== 0)
    const placed = placedTo(sorted, widths, sides, [left, right])
    const lost = placed.filter((one) => one.row === null).length
    const cost = lost * 100 + flagRows(placed) * 10 + sides.filter(Boolean).length * 0.1
    if (cost >= least) continue
    least = cost
    best = placed
  }
  return best.sort((a, b) => a.x - b.x)
}

/** Rows of flags that are used. */
export const flagRows = (posts: readonly FlaggedPost[]): number =>
  Math.max(0, ...posts.map((one) => (one.row === null ? 0 : one.row + 1)))
