/** Searches for a better answer to a sum, beside the page. */
import type { Values } from '#core/bench/ask'
import { plainTools } from '#core/bench/sum'
import type { Answer } from '#core/bench/sum'
import { sumOf } from '#core/bench/sums'
import { workSum } from '#core/bench/workSum'
import { createRandom } from '#core/random'
import type { UnitSystem } from '#core/units/length'

/** How far the search is, 0 to 1, and the best so far; null: nothing better than before. */
export interface SumProgress {
  readonly share: number
  readonly answer: Answer | null
}

/** Rounds get longer: the first answers come soon, the last ones seldom. Milliseconds. */
const rounds = [120, 250, 500, 900, 1500, 2500] as const

export const searcher = {
  /** Tells the best after each round. Throws where the sum cannot be worked. */
  async search(
    key: string,
    values: Values,
    units: UnitSystem,
    currency: string,
    tell: (progress: SumProgress) => Promise<void> | void,
  ): Promise<void> {
    const sum = sumOf(key)
    if (!sum) throw new Error(`There is no sum ${key}.`)
    const all = rounds.reduce<number>((total, one) => total + one, 0)
    let done = 0
    let best = Infinity
    for (const [at, ms] of rounds.entries()) {
      const random = createRandom(at + 1)
      const worked = workSum(sum, values, {
        ...plainTools(units, currency),
        search: {
          part: (share) => {
            const end = performance.now() + ms * share
            return { isOver: () => performance.now() >= end, random }
          },
        },
      })
      if (!worked.ok) throw new Error(worked.message)
      done += ms
      const score = worked.value.score ?? 0
      const better = score < best - 1e-9
      if (better) best = score
      await tell({ share: done / all, answer: better ? worked.value : null })
    }
  },
}

export type SumSearcher = typeof searcher
