import { factsOf } from '../../plan/facts'
import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Drilling, cutting or welding the hull below the waterline after its barrier coat or antifouling. Source: handbook 7 rule 1. */
export const cutAfterCoat: OrderRule = {
  number: 1,
  title: 'Hull opened after its coat',
  find: (facts) =>
    facts.steps.flatMap((cut) => {
      if (cut.done || !cut.under || !does(cut, 'drill', 'cut', 'weld')) return []
      const ashore = facts.ashoreAt(cut.from)
      const coat = facts
        .atZone(cut.zone?.id ?? '')
        .find(
          (one) =>
            does(one, 'barrier', 'antifoul') &&
            one.to <= cut.from &&
            one.from >= (ashore?.from ?? Infinity) &&
            !isMadeGood(one.to, cut.to),
        )
      if (!coat) return []
      return [
        found(
          1,
          'warn',
          [cut, coat],
          `${named(cut)} on ${facts.date(cut.from)} goes through ${named(coat)} of ${facts.date(coat.from)}. The patch has to be coated again, or it comes first.`,
          firstThen(facts.rows, cut, coat, 'Cut first'),
        ),
      ]

      function isMadeGood(from: number, to: number): boolean {
        return facts
          .ofJob(cut.job.id)
          .some((one) => factsOf(one.step).coats && one.from >= to && one.from > from)
      }
    }),
}
