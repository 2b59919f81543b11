import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A lining, sole or panel closed before what it hides was tested. Source: handbook 7 rule 13. */
export const closedBeforeTest: OrderRule = {
  number: 13,
  title: 'Closed before the test',
  find: (facts) =>
    facts.steps.flatMap((close) => {
      if (close.done || !does(close, 'close') || close.step.placeNeed !== 'boat') return []
      const here = facts.atZone(close.zone?.id ?? '')
      const hidden = here.filter((one) => does(one, 'plumb', 'wire') && one.to <= close.from)
      const test = here.find(
        (one) =>
          does(one, 'test') &&
          !one.done &&
          one.from >= close.to &&
          hidden.some((work) => work.job.id === one.job.id),
      )
      if (!test) return []
      return [
        found(
          13,
          'stop',
          [close, test],
          `${named(close)} on ${facts.date(close.from)} shuts what ${named(test)} is to prove on ${facts.date(test.from)}.`,
          firstThen(facts.rows, test, close, 'Test first'),
        ),
      ]
    }),
}
