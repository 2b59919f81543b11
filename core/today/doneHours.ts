/** Hours for what was done on a day, from when it was begun and ticked off. */
import type { Step } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'
import { plannedHours } from '../plan/planned'
import { hourMs, minuteMs } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** Hours that ticks say a step took, not booked yet. */
export interface DoneHours {
  readonly step: Step
  readonly from: number
  readonly to: number
  readonly personIds: readonly string[]
  /** Clock hours of each of them, to five minutes. */
  readonly hours: number
  /** Against the plan: person-hours ÷ planned; null: nothing was planned. */
  readonly ratio: number | null
}

/** Nobody works longer at one thing without a word: past it somebody forgot to tick. */
const mostHours = 12
const grid = 5 * minuteMs

/**
 * Steps begun and finished on a date with no hours of that date booked on them. `otherwise`: who was there, for steps
 * begun by nobody in particular.
 */
export function doneHours(
  rows: Pick<RefitRows, 'step' | 'hoursEntry'>,
  on: string,
  otherwise: readonly string[],
  clock: ZoneClock,
): DoneHours[] {
  const booked = groupBy(
    liveHours(rows).filter((one) => one.on === on),
    (one) => one.stepId,
  )
  return rows.step
    .flatMap((step): DoneHours[] => {
      const { startedAt, doneAt } = step
      if (step.state !== 'done' || startedAt === null || doneAt === null) return []
      if (clock.dateOf(doneAt) !== on || booked.has(step.id) || doneAt <= startedAt) return []
      const clockHours = Math.max(grid, Math.round((doneAt - startedAt) / grid) * grid) / hourMs
      if (clockHours > mostHours) return []
      const personIds = step.byIds.length > 0 ? step.byIds : otherwise.slice(0, step.crewMin)
      const planned = plannedHours(step)
      return [
        {
          step,
          from: startedAt,
          to: doneAt,
          personIds,
          hours: clockHours,
          ratio: planned > 0 ? (clockHours * personIds.length) / planned : null,
        },
      ]
    })
    .sort((a, b) => a.from - b.from)
}
