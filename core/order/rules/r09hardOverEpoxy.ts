import type { Product } from '../../model/entities'
import { byId } from '../../model/refit'
import { does, named } from '../facts'
import type { OrderStep } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const epoxy = /epoxy|epoxide/i
const polyester = /polyester|gel ?coat|vinyl ?ester/i
const shy = /silicone|rubber sealant|wax/i
const tie = /tie ?coat/i
const bonds = ['laminate', 'fill', 'paint', 'prime', 'barrier', 'varnish'] as const

/** What a step is laid with, by its product, else by its own words. */
const stuffOf = ({ step }: OrderStep, products: ReadonlyMap<string, Product>): string =>
  `${products.get(step.productId ?? '')?.name ?? ''} ${step.title}`

/**
 * Polyester or gelcoat over epoxy without a tie coat; anything that bonds over old rubber sealant or wax that nobody
 * took off. Source: handbook 7 rule 9.
 */
export const hardOverEpoxy: OrderRule = {
  number: 9,
  title: 'Does not stick to what is under it',
  find: (facts) => {
    const products = byId(facts.rows.product)
    return facts.steps.flatMap((over) => {
      if (over.done || over.zone === null || over.step.placeNeed !== 'boat') return []
      if (!does(over, ...bonds)) return []
      const before = facts.atZone(over.zone.id).filter((one) => one !== over && one.to <= over.from)
      const old = over.zone.oldCoat
      const cleaned = before.some((one) => does(one, 'clean', 'strip', 'grind'))
      if (shy.test(old) && !cleaned)
        return [
          found(
            9,
            'warn',
            [over],
            `${named(over)} on ${facts.date(over.from)} goes on ${over.zone.name}, where there is ${old}: nothing sticks to it, and no step takes it off before.`,
            {
              label: 'Strip and wipe first, 1 h',
              items: (newId) => [
                insertItem(
                  facts.rows,
                  over.step,
                  'before',
                  {
                    title: `Take off the ${old}, wipe with solvent`.slice(0, 300),
                    operation: 'strip',
                    hoursLikely: 1,
                  },
                  newId(),
                ),
              ],
            },
          ),
        ]
      if (!polyester.test(stuffOf(over, products))) return []
      const under = [...before].reverse().find((one) => does(one, ...bonds))
      const isEpoxy = under ? epoxy.test(stuffOf(under, products)) : epoxy.test(old)
      const tied = before.some((one) => tie.test(stuffOf(one, products)))
      if (!isEpoxy || tied) return []
      const what = under ? named(under) : `the old ${old}`
      return [
        found(
          9,
          'warn',
          under ? [over, under] : [over],
          `${named(over)} on ${facts.date(over.from)} goes over ${what}: polyester does not cure on epoxy without a tie coat.`,
          {
            label: 'Tie coat before it, 1 h',
            items: (newId) => [
              insertItem(
                facts.rows,
                over.step,
                'before',
                {
                  title: 'Tie coat, by its sheet',
                  operation: 'prime',
                  hoursLikely: 1,
                  more: { needsDry: true },
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    })
  },
}
