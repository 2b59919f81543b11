import { named, speaksOf } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const needsRoom =
  /\b(draw|drawn|pull|withdraw)\b.*\bshaft\b|\bshaft\b.*\b(out|drawn)\b|\brudder\b.*\b(out|off|down|drop|dropped)\b|\b(drop|unship)\b.*\brudder\b/i
const agreed = /\b(block height|blocks? (up|high|higher)|pit)\b/i

/**
 * A shaft drawn or a rudder dropped in a haul-out to come, with no height of the blocks or pit agreed before she is
 * lifted out. Source: handbook 7 rule 25.
 */
export const noBlockHeight: OrderRule = {
  number: 25,
  title: 'No room under her agreed',
  find: (facts) => {
    const asked = facts.steps.filter((one) => agreed.test(one.step.title))
    return facts.steps.flatMap((work) => {
      if (work.done || !needsRoom.test(work.step.title)) return []
      const ashore = facts.ashoreAt(work.from)
      if (!ashore || ashore.haulOut.liftOutActual !== null || ashore.from <= facts.now) return []
      if (asked.some((one) => one.done || one.to <= ashore.from)) return []
      // Said once for a haul-out, at the first of them.
      const first = facts.steps.find(
        (one) => !one.done && needsRoom.test(one.step.title) && facts.ashoreAt(one.from) === ashore,
      )
      if (first !== work || speaksOf(work, agreed)) return []
      return [
        found(
          25,
          'stop',
          [work],
          `${named(work)} on ${facts.date(work.from)} wants room under her. How high she is blocked, or over which pit, has to be agreed with the yard before she is lifted out on ${facts.date(ashore.from)}.`,
          {
            label: 'Agree the block height, 15 min',
            items: (newId) => [
              insertItem(
                facts.rows,
                work.step,
                'before',
                {
                  title: 'Agree block height or pit with the yard',
                  operation: 'label',
                  hoursLikely: 0.25,
                  more: {
                    placeNeed: 'away',
                    hullNeed: 'either',
                    notAfter: facts.clock.dateOf(ashore.from),
                  },
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    })
  },
}
