import { cliqueBound } from './cliques'
import type { Compiled, CompiledResource } from './compiled'

/** Effort of one resource, at most: users squared times the steps of its profile. */
const mostEffort = 2e7

/**
 * A makespan that no plan can beat. For every resource, head and tail: the work of all activities with
 * at least that head and tail must be served after the head and before the tail.
 */
export function energyBound(compiled: Compiled, heads: readonly number[]): number {
  const { activities, resources } = compiled
  const shortest = activities.map((one) =>
    Math.min(
      ...one.modes.map((mode) => (mode.calendar.closed ? Infinity : mode.calendar.duration)),
    ),
  )
  const tails = tailsOf(compiled, shortest)
  let bound = shortest.includes(Infinity) ? 0 : cliqueBound(compiled, heads, tails, shortest)
  activities.forEach((_, index) => {
    bound = Math.max(
      bound,
      (heads[index] as number) + (shortest[index] as number) + (tails[index] as number),
    )
  })
  resources.forEach((resource, index) => {
    const works = activities.map((one) =>
      Math.min(
        ...one.modes.map((mode) =>
          mode.calendar.closed
            ? Infinity
            : mode.calendar.duration * (mode.demands.find(([which]) => which === index)?.[1] ?? 0),
        ),
      ),
    )
    const users = works.flatMap((work, at) => (work > 0 && work < Infinity ? [at] : []))
    if (resource.most === Infinity || users.length ** 2 * resource.at.length > mostEffort) return
    const byHead = users.slice().sort((a, b) => (heads[b] as number) - (heads[a] as number))
    for (const least of new Set(users.map((at) => tails[at] as number))) {
      let sum = 0
      for (const at of byHead) {
        if ((tails[at] as number) < least) continue
        sum += works[at] as number
        bound = Math.max(bound, servedBy(resource, heads[at] as number, sum) + least)
      }
    }
  })
  return bound
}

/** When a resource has given so many units × time, counted from `from`. */
function servedBy(resource: CompiledResource, from: number, work: number): number {
  let left = work
  for (let k = 0; k < resource.at.length; k++) {
    const start = Math.max(from, resource.at[k] as number)
    const end = resource.at[k + 1] ?? Infinity
    const units = resource.units[k] as number
    if (end <= start || units === 0) continue
    const gives = units * (end - start)
    if (gives >= left) return start + Math.ceil(left / units)
    left -= gives
  }
  return Infinity
}

/** Least time from the finish of each activity to the end, by least lags alone. */
function tailsOf(compiled: Compiled, shortest: readonly number[]): number[] {
  const tails = shortest.map(() => 0)
  // As many rounds as a path can be long; lags that go round in circles stop it all the same.
  for (let round = 0; round < tails.length; round++) {
    let moved = false
    for (const arc of compiled.arcs) {
      if (arc.minLag === null) continue
      const tail = arc.minLag + (shortest[arc.to] as number) + (tails[arc.to] as number)
      if (tail > (tails[arc.from] as number)) {
        tails[arc.from] = tail
        moved = true
      }
    }
    if (!moved) break
  }
  return tails
}
