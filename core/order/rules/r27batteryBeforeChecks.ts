import { named, speaksOf } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const connects = /\bconnect\b.*\bbatter|\bbatter.*\bconnect/i
const checks = /polarity|fuse/i
const solar = /\bconnect\b.*\b(solar|panels?)\b/i

/** Batteries connected before polarity and fuses are checked; solar before its battery. Source: handbook 7 rule 27. */
export const batteryBeforeChecks: OrderRule = {
  number: 27,
  title: 'Connected before the checks',
  find: (facts) =>
    facts.steps.flatMap((connect) => {
      if (connect.done) return []
      if (connects.test(connect.step.title)) {
        const check = facts.steps.find(
          (one) =>
            !one.done &&
            one.from >= connect.to &&
            one.job.id === connect.job.id &&
            checks.test(one.step.title),
        )
        return check
          ? [
              found(
                27,
                'stop',
                [connect, check],
                `${named(connect)} on ${facts.date(connect.from)} comes before ${named(check)}. A reversed lead or a missing fuse burns there and then.`,
                firstThen(facts.rows, check, connect, 'Check first'),
              ),
            ]
          : []
      }
      if (!solar.test(connect.step.title)) return []
      const battery = facts.steps.find(
        (one) =>
          !one.done &&
          one.from >= connect.to &&
          connects.test(one.step.title) &&
          speaksOf(one, /batter/i),
      )
      return battery
        ? [
            found(
              27,
              'warn',
              [connect, battery],
              `${named(connect)} comes before ${named(battery)}. Most controllers want their battery first; their sheet decides.`,
              firstThen(facts.rows, battery, connect, 'Battery first'),
            ),
          ]
        : []
    }),
}
