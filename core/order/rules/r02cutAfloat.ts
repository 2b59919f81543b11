import { patchOf } from '../../model/removal'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** The hull opened below the waterline while she floats. Source: handbook 7 rule 2. */
export const cutAfloat: OrderRule = {
  number: 2,
  title: 'Hull opened afloat',
  find: (facts) =>
    facts.steps.flatMap((cut) => {
      if (cut.done || !cut.under || !does(cut, 'drill', 'cut')) return []
      if (facts.ashore.length === 0 || facts.ashoreAt(cut.from)) return []
      return [
        found(
          2,
          'stop',
          [cut],
          `${named(cut)} opens the hull below the waterline on ${facts.date(cut.from)}, when she is afloat.`,
          cut.step.hullNeed === 'ashore'
            ? null
            : {
                label: 'Only ashore',
                items: () => [patchOf('step', cut.step, { hullNeed: 'ashore' })],
              },
        ),
      ]
    }),
}
