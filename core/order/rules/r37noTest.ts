import { insertItem } from '../mending'
import { does } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Work after which something could be wrong unseen. */
const provable = ['plumb', 'wire', 'bed', 'weld', 'laminate'] as const

/** A job that keeps her afloat or people safe and is proved by nothing. Source: handbook-2 J rule 37. */
export const noTest: OrderRule = {
  number: 37,
  title: 'Not proved',
  find: (facts) =>
    facts.jobs.flatMap((job) => {
      if (job.purpose !== 'float' && job.purpose !== 'safe') return []
      const steps = facts.allOfJob(job.id)
      if (steps.some((one) => one.operation === 'test' || one.readWhat !== '')) return []
      const own = facts.ofJob(job.id)
      const last = own.filter((one) => !one.done && does(one, ...provable)).at(-1)
      if (!last) return []
      return [
        found(
          37,
          'note',
          [last],
          `“${job.title}” ${job.purpose === 'float' ? 'keeps her afloat' : 'keeps people safe'}, and no step proves it.`,
          {
            label: 'Add a test, 30 min',
            items: (newId) => [
              insertItem(
                facts.rows,
                own.at(-1)?.step ?? last.step,
                'behind',
                { title: 'Test it', operation: 'test', hoursLikely: 0.5 },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
