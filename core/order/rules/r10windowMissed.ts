import { patchOf } from '../../model/removal'
import type { Mend } from '../../model/stored'
import { formatHours } from '../../units/hours'
import { named } from '../facts'
import type { OrderFacts, OrderStep } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderMend, OrderRule } from '../rule'

const words = {
  peelPly: { label: 'Lay peel ply', title: 'Lay peel ply', operation: 'laminate' },
  keying: { label: 'Wash, key and wipe', title: 'Wash, key and wipe', operation: 'clean' },
  etching: { label: 'Etch again', title: 'Etch, rinse and dry', operation: 'clean' },
} as const

/** What helps, as a step of its own in place of what the plan adds by itself. */
function mendOf(facts: OrderFacts, mend: Mend, from: OrderStep, to: OrderStep): OrderMend {
  const { label, title, operation } = words[mend.kind]
  const hoursLikely = Math.max(0.05, Math.round(mend.hours * 60) / 60)
  const isPeel = mend.kind === 'peelPly'
  const more =
    mend.kind === 'etching'
      ? { maxWaitHours: from.step.maxWaitHours, windowKind: from.step.windowKind }
      : {}
  return {
    label: `${label}, ${formatHours(hoursLikely)}`,
    items: (newId) => [
      insertItem(
        facts.rows,
        isPeel ? from.step : to.step,
        isPeel ? 'behind' : 'before',
        { title, operation, hoursLikely, parallel: isPeel, more },
        newId(),
      ),
      patchOf('step', from.step, { maxWaitHours: null }),
    ],
  }
}

/** The next step comes after a bond window has shut. Source: handbook 7 rules 10 and 39. */
export const windowMissed: OrderRule = {
  number: 10,
  title: 'Bond window missed',
  find: (facts) =>
    facts.steps.flatMap((placed) =>
      placed.mends.flatMap((mend) => {
        const [from, to] = [facts.stepOf(mend.fromStepId), facts.stepOf(mend.toStepId)]
        if (!from || !to) return []
        const bare = mend.kind === 'etching'
        const isPeel = mend.kind === 'peelPly'
        return [
          found(
            bare ? 39 : 10,
            'warn',
            isPeel ? [from, to] : [to, from],
            bare
              ? `${named(to)} on ${facts.date(to.from)} comes to metal that was bared by ${named(from)} and has gone off by then.`
              : `${named(to)} on ${facts.date(to.from)} comes after the bond window of ${named(from)} has shut.`,
            // A link between jobs has its window on the link.
            from.job.id === to.job.id && from.step.maxWaitHours !== null
              ? mendOf(facts, mend, from, to)
              : null,
          ),
        ]
      }),
    ),
}
