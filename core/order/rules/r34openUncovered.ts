import { named } from '../facts'
import { dateOf, dayNumber } from '../../time/civil'
import { sayDate } from '../../time/say'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Days without anybody from which on an opening may not be left to the rain. */
const absenceDays = 4

/** A deck or hull opening that stands uncovered over days on which nobody is there. Source: handbook-2 J rule 34. */
export const openUncovered: OrderRule = {
  number: 34,
  title: 'Open over an absence',
  find: (facts) => {
    const days = [
      ...new Set(
        facts.steps
          .filter((one) => !one.done && one.step.placeNeed === 'boat' && one.personIds.length > 0)
          .flatMap((one) => facts.placements.get(one.step.id)?.segments ?? [])
          .map(([from]) => facts.clock.dayOf(from)),
      ),
    ].sort((a, b) => a - b)
    return facts.openings.flatMap((opening) => {
      const zone = facts.rows.zone.find((one) => one.id === opening.job.zoneId)
      if (!zone || zone.strake !== 'deck' || opening.to === Infinity) return []
      const [first, last] = [
        facts.clock.dayOf(Math.max(opening.from, facts.now)),
        facts.clock.dayOf(opening.to),
      ]
      const there = days.filter((day) => day >= first && day <= last)
      const gap = there
        .map((day, at) => [day, there[at + 1] ?? last] as const)
        .find(([from, to]) => to - from > absenceDays)
      if (!gap) return []
      const [from, to] = [gap[0] + 1, gap[1] - 1]
      const isCovered = facts.rows.cover.some(
        (one) =>
          (one.zoneIds.length === 0 || one.zoneIds.includes(zone.id)) &&
          one.kind !== 'heat' &&
          dayNumber(one.upOn) <= from &&
          (one.downOn === null || dayNumber(one.downOn) >= to),
      )
      if (isCovered) return []
      return [
        found(
          34,
          'stop',
          [opening],
          `${named(opening)} leaves ${zone.name} open from ${sayDate(dateOf(from))} to ${sayDate(dateOf(to))}: no work is planned aboard then, and no cover is up.`,
          {
            label: 'Put a cover up',
            items: (newId) => [
              {
                op: 'create',
                entity: 'cover',
                id: newId(),
                patch: {
                  title: `Tarpaulin over ${zone.name}`,
                  kind: 'tarpaulin',
                  zoneIds: [zone.id],
                  upOn: dateOf(gap[0]),
                  downOn: dateOf(gap[1]),
                },
              },
            ],
          },
        ),
      ]
    })
  },
}
