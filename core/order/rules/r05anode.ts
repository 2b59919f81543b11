import { does, named, speaksOf } from '../facts'
import { firstThen, insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const anode = /\banodes?\b/i

/** An anode fitted before the antifouling without a mask, or with no check of its bond. Source: handbook 7 rule 5. */
export const anodeOrder: OrderRule = {
  number: 5,
  title: 'Anode before the paint, or not checked',
  find: (facts) =>
    facts.steps.flatMap((fit) => {
      if (fit.done || !fit.under || !does(fit, 'fit') || !speaksOf(fit, anode)) return []
      const own = facts.ofJob(fit.job.id)
      const ashore = facts.ashoreAt(fit.from)
      const paint = facts.steps.find(
        (one) =>
          does(one, 'antifoul') &&
          one.from >= fit.to &&
          one.from < (ashore?.launchAt ?? Infinity) &&
          one.under,
      )
      const isMasked = own.some((one) => /mask/i.test(one.step.title))
      const early =
        paint && ashore && !isMasked
          ? [
              found(
                5,
                'warn',
                [fit, paint],
                `${named(fit)} comes before ${named(paint)} of ${facts.date(paint.from)}, and nothing masks it: a painted anode protects nothing.`,
                firstThen(facts.rows, paint, fit, 'Paint first'),
              ),
            ]
          : []
      const isChecked = own.some((one) => does(one, 'test') || /bond|ohm/i.test(one.step.title))
      if (isChecked) return early
      return [
        ...early,
        found(
          5,
          'warn',
          [fit],
          `${named(fit)} has no check of its bond. Without metal to metal it protects nothing.`,
          {
            label: 'Add the check, 15 min',
            items: (newId) => [
              insertItem(
                facts.rows,
                fit.step,
                'behind',
                {
                  title: 'Bond under 0.1 ohm',
                  operation: 'test',
                  hoursLikely: 0.25,
                  more: { readWhat: 'Bond to the shaft or hull', readUnit: 'ohm', readHigh: 0.1 },
                },
                newId(),
              ),
            ],
          },
          'bond',
        ),
      ]
    }),
}
