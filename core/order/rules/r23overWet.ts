import { factsOf } from '../../plan/facts'
import { lastReadings, limitsOf, verdictOf } from '../../steps/readings'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A coat or a closing over a reading that failed. Source: handbook 7 rule 23. */
export const overWet: OrderRule = {
  number: 23,
  title: 'Closed over a failed reading',
  find: (facts) =>
    facts.steps.flatMap((read) => {
      const limits = limitsOf(read.step)
      if (!limits) return []
      const last = [...lastReadings(read.step, facts.rows.reading).values()].find(
        (one) => verdictOf(one.value, limits) === 'fail',
      )
      if (!last) return []
      const over = facts
        .ofJob(read.job.id)
        .find(
          (one) =>
            one.from >= last.at &&
            (factsOf(one.step).coats ||
              (one.step.closes ?? does(one, 'close', 'laminate', 'fill'))),
        )
      if (!over) return []
      return [
        found(
          23,
          'stop',
          [over, read],
          `${named(over)} ${over.done ? 'was done' : `is planned for ${facts.date(over.from)}`} over a reading that failed: ${read.step.readWhat} ${last.value} ${read.step.readUnit}`.trim() +
            `, taken at ${named(read)}.`,
          null,
          last.id,
        ),
      ]
    }),
}
