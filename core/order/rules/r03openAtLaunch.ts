import { named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A hull opening still open, or not cured, when she is launched. Source: handbook 7 rule 3. */
export const openAtLaunch: OrderRule = {
  number: 3,
  title: 'Open at the launch',
  find: (facts) =>
    facts.openings.flatMap((opening) => {
      const zone = facts.rows.zone.find((one) => one.id === opening.job.zoneId)
      if (!zone?.belowWaterline) return []
      const launch = facts.ashore.find(
        (one) =>
          one.haulOut.launchActual === null &&
          one.launchAt !== Infinity &&
          one.launchAt > opening.from &&
          one.launchAt < opening.to,
      )
      if (!launch) return []
      const until =
        opening.to === Infinity
          ? 'nothing in the plan shuts it'
          : `it is cured only on ${facts.date(opening.to)}`
      return [
        found(
          3,
          'stop',
          [opening],
          `${named(opening)} is open when she is launched on ${facts.date(launch.launchAt)}: ${until}.`,
        ),
      ]
    }),
}
