/**
 * Judges a plan from the words of the problem alone, moment by moment. Shares nothing with the
 * solver: no calendar, no compiled form.
 */
import type { Problem } from './problem'

export interface Judged {
  readonly modes: readonly number[]
  readonly starts: readonly number[]
}

/** Everything wrong with a plan, each fault a sentence; and the finishes it leads to. */
export function faultsOf(problem: Problem, plan: Judged): { faults: string[]; finishes: number[] } {
  const faults: string[] = []
  const work: Map<string, [number, number][]> = new Map()
  const finishes = problem.activities.map((one, index) => {
    const mode = one.modes[plan.modes[index] ?? 0]
    const start = plan.starts[index]
    if (!mode || start === undefined || !Number.isInteger(start) || start < 0) {
      faults.push(`${one.id} has no start or no mode`)
      return 0
    }
    const inWindow = (t: number) =>
      one.windows === null || one.windows.some(([from, to]) => from <= t && t < to)
    const served = (t: number) =>
      problem.resources.every((resource) => {
        const wanted = mode.demands[resource.id] ?? 0
        if (wanted === 0) return true
        const there = resource.profile.find(([from, to]) => from <= t && t < to)?.[2] ?? 0
        return there >= wanted
      })
    let left = mode.duration
    let t = start
    if (left === 0 && !inWindow(t)) faults.push(`${one.id} is outside its windows`)
    const stretches: [number, number][] = []
    for (let idle = 0; left > 0; t++) {
      if (inWindow(t) && served(t)) {
        const last = stretches.at(-1)
        if (last && last[1] === t) last[1] = t + 1
        else stretches.push([t, t + 1])
        left--
        idle = 0
      } else if (t === start || !one.splittable) {
        faults.push(`${one.id} is worked on while closed at ${t}`)
        break
      } else if (++idle > 1_000_000) {
        faults.push(`${one.id} never ends`)
        break
      }
    }
    for (const [resource, units] of Object.entries(mode.demands))
      if (units > 0)
        for (const [from, to] of stretches)
          work.set(resource, [
            ...(work.get(resource) ?? []),
            ...Array.from({ length: units }, (): [number, number] => [from, to]),
          ])
    return t
  })
  for (const resource of problem.resources) {
    const taken = new Map<number, number>()
    for (const [from, to] of work.get(resource.id) ?? [])
      for (let t = from; t < to; t++) taken.set(t, (taken.get(t) ?? 0) + 1)
    for (const [t, units] of taken) {
      const there = resource.profile.find(([from, to]) => from <= t && t < to)?.[2] ?? 0
      if (units > there) {
        faults.push(`${resource.id} has ${there} at ${t} and gives ${units}`)
        break
      }
    }
  }
  const index = new Map(problem.activities.map((one, at) => [one.id, at]))
  for (const arc of problem.arcs) {
    const end = finishes[index.get(arc.from) ?? -1] ?? 0
    const start = plan.starts[index.get(arc.to) ?? -1] ?? 0
    if (arc.minLag !== null && start - end < arc.minLag)
      faults.push(`${arc.to} starts ${start - end} after ${arc.from}, least ${arc.minLag}`)
    if (arc.maxLag !== null && start - end > arc.maxLag)
      faults.push(`${arc.to} starts ${start - end} after ${arc.from}, most ${arc.maxLag}`)
    if (arc.earliestAfter !== null && start < promised(arc.earliestAfter, end))
      faults.push(`${arc.to} starts at ${start}, before ${arc.from} lets it`)
  }
  if (problem.horizon !== null)
    problem.activities.forEach((one, at) => {
      if ((finishes[at] as number) > (problem.horizon as number))
        faults.push(`${one.id} ends after the horizon`)
    })
  return { faults, finishes }
}

/** Greatest earliest start that any finish up to `finish` would have. */
function promised(points: readonly (readonly [number, number])[], finish: number): number {
  const sorted = [...points].sort((a, b) => a[0] - b[0])
  let earliest = -Infinity
  sorted.forEach(([at, start], i) => {
    const until = Math.min(finish, (sorted[i + 1]?.[0] ?? Infinity) - 1)
    if (i === 0 || at <= finish) earliest = Math.max(earliest, until + start - at)
  })
  return earliest
}
