import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Welding where paint, lining, foam or wires are already: the other side burns too. Source: handbook 7 rule 7. */
export const hotWork: OrderRule = {
  number: 7,
  title: 'Hot work after coats, lining or wires',
  find: (facts) =>
    facts.steps.flatMap((weld) => {
      if (weld.done || !does(weld, 'weld') || weld.step.placeNeed !== 'boat') return []
      const fuel = facts
        .atZone(weld.zone?.id ?? '')
        .find((one) => one.step.licensedKind === 'fuel' || one.step.licensedKind === 'gas')
      const isFree = facts
        .ofJob(weld.job.id)
        .some((one) => /gas.?free/i.test(one.step.title) && one.to <= weld.from)
      if (fuel && !isFree)
        return [
          found(
            7,
            'stop',
            [weld, fuel],
            `${named(weld)} is hot work near ${named(fuel)}, and no gas-free check comes before it.`,
            null,
            'gas',
          ),
        ]
      const before = facts
        .atZone(weld.zone?.id ?? '')
        .find(
          (one) =>
            !one.done &&
            one.to <= weld.from &&
            does(one, 'paint', 'varnish', 'wire', 'close', 'finish'),
        )
      if (!before) return []
      return [
        found(
          7,
          'warn',
          [weld, before],
          `${named(weld)} on ${facts.date(weld.from)} comes after ${named(before)} in the same place: heat spoils it, and can set it alight on the other side.`,
          firstThen(facts.rows, weld, before, 'Weld first'),
        ),
      ]
    }),
}
