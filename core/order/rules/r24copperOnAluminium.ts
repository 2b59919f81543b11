import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Copper antifouling on an aluminium hull. Source: handbook 7 rule 24. */
export const copperOnAluminium: OrderRule = {
  number: 24,
  title: 'Copper on aluminium',
  find: (facts) => {
    if (facts.rows.refit[0]?.hullMaterial !== 'aluminium') return []
    return facts.steps.flatMap((coat) => {
      if (coat.done || !does(coat, 'antifoul')) return []
      const sheet = facts.rows.product.find((one) => one.id === coat.step.productId)
      if (!sheet || !/copper|cuprous/i.test(`${sheet.name} ${sheet.maker}`)) return []
      return [
        found(
          24,
          'stop',
          [coat],
          `${named(coat)} puts ${sheet.name} on an aluminium hull: copper eats it. Ask for one that is made for aluminium.`,
          null,
          sheet.id,
        ),
      ]
    })
  },
}
