/** Seeded problems by family, from tight to loose: for tests and for the figures of docs/kernel.md. */
import { createRandom } from '../../../../random'
import type { Random } from '../../../../random'
import type { Activity, Arc, Problem, Resource } from '../problem'
import type { Interval } from '../../../../time/intervals'

export const families = ['plain', 'lags', 'calendars', 'modes'] as const
type Family = (typeof families)[number]

export interface Shape {
  readonly family: Family
  readonly activities: number
  /** 0: resources hardly matter; 1: nearly one thing after the other. */
  readonly tightness: number
  readonly longest: number
  readonly seed: number
}

const whole = (random: Random, low: number, high: number): number =>
  low + Math.floor(random() * (high - low + 1))

/** A problem of a family. */
export function generate(shape: Shape): Problem {
  const random = createRandom(shape.seed * 7919 + shape.activities * 31 + shape.family.length)
  const { activities: count, tightness, longest, family } = shape
  const resourceCount = whole(random, 1, count < 12 ? 2 : 4)
  const capacities = Array.from({ length: resourceCount }, () => whole(random, 2, 6))
  const durations = Array.from({ length: count }, () =>
    random() < 0.05 ? 0 : whole(random, 1, longest),
  )
  const work = durations.reduce((sum, one) => sum + one, 0)
  const resources = capacities.map((capacity, index): Resource => ({
    id: `r${index}`,
    profile:
      family === 'calendars' ? shifts(random, capacity, work * 6) : [[0, Infinity, capacity]],
  }))
  const demandsOf = (): Record<string, number> => {
    const demands: Record<string, number> = {}
    capacities.forEach((capacity, index) => {
      if (random() < 0.35 + 0.5 * tightness)
        demands[`r${index}`] = Math.min(
          capacity,
          Math.max(1, Math.round(capacity * (0.15 + 0.75 * tightness * random() + 0.1 * random()))),
        )
    })
    return demands
  }
  const activities = durations.map((duration, index): Activity => {
    const first = { duration, demands: demandsOf() }
    const more =
      family === 'modes' && duration > 0
        ? Array.from({ length: whole(random, 0, 2) }, (_, at) => ({
            duration: Math.max(1, Math.round(duration * (1.4 + 0.5 * at + random()))),
            demands: Object.fromEntries(
              Object.entries(demandsOf()).map(([id, units]) => [id, Math.max(1, units >> 1)]),
            ),
          }))
        : []
    return {
      id: `a${index}`,
      modes: [first, ...more],
      windows: family === 'calendars' && random() < 0.3 ? windowsOf(random, duration, work) : null,
      splittable: family === 'calendars' && random() < 0.4,
      weight: 0,
    }
  })
  return {
    horizon: null,
    resources,
    activities,
    arcs: arcsOf(random, shape, durations),
    deadlines: [],
  }
}

/** Work days with nights between, some short-handed, some missing. */
function shifts(random: Random, capacity: number, until: number): Resource['profile'] {
  const made: [number, number, number][] = []
  for (let day = 0; day * 24 < until + 240; day++) {
    if (random() < 0.15) continue
    const from = day * 24 + whole(random, 0, 4)
    const middle = from + whole(random, 4, 8)
    made.push([from, middle, capacity])
    made.push([
      middle,
      middle + whole(random, 3, 8),
      random() < 0.3 ? Math.max(1, capacity - 1) : capacity,
    ])
  }
  return made
}

function windowsOf(random: Random, duration: number, work: number): Interval[] {
  const first = whole(random, 0, work >> 1)
  const length = duration * 3 + whole(random, 24, 24 + work * 2)
  const second = first + length + whole(random, 12, 48)
  return [
    [first, first + length],
    [second, second + work * 6],
  ]
}

function arcsOf(random: Random, shape: Shape, durations: readonly number[]): Arc[] {
  const { activities: count, family } = shape
  const lags = family === 'lags' || random() < 0.15
  const arcs: Arc[] = []
  for (let to = 1; to < count; to++)
    for (let many = whole(random, 0, 2); many > 0; many--) {
      const from = whole(random, Math.max(0, to - 8), to - 1)
      if (arcs.some((one) => one.from === `a${from}` && one.to === `a${to}`)) continue
      const minLag = lags && random() < 0.4 ? whole(random, 0, shape.longest) : 0
      const most = family === 'lags' && random() < 0.35
      const slack = whole(random, 0, 2 * shape.longest) + (durations[to] ?? 0)
      arcs.push({
        from: `a${from}`,
        to: `a${to}`,
        minLag,
        maxLag: most ? minLag + (random() < 0.3 ? whole(random, 0, 3) : slack) : null,
        earliestAfter: null,
      })
    }
  return arcs
}
