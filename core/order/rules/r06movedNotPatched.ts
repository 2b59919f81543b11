import { does, named } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Stands moved, and the bare patches under them not coated before the launch. Source: handbook 7 rule 6. */
export const movedNotPatched: OrderRule = {
  number: 6,
  title: 'Stands moved, patches bare',
  find: (facts) =>
    facts.steps.flatMap((move) => {
      if (move.done || !does(move, 'move') || move.step.placeNeed !== 'boat') return []
      const ashore = facts.ashoreAt(move.from)
      if (!ashore) return []
      const isCoated = facts.steps.some(
        (one) =>
          does(one, 'antifoul', 'barrier', 'paint', 'prime') &&
          (one.under || one.job.id === move.job.id) &&
          one.from >= move.from &&
          one.from < ashore.launchAt,
      )
      if (isCoated) return []
      return [
        found(
          6,
          'warn',
          [move],
          `${named(move)} on ${facts.date(move.from)} bares the patches under the stands, and nothing coats them before the launch.`,
          {
            label: 'Coat the patches, 45 min',
            items: (newId) => [
              insertItem(
                facts.rows,
                move.step,
                'behind',
                {
                  title: 'Coat the patches under the stands',
                  operation: 'antifoul',
                  hoursLikely: 0.75,
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
