import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Strong two-part paint over a one-part coat. Source: handbook 7 rule 30. */
export const strongOverSoft: OrderRule = {
  number: 30,
  title: 'Two-part over one-part',
  find: (facts) =>
    facts.steps.flatMap((coat) => {
      if (coat.done || coat.step.placeNeed !== 'boat' || !does(coat, 'prime', 'paint', 'barrier'))
        return []
      const sheet = facts.rows.product.find((one) => one.id === coat.step.productId)
      // What has a pot life is mixed of two parts.
      const isTwoPart = sheet?.potLifeH !== null && sheet?.potLifeH !== undefined
      const old = coat.zone?.oldCoat ?? ''
      if (!isTwoPart || !/one.?part|single.?pack|1.?part/i.test(old)) return []
      const isStripped = facts
        .atZone(coat.zone?.id ?? '')
        .some((one) => does(one, 'strip') && one.to <= coat.from)
      if (isStripped) return []
      return [
        found(
          30,
          'warn',
          [coat],
          `${named(coat)} puts ${sheet?.name}, which is mixed of two parts, over “${old}”. Its solvents lift a one-part coat: strip it, or try a patch for a week.`,
          null,
          old,
        ),
      ]
    }),
}
