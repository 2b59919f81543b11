/**
 * An exact answer for tiny problems, written apart from the solver: every activity is tried in every
 * mode at every time, one after the other, and what cannot be completed is given up. Up to nine
 * activities and a horizon of some twenty units.
 */
import type { Activity, Problem } from '../problem'

interface Option {
  readonly mode: number
  readonly start: number
  readonly finish: number
  /** Units by moment and resource, as `moment * resources + resource`. */
  readonly takes: readonly (readonly [cell: number, units: number])[]
}

/** Least makespan by trying everything up to `until`; null: impossible. `any`: the first one will do. */
export function bestMakespan(problem: Problem, until: number, any = false): number | null {
  const many = problem.resources.length
  const free: number[] = []
  for (let t = 0; t < until; t++)
    for (const resource of problem.resources)
      free.push(resource.profile.find(([from, to]) => from <= t && t < to)?.[2] ?? 0)
  const end = Math.min(until, problem.horizon ?? until)
  const options = problem.activities.map((one) => optionsOf(one, problem, free, many, end))
  const chosen: (Option | undefined)[] = options.map(() => undefined)
  const position = new Map(problem.activities.map((one, index) => [one.id, index]))
  const arcs = problem.arcs.map((arc) => ({
    ...arc,
    a: position.get(arc.from) ?? 0,
    b: position.get(arc.to) ?? 0,
  }))
  let best = Infinity
  const fits = (index: number): boolean =>
    arcs.every(({ a, b, minLag, maxLag }) => {
      const [left, right] = [chosen[a], chosen[b]]
      if ((a !== index && b !== index) || !left || !right) return true
      const lag = right.start - left.finish
      return (minLag === null || lag >= minLag) && (maxLag === null || lag <= maxLag)
    })
  const tryFrom = (index: number, latest: number): void => {
    if (latest >= best || (any && best < Infinity)) return
    if (index === options.length) {
      best = latest
      return
    }
    for (const option of options[index] ?? []) {
      if (option.takes.some(([cell, units]) => (free[cell] ?? 0) < units)) continue
      chosen[index] = option
      if (fits(index)) {
        for (const [cell, units] of option.takes) free[cell] = (free[cell] ?? 0) - units
        tryFrom(index + 1, Math.max(latest, option.finish))
        for (const [cell, units] of option.takes) free[cell] = (free[cell] ?? 0) + units
      }
      chosen[index] = undefined
    }
  }
  tryFrom(0, 0)
  return best === Infinity ? null : best
}

function optionsOf(
  one: Activity,
  problem: Problem,
  capacity: readonly number[],
  many: number,
  end: number,
): Option[] {
  const options: Option[] = []
  one.modes.forEach(({ duration, demands }, mode) => {
    const wanted = problem.resources.flatMap(({ id }, index) =>
      (demands[id] ?? 0) > 0 ? [[index, demands[id] as number] as const] : [],
    )
    const open = (t: number) =>
      (one.windows === null || one.windows.some(([from, to]) => t >= from && t < to)) &&
      (duration === 0 ||
        wanted.every(([index, units]) => (capacity[t * many + index] ?? 0) >= units))
    for (let start = 0; start <= end; start++) {
      const takes: (readonly [number, number])[] = []
      let t = start
      let left = duration
      if (start < end || duration > 0 || one.windows !== null) if (!open(start)) continue
      while (left > 0 && t < end) {
        if (open(t)) {
          for (const [index, units] of wanted) takes.push([t * many + index, units])
          left--
        } else if (!one.splittable) break
        t++
      }
      if (left === 0) options.push({ mode, start, finish: t, takes })
    }
  })
  return options
}
