import { does, named, speaksOf } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const large = /\b(tank|engine|generator|boiler|gearbox|bunk board|large board)\b/i

/**
 * Something large goes in after what it comes in by was shut: the same place, or another behind the same way in.
 * Whether it would pass all the same nobody knows without both sizes. Source: handbook 7 rule 19.
 */
export const tooBigForTheWay: OrderRule = {
  number: 19,
  title: 'Shut before the large item is in',
  find: (facts) =>
    facts.steps.flatMap((item) => {
      if (item.done || item.zone === null || item.step.placeNeed !== 'boat') return []
      if (!does(item, 'fit', 'move', 'lift') || !speaksOf(item, large)) return []
      const way = item.zone.wayInId
      const shut = facts.steps.find(
        (one) =>
          does(one, 'close') &&
          one.job.id !== item.job.id &&
          one.step.placeNeed === 'boat' &&
          one.to <= item.from &&
          (one.zone?.id === item.zone?.id || (way !== null && one.zone?.wayInId === way)),
      )
      if (!shut) return []
      const wayIn = facts.rows.wayIn.find((one) => one.id === way)
      const by = wayIn ? ` Its way in is ${wayIn.title.toLowerCase()}.` : ''
      return [
        found(
          19,
          'stop',
          [shut, item],
          `${named(shut)} on ${facts.date(shut.from)} shuts what ${named(item)} on ${facts.date(item.from)} comes in by.${by} If it passes a smaller opening, measure both and write it down here.`,
          firstThen(facts.rows, item, shut, 'The large item first'),
        ),
      ]
    }),
}
