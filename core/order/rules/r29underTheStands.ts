import { does, named } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const where = /\bunder (the )?(stands?|blocks?|pads?|keel blocks?|supports?)\b/i

/** Work on what a stand or block covers, with no step in which the yard moves it. Source: handbook 7 rule 29. */
export const underTheStands: OrderRule = {
  number: 29,
  title: 'A stand in the way',
  find: (facts) =>
    facts.steps.flatMap((work) => {
      if (work.done || does(work, 'move') || !where.test(work.step.title)) return []
      const ashore = facts.ashoreAt(work.from)
      if (!ashore) return []
      const moved = facts.steps.some(
        (one) => does(one, 'move') && one.from >= ashore.from && one.to <= work.from,
      )
      if (moved) return []
      return [
        found(
          29,
          'warn',
          [work],
          `${named(work)} on ${facts.date(work.from)} is where a stand or block stands, and no step has the yard move it before.`,
          {
            label: 'Yard moves the stands first',
            items: (newId) => [
              insertItem(
                facts.rows,
                work.step,
                'before',
                {
                  title: 'Yard moves the stands',
                  operation: 'move',
                  hoursLikely: 0,
                  more: { hullNeed: 'ashore' },
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
