import { does, named, speaksOf, stepsTheMast } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const aloft = /mast.*(wir|light|aerial|vhf)|masthead|steaming light|(wir|light|aerial).*mast/i

/** The mast stepped before its wires, lights and aerials are tested. Source: handbook 7 rule 28. */
export const mastBeforeWires: OrderRule = {
  number: 28,
  title: 'Mast up before its wires are tested',
  find: (facts) =>
    facts.steps.flatMap((rig) => {
      if (rig.done || !stepsTheMast(rig)) return []
      const test = facts.steps
        .filter((one) => !one.done && one.from >= rig.to && does(one, 'wire', 'test', 'fit'))
        .find((one) => one.step.id !== rig.step.id && speaksOf(one, aloft))
      if (!test) return []
      return [
        found(
          28,
          'warn',
          [rig, test],
          `${named(rig)} on ${facts.date(rig.from)} comes before ${named(test)} of ${facts.date(test.from)}: what does not work is then mended from a bosun’s chair.`,
          firstThen(facts.rows, test, rig, 'Test first'),
        ),
      ]
    }),
}
