import { liveHours } from '../../plan/liveHours'
import { hourMs } from '../../time/civil'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const longDayHours = 8

/** Cutting or drilling blind below the waterline at the end of somebody's long day. Source: handbook 7 rule 20. */
export const blindWhenTired: OrderRule = {
  number: 20,
  title: 'Blind cut at the end of a long day',
  find: (facts) =>
    facts.steps.flatMap((cut) => {
      if (cut.done || !cut.under || cut.step.access !== 'blind' || !does(cut, 'cut', 'drill'))
        return []
      const day = facts.clock.dayOf(cut.from)
      const tired = cut.personIds.find((personId) => {
        const planned = facts.steps
          .filter((one) => one.personIds.includes(personId) && !one.done)
          .flatMap((one) => facts.placements.get(one.step.id)?.segments ?? [])
          .filter(([from]) => facts.clock.dayOf(from) === day && from < cut.from)
          .reduce((sum, [from, to]) => sum + Math.min(to, cut.from) - from, 0)
        const logged = liveHours(facts.rows)
          .filter((one) => one.personId === personId && one.on === facts.clock.dateOf(cut.from))
          .reduce((sum, one) => sum + one.hours, 0)
        return planned / hourMs + logged > longDayHours
      })
      const name = facts.rows.person.find((one) => one.id === tired)?.name
      if (!name) return []
      return [
        found(
          20,
          'note',
          [cut],
          `${named(cut)} comes after more than ${longDayHours} hours of ${name}’s day. Stop, measure again, and set a depth stop, or leave it for the morning.`,
        ),
      ]
    }),
}
