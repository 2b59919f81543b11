import { does, named } from '../facts'
import { insertItem } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const sealed = /sleeve|insert|over-?drill|solid|plug|undercut|fill|coat|seal|thick mix/i
const cored: ReadonlySet<string | null> = new Set(['balsa', 'foam', 'plywood', 'honeycomb', 'wood'])

/** A hole through a cored skin with nothing that closes the core in it. Source: handbook 7 rule 12. */
export const holeThroughCore: OrderRule = {
  number: 12,
  title: 'Hole through core',
  find: (facts) =>
    facts.steps.flatMap((drill) => {
      if (drill.done || !does(drill, 'drill') || drill.step.placeNeed !== 'boat') return []
      if (!cored.has(drill.zone?.coreKind ?? null)) return []
      const own = facts.allOfJob(drill.job.id)
      if (own.some((one) => ['fill', 'laminate'].includes(one.operation) || sealed.test(one.title)))
        return []
      const fittings = own.some((one) => ['bed', 'fit', 'plumb', 'wire'].includes(one.operation))
      if (!fittings) return []
      return [
        found(
          12,
          'warn',
          [drill],
          `${named(drill)} goes through the ${drill.zone?.coreKind} core of ${drill.zone?.name}, and no step closes it in the hole: water gets in by the bolts.`,
          {
            label: 'Sleeve the holes, 1 h',
            items: (newId) => [
              insertItem(
                facts.rows,
                drill.step,
                'behind',
                {
                  title: 'Sleeve the holes: over-drill and fill with thick mix',
                  operation: 'fill',
                  hoursLikely: 1,
                  more: { waitKind: 'chem', waitHours: 24, waitRefC: 20 },
                },
                newId(),
              ),
            ],
          },
        ),
      ]
    }),
}
