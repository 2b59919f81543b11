import { dayNumber } from '../../time/civil'
import { sayDate } from '../../time/say'
import { named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A part that holds its step up, or was ordered before what it is measured by was done. Source: handbook 7 rule 14. */
export const partLate: OrderRule = {
  number: 14,
  title: 'Part late, or ordered too early',
  find: (facts) =>
    facts.rows.part.flatMap((part) => {
      const step = facts.stepOf(part.neededByStepId ?? '')
      if (!step || step.done || ['arrived', 'fitted', 'returned'].includes(part.state)) return []
      const binding = facts.placements.get(step.step.id)?.binding
      if (binding?.kind === 'part' && binding.partId === part.id)
        return [
          found(
            14,
            'warn',
            [step],
            `${named(step)} waits for ${part.name}${part.arrivesOn ? `, here on ${sayDate(part.arrivesOn)}` : ''}.`,
            null,
            part.id,
          ),
        ]
      const { inputSources } = step.job
      // What somebody wants measured has not been yet.
      const guessed = Object.values(inputSources).some((one) => one.how === 'wanted')
      if (part.state === 'ordered' && guessed && part.recipePart !== '')
        return [
          found(
            14,
            'note',
            [step],
            `${part.name} is ordered by dimensions of “${step.job.title}” that nobody has measured yet.`,
            null,
            `${part.id} guessed`,
          ),
        ]
      const late =
        part.arrivesOn !== null && facts.clock.at(dayNumber(part.arrivesOn), 0) > step.from
      return late
        ? [
            found(
              14,
              'warn',
              [step],
              `${part.name} comes on ${sayDate(part.arrivesOn ?? '')}, after ${named(step)} of ${facts.date(step.from)}.`,
              null,
              part.id,
            ),
          ]
        : []
    }),
}
