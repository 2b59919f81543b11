import { patchOf } from '../../model/removal'
import { dayNumber } from '../../time/civil'
import { sayDate } from '../../time/say'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A cut-out made before the part that goes into it is in hand. Source: handbook-2 J rule 36. */
export const cutBeforePart: OrderRule = {
  number: 36,
  title: 'Cut before the part is here',
  find: (facts) =>
    facts.steps.flatMap((cut) => {
      if (cut.done || !does(cut, 'cut') || cut.step.placeNeed !== 'boat') return []
      const part = facts.rows.part.find((one) => {
        const later = facts.stepOf(one.neededByStepId ?? '')
        if (later?.job.id !== cut.job.id || later.from < cut.to) return false
        if (['arrived', 'fitted', 'returned'].includes(one.state) || one.recipePart !== '')
          return false
        return one.arrivesOn === null || facts.clock.at(dayNumber(one.arrivesOn), 0) > cut.from
      })
      if (!part) return []
      const { arrivesOn } = part
      return [
        found(
          36,
          'warn',
          [cut],
          `${named(cut)} on ${facts.date(cut.from)} comes before ${part.name} is in hand${arrivesOn ? `, on ${sayDate(arrivesOn)}` : ''}. Cut to what lies there, not to its drawing.`,
          arrivesOn === null
            ? null
            : {
                label: `Not before ${sayDate(arrivesOn)}`,
                items: () => [patchOf('step', cut.step, { notBefore: arrivesOn })],
              },
          part.id,
        ),
      ]
    }),
}
