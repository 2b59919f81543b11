/** Lengths cut from bars, planks or coils: one dimension, with what the saw takes. */
import { needRange } from '../guard'

interface BarFrom {
  /** Which of the lengths that are there; null: bought. */
  readonly stock: number | null
  readonly long: number
  /** Pieces in the order they are cut, by their number. */
  readonly pieces: readonly number[]
  readonly rest: number
}
export interface BarPlan {
  readonly bars: readonly BarFrom[]
  /** Bars bought, by length. */
  readonly bought: readonly { readonly long: number; readonly count: number }[]
  readonly boughtLong: number
}

const hair = 1e-7

interface Open {
  readonly stock: number | null
  readonly long: number
  rest: number
  readonly pieces: number[]
}

/** One plan by an order of pieces: each goes where the least is left; a new bar is the shortest that the rest makes good use of. */
function laid(
  pieces: readonly number[],
  order: readonly number[],
  stock: readonly number[],
  lengths: readonly number[],
  kerf: number,
  choose: (need: number) => number,
): Open[] | null {
  const bars: Open[] = stock.map((long, at) => ({ stock: at, long, rest: long, pieces: [] }))
  for (const at of order) {
    const long = pieces[at] as number
    // The last piece of a bar may end with the bar: no cut after it.
    const fits = bars.filter((one) => one.rest >= long - hair)
    const best = fits.reduce<Open | null>(
      (found, one) => (!found || one.rest < found.rest - hair ? one : found),
      null,
    )
    const bar = best ?? fresh(lengths, long, choose)
    if (!bar) return null
    if (!best) bars.push(bar)
    bar.pieces.push(at)
    bar.rest = Math.max(0, bar.rest - long - kerf)
  }
  return bars.filter((one) => one.pieces.length > 0)
}

function fresh(
  lengths: readonly number[],
  need: number,
  choose: (need: number) => number,
): Open | null {
  const long = choose(need)
  return lengths.includes(long) ? { stock: null, long, rest: long, pieces: [] } : null
}

/**
 * Pieces (lengths over 0) out of what is there and what can be bought, with `kerf` (0 and over) lost at each cut: the least
 * length bought that some hundred orders find. Null: a piece is longer than all there is to buy. Throws RangeError outside.
 */
export function barPlan(
  pieces: readonly number[],
  stock: readonly number[],
  lengths: readonly number[],
  kerf: number,
  random: () => number,
): BarPlan | null {
  for (const one of [...pieces, ...stock, ...lengths])
    needRange('barPlan', 'length', one, 1e-6, 1e9)
  needRange('barPlan', 'kerf', kerf, 0, 1e6)
  const sizes = [...new Set(lengths)].sort((a, b) => a - b)
  const byLength = pieces
    .map((_, at) => at)
    .sort((a, b) => (pieces[b] as number) - (pieces[a] as number) || a - b)
  const cost = (bars: readonly Open[]): number =>
    bars.reduce((sum, one) => sum + (one.stock === null ? one.long : 0), 0)
  let best: Open[] | null = null
  const rules = [
    (need: number) => sizes.find((one) => one >= need - hair) ?? NaN,
    (need: number) => ((sizes.at(-1) ?? 0) >= need - hair ? (sizes.at(-1) as number) : NaN),
    () => sizes[Math.floor(random() * sizes.length)] ?? NaN,
  ]
  for (let round = 0; round < 240; round++) {
    const order =
      round < 2
        ? byLength
        : [...byLength]
            .map((at) => [at, (pieces[at] as number) * (0.75 + 0.5 * random())] as const)
            .sort((a, b) => b[1] - a[1])
            .map(([at]) => at)
    const rule = rules[round % rules.length] as (need: number) => number
    const found = laid(pieces, order, stock, sizes, kerf, (need) => {
      const wish = rule(need)
      return wish >= need - hair ? wish : (sizes.find((one) => one >= need - hair) ?? NaN)
    })
    if (!found) return null
    const shrunk = found.map((one) => shorter(one, sizes, pieces, kerf))
    if (
      !best ||
      cost(shrunk) < cost(best) - hair ||
      (cost(shrunk) < cost(best) + hair && shrunk.length < best.length)
    )
      best = shrunk
  }
  const bars = best ?? []
  const bought = sizes
    .map((long) => ({
      long,
      count: bars.filter((one) => one.stock === null && one.long === long).length,
    }))
    .filter((one) => one.count > 0)
  return { bars, bought, boughtLong: cost(bars) }
}

/** A bought bar that is longer than its pieces want is bought shorter. */
function shorter(
  bar: Open,
  sizes: readonly number[],
  pieces: readonly number[],
  kerf: number,
): Open {
  if (bar.stock !== null) return bar
  const need =
    bar.pieces.reduce((sum, at) => sum + (pieces[at] as number), 0) + kerf * (bar.pieces.length - 1)
  const long = sizes.find((one) => one >= need - hair) ?? bar.long
  return { ...bar, long, rest: Math.max(0, long - need) }
}
