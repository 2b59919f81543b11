/** Lists that are kept for the whole boat: what the job before left on them is what the next one begins with. */
import type { KeptSum } from '../model/entities'
import type { LineValues, Value, Values } from './ask'
import { fittingValues } from './check'
import type { Sum, Tools } from './sum'
import { workSum } from './workSum'

/**
 * What a job finds of a list that other jobs keep: its own lines first, then those of the newest kept answer. Empty where the
 * sum does not grow, or no other job has kept it.
 */
export function grownValues(
  sum: Sum,
  kept: readonly KeptSum[],
  jobId: string,
  own: readonly LineValues[],
  tools: Tools,
): Values {
  const { grows } = sum
  const ask = sum.asks.find((one) => one.key === grows?.list)
  if (!grows || ask?.is !== 'lines') return {}
  const last = kept
    .filter((one) => one.sumKey === sum.key && (one.jobId ?? '') !== jobId)
    .sort((a, b) => b.keptAt - a.keptAt)[0]
  if (!last) return {}
  const values = fittingValues(sum.asks, last.inputs)
  const worked = workSum(sum, values, tools)
  const before = ((values[grows.list] ?? []) as readonly LineValues[]).map((line) =>
    grows.carried(line, worked.ok ? worked.value : null),
  )
  const beside = grows.keeps.flatMap((key): [string, Value][] =>
    values[key] === undefined ? [] : [[key, values[key] as Value]],
  )
  return {
    ...Object.fromEntries(beside),
    [grows.list]: [...own, ...before].slice(0, ask.most),
  }
}
