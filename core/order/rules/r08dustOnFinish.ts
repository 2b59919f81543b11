import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Grinding, cutting or fairing at a place after its finish coat. Source: handbook 7 rule 8. */
export const dustOnFinish: OrderRule = {
  number: 8,
  title: 'Dust after the finish coat',
  find: (facts) =>
    facts.steps.flatMap((dust) => {
      const throwsDust = dust.step.dusty ?? does(dust, 'grind', 'cut', 'fair')
      if (dust.done || !throwsDust || dust.step.placeNeed !== 'boat') return []
      const coats = facts.atZone(dust.zone?.id ?? '').filter((one) => does(one, 'paint', 'varnish'))
      const before = coats.filter((one) => one.to <= dust.from && one.job.id !== dust.job.id).at(-1)
      // A finish that is still to get its last coat does not mind.
      if (
        !before ||
        before.done ||
        coats.some((one) => one.from >= dust.to && one.job.id === before.job.id)
      )
        return []
      return [
        found(
          8,
          'warn',
          [dust, before],
          `${named(dust)} on ${facts.date(dust.from)} throws dust where ${named(before)} was the last coat on ${facts.date(before.to)}.`,
          firstThen(facts.rows, dust, before, 'Dust first'),
        ),
      ]
    }),
}
