import { named } from '../facts'
import type { OrderStep } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const heavy =
  /\b(engine|mast|masts|ballast|keel|tank|tanks)\b.*\b(out|off|in|back|aboard|lifted|stepped|unstepped|renewed)\b/i
const asked = /\b(sling|slings|lift plan)\b|\bcrane\b.*\bweight\b|\bweight\b.*\bcrane\b/i
/** Written down as added, it counts from so much on, kg. */
const leastKg = 100

/** Weight moved or changed since she was last lifted, and slings not asked again before the next lift. Source: handbook 7 rule 26. */
export const slingsNotAsked: OrderRule = {
  number: 26,
  title: 'Weight changed, slings not asked again',
  find: (facts) => {
    const addsMuch = ({ job }: OrderStep) => Math.abs(job.addsKg ?? 0) >= leastKg
    return facts.ashore.flatMap((stand) => {
      if (stand.launchAt === Infinity || stand.launchAt <= facts.now) return []
      const here = facts.steps.filter((one) => one.from >= stand.from && one.to <= stand.launchAt)
      const last = [...here]
        .reverse()
        .find(
          (one) => one.step.placeNeed === 'boat' && (heavy.test(one.step.title) || addsMuch(one)),
        )
      if (!last) return []
      const isAsked = here.some((one) => asked.test(one.step.title) && one.to >= last.to)
      if (isAsked) return []
      return [
        found(
          26,
          'stop',
          [last],
          `${named(last)} on ${facts.date(last.from)} changes her weight or where it lies, and nobody asks about weight and sling points again before the launch on ${facts.date(stand.launchAt)}. The crane firm’s lift plan decides.`,
          last.done
            ? null
            : {
                label: 'Ask about slings and weight, 15 min',
                items: (newId) => [
                  insertItem(
                    facts.rows,
                    last.step,
                    'behind',
                    {
                      title: 'Tell the crane firm weight and sling points',
                      operation: 'label',
                      hoursLikely: 0.25,
                      more: { placeNeed: 'away', hullNeed: 'either' },
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
