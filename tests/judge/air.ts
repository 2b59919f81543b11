/** Dust and wet work apart, worked out again from the placements. */
import type { Step } from '../../core/model/entities'
import type { Placement } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { drifts, isDusty, isWet } from './does'
import { hour, minute } from './wallClock'
import type { Wall } from './wallClock'
import { cureAir, whereIs } from './weather'

const zoneOf = (step: Step, rows: RefitRows) =>
  rows.job.find((one) => one.id === step.jobId)?.zoneId ?? null

/** True when the dust of one gets to the other: in one air for sanding, in one place for the rest. */
function isNear(dust: Step, wet: Step, rows: RefitRows): boolean {
  if (drifts(dust)) {
    const [a, b] = [whereIs(dust, rows), whereIs(wet, rows)]
    return a === b && (a !== 'roof' || dust.placeNeed === wet.placeNeed)
  }
  const zone = zoneOf(dust, rows)
  return zone !== null && zone === zoneOf(wet, rows)
}

/** Hours until wet work is touch-dry: a third of its cure at the air of its end, one at least, six at most. */
function dryHours(step: Step, end: number, rows: RefitRows, wall: (at: number) => Wall): number {
  if (step.waitKind !== 'chem') return 3
  const shed = rows.place.find((one) => one.kind === 'shed')
  const means =
    (step.placeNeed === 'shed' ? shed?.monthMeanC : null) ?? rows.refit[0]?.monthMeanC ?? []
  const air = cureAir(step, end, (month) => means[month] ?? 15, null, rows, wall) ?? 15
  const warm = Math.max(air, step.waitMinC ?? air)
  return Math.min(6, Math.max(1, (step.waitHours * 2 ** ((step.waitRefC - warm) / 10)) / 3))
}

/** Stretches in which a step's wet work or dust is there for others. */
function spansOf(
  step: Step,
  as: 'wet' | 'dust',
  one: Placement | undefined,
  rows: RefitRows,
  wall: (at: number) => Wall,
) {
  const segments =
    one?.segments ??
    (step.state === 'done' && step.doneAt !== null ? [[step.doneAt, step.doneAt] as const] : [])
  return segments.map(([from, to]) => ({
    from,
    to: to + (as === 'wet' ? dryHours(step, to, rows, wall) * hour : 30 * minute),
  }))
}

/** Pairs that are too near each other in time. */
export function cleanAir(
  rows: RefitRows,
  placed: ReadonlyMap<string, Placement>,
  stepOf: ReadonlyMap<string, Step>,
  wall: (at: number) => Wall,
): string[] {
  const ours = (step: Step) => (placed.get(step.id)?.personIds.length ?? 0) > 0
  // What is done in the slings has its one hour, whoever is beside it.
  const dust = [...stepOf.values()].filter(
    (step) => isDusty(step) && step.hullNeed !== 'slings' && ours(step),
  )
  const wet = rows.step.filter((step) => isWet(step) && (step.state === 'done' || ours(step)))
  return dust.flatMap((one) =>
    wet
      .filter((other) => other.jobId !== one.jobId && isNear(one, other, rows))
      .flatMap((other) => {
        const soft = spansOf(other, 'wet', placed.get(other.id), rows, wall)
        const clash = (placed.get(one.id)?.segments ?? []).some(([from, to]) =>
          soft.some((span) => from < span.to && span.from < to + 30 * minute),
        )
        return clash ? [`${one.title} throws dust on ${other.title}, which is wet`] : []
      }),
  )
}

/** True when dust or wet work of another keeps a step from the five minutes after an instant. */
export function airKeeps(
  step: Step,
  at: number,
  rows: RefitRows,
  placed: ReadonlyMap<string, Placement>,
  stepOf: ReadonlyMap<string, Step>,
  wall: (at: number) => Wall,
): boolean {
  const keeps = (other: Step, isNearIt: boolean, as: 'wet' | 'dust', before: number): boolean => {
    if (!isNearIt || other.jobId === step.jobId) return false
    if (other.state !== 'done' && !(placed.get(other.id)?.personIds.length ?? 0)) return false
    return spansOf(other, as, placed.get(other.id), rows, wall).some(
      (span) => span.from - before - 30 * minute <= at && at < span.to,
    )
  }
  const byWet =
    isDusty(step) &&
    rows.step.some((one) => isWet(one) && keeps(one, isNear(step, one, rows), 'wet', 0))
  if (byWet || !isWet(step)) return byWet
  const dusty = [...stepOf.values()].filter(isDusty)
  return dusty.some((one) => keeps(one, isNear(one, step, rows), 'dust', 6 * hour))
}
