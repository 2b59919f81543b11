import { named } from '../facts'
import { provisionals } from '../../steps/provisional'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Something that is only for the time being and not made right before its gate. Source: handbook-2 J rule 38. */
export const provisionalAtGate: OrderRule = {
  number: 38,
  title: 'Provisional at a gate',
  find: (facts) =>
    provisionals(facts.rows).flatMap(({ step, job, gate, rightBy }) => {
      if (!job || !gate) return []
      const planned = facts.plan?.gates.find((one) => one.gateId === gate.id)
      if (!planned) return []
      const rest = rightBy ? facts.ofJob(rightBy.id) : []
      const isRight = rest.length > 0 && rest.every((one) => one.done || one.readyAt <= planned.at)
      if (isRight) return []
      const missing = rightBy
        ? `“${rightBy.title}” makes it right and is not done by then`
        : 'no job makes it right'
      return [
        found(
          38,
          'warn',
          [{ step, job }],
          `${named({ step, job })} is good only for the time being: ${step.provisionalFor}. At ${gate.name} on ${facts.date(planned.at)} ${missing}.`,
          null,
          step.provisionalFor,
        ),
      ]
    }),
}
