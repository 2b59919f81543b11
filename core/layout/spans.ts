import { needRange } from '../guard'

/**
 * Equal spans along a line: n = ceil(length ÷ longest span), posts n + 1. Length over 0 to 100 m, span
 * 0.05–20 m. A millimetre's millionth over is no span more. Throws RangeError outside. Source: handbook 11.
 * Example: 7.2 m at 1.6 m → 5 spans of 1.44 m, 6 posts.
 */
export function equalSpans(
  lengthM: number,
  longestM: number,
): { spans: number; posts: number; spanM: number } {
  needRange('equalSpans', 'length in m', lengthM, 1e-3, 100)
  needRange('equalSpans', 'longest span in m', longestM, 0.05, 20)
  const spans = Math.ceil(lengthM / longestM - 1e-9)
  return { spans, posts: spans + 1, spanM: lengthM / spans }
}
