import type { Activity, Arc, Deadline, Mode, Problem, Resource } from './problem'
import type { Interval } from '../../../time/intervals'

/** A problem as it stands in a file; see docs/kernel.md. Checked by `shared/schemas/problemSchema`. */
export interface ProblemFile {
  readonly horizon?: number | null
  readonly resources: readonly {
    readonly id: string
    readonly capacity?: number
    readonly profile?: readonly (readonly [number, number, number])[]
  }[]
  readonly activities: readonly {
    readonly id: string
    readonly duration?: number
    readonly demands?: Readonly<Record<string, number>>
    readonly windows?: readonly Interval[] | null
    readonly splittable?: boolean
    readonly modes?: readonly {
      readonly duration: number
      readonly demands?: Readonly<Record<string, number>>
    }[]
    readonly weight?: number
  }[]
  readonly arcs?: readonly {
    readonly from: string
    readonly to: string
    readonly minLag?: number | null
    readonly maxLag?: number | null
    readonly earliestAfter?: readonly (readonly [number, number])[]
  }[]
  readonly deadlines?: readonly {
    readonly activity: string
    readonly at: number
    readonly weight?: number
  }[]
}

/** A file's content as a problem; throws an Error with a sentence when its parts do not fit together. */
export function readProblem(file: ProblemFile): Problem {
  const resources = file.resources.map((one): Resource => ({
    id: one.id,
    profile: profileOf(one),
  }))
  const known = unique('resource', resources)
  const activities = file.activities.map((one): Activity => {
    const modes = one.modes ?? [{ duration: one.duration ?? 0, demands: one.demands ?? {} }]
    return {
      id: one.id,
      windows: one.windows ?? null,
      splittable: one.splittable ?? false,
      weight: one.weight ?? 0,
      modes: modes.map((mode): Mode => {
        const demands = mode.demands ?? {}
        for (const id of Object.keys(demands))
          if (!known.has(id))
            throw new Error(`Activity "${one.id}" needs "${id}", which is no resource.`)
        return { duration: mode.duration, demands }
      }),
    }
  })
  const names = unique('activity', activities)
  const named = (id: string, where: string): string => {
    if (!names.has(id)) throw new Error(`${where} names "${id}", which is no activity.`)
    return id
  }
  const arcs = (file.arcs ?? []).map((one, index): Arc => ({
    from: named(one.from, `Arc ${index + 1}`),
    to: named(one.to, `Arc ${index + 1}`),
    // An arc without lags says "after".
    minLag: one.minLag === undefined ? (one.earliestAfter ? null : 0) : one.minLag,
    maxLag: one.maxLag ?? null,
    earliestAfter: one.earliestAfter ?? null,
  }))
  const deadlines = (file.deadlines ?? []).map((one, index): Deadline => ({
    activity: named(one.activity, `Deadline ${index + 1}`),
    at: one.at,
    weight: one.weight ?? 1,
  }))
  return { horizon: file.horizon ?? null, resources, activities, arcs, deadlines }
}

function profileOf(one: ProblemFile['resources'][number]): Resource['profile'] {
  if (!one.profile) return [[0, Infinity, one.capacity ?? 0]]
  const sorted = [...one.profile].sort((a, b) => a[0] - b[0])
  sorted.forEach(([from, to], index) => {
    if (to <= from)
      throw new Error(`Resource "${one.id}" has a step from ${from} to ${to}, which is empty.`)
    if (from < (sorted[index - 1]?.[1] ?? -Infinity))
      throw new Error(`Resource "${one.id}" has two capacities at ${from}.`)
  })
  return sorted
}

function unique(what: string, rows: readonly { readonly id: string }[]): Set<string> {
  const seen = new Set<string>()
  for (const { id } of rows) {
    if (seen.has(id)) throw new Error(`There are two of ${what} "${id}".`)
    seen.add(id)
  }
  return seen
}
