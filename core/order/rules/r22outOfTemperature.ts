import { byId } from '../../model/refit'
import { patchOf } from '../../model/removal'
import { meanAirC } from '../../plan/planned'
import { formatTemp } from '../../units/quantity'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const wet = ['laminate', 'fill', 'prime', 'barrier', 'antifoul', 'paint', 'varnish', 'bed'] as const

/**
 * Laid in a month whose air is under the lowest temperature of its product's sheet, and the step itself says nothing of
 * it, so that the plan does not wait. Nearer than the forecast the plan keeps hours by itself. Source: handbook 7 rule 22.
 */
export const outOfTemperature: OrderRule = {
  number: 22,
  title: 'Colder than its sheet allows',
  find: (facts) => {
    const products = byId(facts.rows.product)
    const means = facts.rows.refit[0]?.monthMeanC ?? []
    const units = facts.rows.refit[0]?.units ?? 'metric'
    return facts.steps.flatMap((one) => {
      const lowestC = products.get(one.step.productId ?? '')?.minC ?? null
      if (one.done || lowestC === null || one.step.minTempC !== null) return []
      if (!does(one, ...wet) || one.step.placeNeed !== 'boat' || one.zone?.strake === 'below')
        return []
      const airC = meanAirC(one.from, means)
      if (airC === null || airC >= lowestC) return []
      return [
        found(
          22,
          'warn',
          [one],
          `${named(one)} is planned for ${facts.date(one.from)}, when the air is about ${formatTemp(airC, units)}; by its sheet it wants ${formatTemp(lowestC, units)} or more.`,
          {
            label: `Wait for ${formatTemp(lowestC, units)}`,
            items: () => [patchOf('step', one.step, { minTempC: lowestC })],
          },
        ),
      ]
    })
  },
}
