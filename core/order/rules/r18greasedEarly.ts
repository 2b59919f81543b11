import { addDays, dayMs } from '../../time/civil'
import { patchOf } from '../../model/removal'
import { named, speaksOf } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const mostDays = 60
const greased = /\bgreas|\bpack(ed|ing)? (the )?(gland|stuffing)|repack/i

/** Stern gear greased or packed long before she is launched. Source: handbook 7 rule 18. */
export const greasedEarly: OrderRule = {
  number: 18,
  title: 'Greased long before the launch',
  find: (facts) =>
    facts.steps.flatMap((grease) => {
      if (grease.done || !greased.test(grease.step.title)) return []
      if (!grease.under && !speaksOf(grease, /shaft|gland|propeller|stern|rudder/i)) return []
      const ashore = facts.ashoreAt(grease.to)
      if (!ashore || ashore.launchAt === Infinity) return []
      const days = Math.floor((ashore.launchAt - grease.to) / dayMs)
      if (days <= mostDays) return []
      const from = addDays(facts.clock.dateOf(ashore.launchAt), -mostDays)
      return [
        found(
          18,
          'note',
          [grease],
          `${named(grease)} comes ${days} days before the launch: grease dries out and runs in the sun.`,
          {
            label: 'Nearer the launch',
            items: () => [patchOf('step', grease.step, { notBefore: from })],
          },
        ),
      ]
    }),
}
