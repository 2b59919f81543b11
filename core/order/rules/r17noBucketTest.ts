import { does, named, speaksOf } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const sensors = /transducer|sounder|speed log|paddle.?wheel/i

/** Underwater electronics fitted without a test on the bench or in a bucket. Source: handbook 7 rule 17. */
export const noBucketTest: OrderRule = {
  number: 17,
  title: 'No bucket test',
  find: (facts) =>
    facts.steps.flatMap((bed) => {
      if (bed.done || !bed.under || !does(bed, 'bed', 'fit') || !speaksOf(bed, sensors)) return []
      const own = facts.allOfJob(bed.job.id)
      if (own.some((one) => one.operation === 'test' || /bucket|bench/i.test(one.title))) return []
      const [first] = facts.ofJob(bed.job.id).filter((one) => does(one, 'bed', 'fit') && one.under)
      if (first !== bed) return []
      return [
        found(
          17,
          'note',
          [bed],
          `${named(bed)} is fitted without a test in a bucket of water first. If it does not work, she has to be lifted again.`,
          {
            label: 'Bucket test, 30 min',
            items: (newId) => [
              insertItem(
                facts.rows,
                bed.step,
                'before',
                { title: 'Bucket test: it reads in water', operation: 'test', hoursLikely: 0.5 },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
