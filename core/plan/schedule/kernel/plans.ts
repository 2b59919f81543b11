import type { Compiled } from './compiled'
import type { Cost, Plan } from './problem'

/** Finish of an activity begun at a possible start in a mode. */
function finishOf(compiled: Compiled, activity: number, mode: number, start: number): number {
  return (compiled.activities[activity]?.modes[mode]?.calendar.finish(start) ?? start) as number
}

/** A plan from modes and starts, with what it costs. */
export function planOf(
  compiled: Compiled,
  modes: readonly number[],
  starts: readonly number[],
): Plan {
  const finishes = starts.map((start, index) =>
    finishOf(compiled, index, modes[index] as number, start),
  )
  return { modes, starts, finishes, cost: costOf(compiled, finishes) }
}

/** Weighted lateness, makespan and weighted finishes. */
function costOf(compiled: Compiled, finishes: readonly number[]): Cost {
  let lateness = 0
  for (const { activity, at, weight } of compiled.deadlines)
    lateness += weight * Math.max(0, (finishes[activity] as number) - at)
  let [makespan, weighted] = [0, 0]
  compiled.problem.activities.forEach((one, index) => {
    const finish = finishes[index] as number
    if (finish > makespan) makespan = finish
    weighted += one.weight * finish
  })
  return [lateness, makespan, weighted]
}
