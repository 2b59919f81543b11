import { insertItem } from '../mending'
import { named, speaksOf } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** The coupling aligned ashore, and never again afloat. Source: handbook 7 rule 31. */
export const alignedAshoreOnly: OrderRule = {
  number: 31,
  title: 'Aligned ashore only',
  find: (facts) =>
    facts.steps.flatMap((align) => {
      if (!/\balign/i.test(align.step.title) || !speaksOf(align, /coupling|shaft|engine/i))
        return []
      const ashore = facts.ashoreAt(align.from)
      if (!ashore || ashore.haulOut.launchActual) return []
      const all = facts.rows.step.filter(
        (one) => one.state !== 'dropped' && /\balign/i.test(one.title),
      )
      if (all.some((one) => one.hullNeed === 'afloat')) return []
      const last = facts.steps.filter((one) => /\balign/i.test(one.step.title)).at(-1)
      if (last !== align) return []
      return [
        found(
          31,
          'warn',
          [align],
          `${named(align)} is done ashore, and nothing checks it afloat. A hull changes its shape in the water: look again after a day at least.`,
          {
            label: 'Again afloat, 1 h',
            items: (newId) => [
              insertItem(
                facts.rows,
                align.step,
                'behind',
                {
                  title: 'Alignment checked afloat, a day after the launch',
                  operation: 'test',
                  hoursLikely: 1,
                  more: { hullNeed: 'afloat', afterGate: true },
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
