import { formatHours } from '../../units/hours'
import { does, named } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A way in that is shut while other work behind it is still to be done. Source: handbook-2 J rule 35. */
export const wayInShut: OrderRule = {
  number: 35,
  title: 'Way in shut with work behind it',
  find: (facts) =>
    facts.steps.flatMap((close) => {
      const way = close.zone?.wayInId ?? null
      if (close.done || way === null || !does(close, 'close') || close.step.placeNeed !== 'boat')
        return []
      const behind = facts.steps.filter(
        (one) =>
          !one.done &&
          one.job.id !== close.job.id &&
          one.step.placeNeed === 'boat' &&
          one.zone?.wayInId === way &&
          one.from >= close.to,
      )
      const last = behind.at(-1)
      if (!last) return []
      const wayIn = facts.rows.wayIn.find((one) => one.id === way)
      const hours = (wayIn?.hoursOut ?? 0) + (wayIn?.hoursBack ?? 0)
      const jobs = new Set(behind.map((one) => one.job.id)).size
      const others = jobs === 1 ? 'one job' : `${jobs} jobs`
      return [
        found(
          35,
          'warn',
          [close, last],
          `${named(close)} on ${facts.date(close.from)} shuts ${wayIn?.title.toLowerCase() ?? 'the way in'} with ${others} still to do behind it, ${named(last)} on ${facts.date(last.from)} the last. Opening it again takes ${formatHours(hours)}.`,
          firstThen(facts.rows, last, close, 'Shut it after them'),
        ),
      ]
    }),
}
