/** What was promised for a week, and whether it was kept. */
import type { Row, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { addDays, dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** 'late': done after the week. 'open': the week still runs. */
type PromiseState = 'kept' | 'late' | 'open' | 'broken'

export interface PromiseLine {
  readonly row: Row<'weekPromise'>
  readonly step: Step
  readonly state: PromiseState
}

/** End of the week of a Monday, UTC ms. */
export const weekEnd = (clock: ZoneClock, monday: string): number =>
  clock.at(dayNumber(monday) + 7, 0)

/** Lines of a week from its Monday; a step that was dropped since stands on no line. `today`: civil date. */
export function promiseOf(
  rows: Pick<RefitRows, 'weekPromise' | 'step'>,
  clock: ZoneClock,
  monday: string,
  today: string,
): PromiseLine[] {
  const steps = byId(rows.step)
  const until = weekEnd(clock, monday)
  const isOver = today >= addDays(monday, 7)
  return rows.weekPromise.flatMap((row): PromiseLine[] => {
    const step = steps.get(row.stepId)
    if (row.week !== monday || !step || step.state === 'dropped') return []
    const isDone = step.state === 'done'
    const inTime = isDone && (step.doneAt ?? Infinity) < until
    const state = inTime ? 'kept' : isDone ? 'late' : isOver ? 'broken' : 'open'
    return [{ row, step, state }]
  })
}

/** Kept and promised over all weeks that are over. */
export function promisesKept(
  rows: Pick<RefitRows, 'weekPromise' | 'step'>,
  clock: ZoneClock,
  today: string,
): { readonly kept: number; readonly all: number } {
  const weeks = new Set(rows.weekPromise.map((one) => one.week))
  const over = [...weeks]
    .filter((week) => today >= addDays(week, 7))
    .flatMap((week) => promiseOf(rows, clock, week, today))
  return { kept: over.filter((one) => one.state === 'kept').length, all: over.length }
}

/** Open steps that the plan finishes in the week and nobody promised yet, in the order in which it does. */
export function promisable(
  rows: Pick<RefitRows, 'weekPromise' | 'step'>,
  plan: StoredPlan | null,
  clock: ZoneClock,
  monday: string,
): Step[] {
  const steps = byId(rows.step)
  const taken = new Set(
    rows.weekPromise.filter((one) => one.week === monday).map((one) => one.stepId),
  )
  const until = weekEnd(clock, monday)
  const end = (one: StoredPlan['placements'][number]) => one.segments.at(-1)?.[1] ?? Infinity
  return (plan?.placements ?? [])
    .filter((one) => end(one) < until && !taken.has(one.stepId))
    .sort((a, b) => end(a) - end(b))
    .flatMap((one) => {
      const step = steps.get(one.stepId)
      return step && (step.state === 'open' || step.state === 'doing') ? [step] : []
    })
}
