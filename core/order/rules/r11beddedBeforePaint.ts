import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Hardware bedded before the surface under it has its paint. Source: handbook 7 rule 11. */
export const beddedBeforePaint: OrderRule = {
  number: 11,
  title: 'Bedded before the paint',
  find: (facts) =>
    facts.steps.flatMap((bed) => {
      if (bed.done || !does(bed, 'bed') || bed.zone?.strake !== 'deck') return []
      const paint = facts
        .atZone(bed.zone.id)
        .find((one) => does(one, 'paint') && !one.done && one.from >= bed.to)
      if (!paint) return []
      return [
        found(
          11,
          'warn',
          [bed, paint],
          `${named(bed)} on ${facts.date(bed.from)} comes before ${named(paint)} of ${facts.date(paint.from)}: the paint ends at its edge and lets water in there.`,
          firstThen(facts.rows, paint, bed, 'Paint first'),
        ),
      ]
    }),
}
