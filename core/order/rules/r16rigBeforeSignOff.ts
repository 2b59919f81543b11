import { does, named, speaksOf, stepsTheMast } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const carries = /chain ?plate|mast step|\bspars?\b|swage|standing rig/i

/** The rig stepped before what carries it is looked at and signed. Source: handbook 7 rule 16. */
export const rigBeforeSignOff: OrderRule = {
  number: 16,
  title: 'Rig stepped too early',
  find: (facts) =>
    facts.steps.flatMap((rig) => {
      if (rig.done || !stepsTheMast(rig)) return []
      const later = facts.steps
        .filter((one) => !one.done && one.from >= rig.to && one.step.id !== rig.step.id)
        .filter((one) => !does(one, 'paint', 'varnish', 'clean') && speaksOf(one, carries))
        .at(-1)
      if (!later) return []
      return [
        found(
          16,
          'stop',
          [rig, later],
          `${named(rig)} on ${facts.date(rig.from)} comes before ${named(later)} of ${facts.date(later.from)}. What carries the rig is signed off first.`,
          firstThen(facts.rows, later, rig, 'Sign off first'),
        ),
      ]
    }),
}
