import { factsOf } from '../../plan/facts'
import { does, named, speaksOf } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const soft = /upholster|cushion|curtain|carpet|mattress|berth cover|sails? (aboard|on|bent)/i

/** Soft goods aboard before the last dusty step there. Source: handbook 7 rule 21. */
export const softGoods: OrderRule = {
  number: 21,
  title: 'Soft goods before the dust',
  find: (facts) =>
    facts.steps.flatMap((goods) => {
      if (goods.done || !does(goods, 'fit', 'close') || !speaksOf(goods, soft)) return []
      const dust = facts
        .atZone(goods.zone?.id ?? '')
        .filter((one) => factsOf(one.step).dusty && !one.done && one.from >= goods.to)
        .at(-1)
      if (!dust) return []
      return [
        found(
          21,
          'note',
          [goods, dust],
          `${named(goods)} on ${facts.date(goods.from)} comes before the dust of ${named(dust)} on ${facts.date(dust.from)}.`,
          firstThen(facts.rows, dust, goods, 'Dust first'),
        ),
      ]
    }),
}
