/** How long the sums of the bench take. */
import { benchBoard } from '#core/bench/board'
import { initialValues } from '#core/bench/check'
import { doubtOf } from '#core/bench/doubt'
import { plainTools } from '#core/bench/sum'
import { sums } from '#core/bench/sums'
import { workSum } from '#core/bench/workSum'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { makePlan } from '#core/plan/makePlan'
import { medianMs } from './median'

const shown = 8

/** The slowest answers first, and the way in with all that open jobs of the demo want. */
export function sumsBench() {
  const tools = plainTools('metric')
  const answers = sums
    .map((sum) => {
      const values = initialValues(sum.asks)
      const worked = workSum(sum, values, tools)
      return {
        sum: sum.key,
        'an answer, ms': medianMs(() => workSum(sum, values, tools)),
        'what guesses do, ms': worked.ok
          ? medianMs(() => doubtOf(sum, values, {}, tools, worked.value))
          : Number.NaN,
      }
    })
    .sort((a, b) => b['an answer, ms'] - a['an answer, ms'])
  const rows = sableWren('bench')
  const { plan } = makePlan(rows, demoNow)
  const starts = new Map(plan.placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? null]))
  const facts = { startOf: (id: string) => starts.get(id) ?? null, holds: () => null, tools }
  return {
    answers: answers.slice(0, shown),
    board: {
      wanted: benchBoard(rows, facts).length,
      'list of them, ms': medianMs(() => benchBoard(rows, facts)),
      'six answers, ms': Number(
        medianMs(() =>
          benchBoard(rows, facts)
            .slice(0, 6)
            .map((one) => one.answer),
        ).toFixed(1),
      ),
    },
  }
}
