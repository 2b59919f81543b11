import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const finishes = /galvani|passivat|polish|anodi|varnish|lacquer/i

/** A piece given its finish before it was tried aboard. Source: handbook 7 rule 33. */
export const finishBeforeDryFit: OrderRule = {
  number: 33,
  title: 'Finished before the dry fit',
  find: (facts) =>
    facts.steps.flatMap((finish) => {
      if (finish.done || finish.step.placeNeed === 'boat') return []
      if (!does(finish, 'varnish', 'finish', 'paint') && !finishes.test(finish.step.title))
        return []
      const fit = facts
        .ofJob(finish.job.id)
        .find(
          (one) =>
            !one.done &&
            /dry.?fit|trial fit|offer up/i.test(one.step.title) &&
            one.from >= finish.to,
        )
      if (!fit) return []
      return [
        found(
          33,
          'warn',
          [finish, fit],
          `${named(finish)} on ${facts.date(finish.from)} comes before ${named(fit)}: what does not fit is cut, and the finish with it.`,
          firstThen(facts.rows, fit, finish, 'Dry fit first'),
        ),
      ]
    }),
}
