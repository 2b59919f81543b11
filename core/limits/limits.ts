/** Whether she fits: berths, locks, bridges and slings against her sizes, now and with what the jobs add. */
import type { Job, RefitRow, Row } from '../model/entities'
import { formatLength } from '../units/length'
import type { UnitSystem } from '../units/length'

type Limit = Row<'limit'>
const measures = ['beam', 'height', 'draught', 'weight'] as const
type Measure = (typeof measures)[number]

/** Her sizes; null: not said. Metres, tonnes. */
export type Sizes = Readonly<Record<Measure, number | null>>

/** Height and weight of jobs that are planned or done since; dropped and accepted ones add nothing. */
export function sizesOf(
  refit: Pick<RefitRow, 'beamM' | 'airDraughtM' | 'draughtM' | 'weightT'>,
  adding: readonly Pick<Job, 'addsKg' | 'addsHeightM'>[],
): Sizes {
  const sum = (of: (job: (typeof adding)[number]) => number | null) =>
    adding.reduce((all, job) => all + (of(job) ?? 0), 0)
  const plus = (size: number | null, more: number) => (size === null ? null : size + more)
  return {
    beam: refit.beamM,
    height: plus(
      refit.airDraughtM,
      sum((job) => job.addsHeightM),
    ),
    draught: refit.draughtM,
    weight: plus(refit.weightT, sum((job) => job.addsKg) / 1000),
  }
}

export interface Margin {
  readonly measure: Measure
  readonly size: number
  readonly limit: number
  /** What is left; under 0 she does not fit. */
  readonly left: number
}

export interface LimitFigures {
  readonly limit: Limit
  /** The tightest first, by its share of the limit. */
  readonly margins: readonly Margin[]
  /** Measures of the limit that she has no size for. */
  readonly unknown: readonly Measure[]
}

const limitOf = (limit: Limit, measure: Measure): number | null =>
  ({
    beam: limit.beamM,
    height: limit.heightM,
    draught: limit.draughtM,
    weight: limit.weightT,
  })[measure]

/** Every limit with what is left of it. */
export const limitFigures = (limits: readonly Limit[], sizes: Sizes): LimitFigures[] =>
  limits.map((limit) => {
    const asked = measures.filter((measure) => limitOf(limit, measure) !== null)
    const margins = asked.flatMap((measure): Margin[] => {
      const [size, most] = [sizes[measure], limitOf(limit, measure)]
      return size === null || most === null
        ? []
        : [{ measure, size, limit: most, left: most - size }]
    })
    return {
      limit,
      margins: margins.sort((a, b) => a.left / a.limit - b.left / b.limit),
      unknown: asked.filter((measure) => sizes[measure] === null),
    }
  })

/** The limit that binds: of all, the one with the least share left. Null: none is known. */
export function binding(
  figures: readonly LimitFigures[],
): (Margin & { readonly limitOf: Limit }) | null {
  const all = figures.flatMap(({ limit, margins }) =>
    margins.map((margin) => ({ ...margin, limitOf: limit })),
  )
  return all.sort((a, b) => a.left / a.limit - b.left / b.limit)[0] ?? null
}

const measureWord: Readonly<Record<Measure, string>> = {
  beam: 'wide',
  height: 'high',
  draught: 'deep',
  weight: 'heavy',
}

/** "0.10 m to spare, high", "0.3 t too heavy". */
export function sayMargin({ measure, left }: Margin, units: UnitSystem): string {
  const by = Math.abs(left)
  const amount = measure === 'weight' ? `${by.toFixed(1)} t` : formatLength(by, units)
  return left < 0
    ? `${amount} too ${measureWord[measure]}`
    : `${amount} to spare, ${measureWord[measure]}`
}

/** The same for a limit with a size nobody gave: what to measure. */
export const sayUnknown = (measure: Measure): string =>
  ({
    beam: 'her beam',
    height: 'her height over the water',
    draught: 'her draught',
    weight: 'what she weighs',
  })[measure]
