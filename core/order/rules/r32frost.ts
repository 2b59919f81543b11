import type { SystemKind } from '../../model/words'
import { dayMs } from '../../time/civil'
import { does } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const drained = /\b(drain|drained|antifreeze|anti-freeze|winteris|winteriz|frost)\w*/i
/** A month this cold on its mean has nights under zero, °C. */
const coldMonthC = 4
/** So far ahead frost is looked for, and so long ago draining still counts, days. */
const [daysAhead, daysBack] = [45, 200]
const holdsWater: readonly SystemKind[] = ['propulsion', 'plumbing', 'stern gear']

/** Frost ahead, and nothing drained since the autumn nor planned before it. Source: handbook 7 rule 32. */
export const frost: OrderRule = {
  number: 32,
  title: 'Frost ahead, nothing drained',
  find: (facts) => {
    const { rows, now, clock } = facts
    const [refit] = rows.refit
    if (!refit || rows.system.every((one) => !holdsWater.includes(one.kind))) return []
    const forecast = rows.forecast
      .flatMap((one) => one.hours)
      .find((hour) => hour.at >= now && hour.tempC < 0)?.at
    const monthOf = (at: number) => Number(clock.dateOf(at).slice(5, 7)) - 1
    const cold = Array.from({ length: daysAhead }, (_, day) => now + day * dayMs).find(
      (at) => (refit.monthMeanC[monthOf(at)] ?? Infinity) < coldMonthC,
    )
    const frostAt = Math.min(forecast ?? Infinity, cold ?? Infinity)
    if (frostAt === Infinity) return []
    const done = facts.steps.some(
      (one) =>
        (drained.test(one.step.title) || drained.test(one.job.title)) &&
        !does(one, 'buy') &&
        (one.done ? one.to >= now - daysBack * dayMs : one.to <= frostAt),
    )
    if (done) return []
    const why =
      forecast !== undefined && forecast <= frostAt
        ? `The forecast has frost on ${facts.date(frostAt)}`
        : `Frost is to be expected from ${facts.date(frostAt)} on`
    return [
      found(
        32,
        'warn',
        [],
        `${why}, and no step drains valves, heads and engine before it. What is left standing in them bursts them.`,
      ),
    ]
  },
}
