import { does, named, speaksOf } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const fixed = /bearer|strut|stern ?tube/i
const line = /line (is )?(signed|sighted|set)|sight the line|shaft line/i

/** Bearers, tube or strut fixed before the shaft line is signed. Source: handbook-2 J rule 40. */
export const beforeTheLine: OrderRule = {
  number: 40,
  title: 'Fixed before the line',
  find: (facts) =>
    facts.steps.flatMap((fix) => {
      if (fix.done || !does(fix, 'laminate', 'bed', 'weld', 'fit') || !fixed.test(fix.step.title))
        return []
      const sighted = facts.steps.find(
        (one) =>
          !one.done &&
          one.from >= fix.to &&
          one.step.id !== fix.step.id &&
          line.test(one.step.title) &&
          speaksOf(one, /shaft|line/i),
      )
      if (!sighted) return []
      return [
        found(
          40,
          'warn',
          [fix, sighted],
          `${named(fix)} on ${facts.date(fix.from)} comes before ${named(sighted)}. What is fixed first decides the line, whether it is right or not.`,
          firstThen(facts.rows, sighted, fix, 'Line first'),
        ),
      ]
    }),
}
