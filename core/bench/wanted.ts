/** Which sums open jobs want, with what the job knows filled in. */
import type { Job, KeptSum, Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { inOrder } from '../model/refit'
import { isOpen } from '../plan/planned'
import { knownInputs } from '../recipes/known'
import type { Recipe, RecipeInputs } from '../recipes/recipe'
import { recipeFor } from '../recipes/shelf'
import { recipeValues } from '../recipes/values'
import type { Ask, LineValues, Scalar, Value, Values } from './ask'
import { initialValues, newLine, problemsIn } from './check'
import type { Known } from './doubt'
import type { Sum, WantedBy } from './sum'
import { sums } from './sums'

/** A sum that an open step of a job rests on. */
export interface Want {
  readonly sum: Sum
  /** Null: the job was written by hand and says no figures. */
  readonly by: WantedBy | null
  readonly job: Job
  readonly step: Step
  readonly recipe: Recipe | null
  /** The whole of its figures: what the job says, the sum's own beginnings for the rest. */
  readonly values: Values
  /** What the job says, by path. */
  readonly filled: Readonly<Record<string, Scalar>>
  readonly known: Known
}

const baseStep = (recipeStep: string): string => recipeStep.split('.')[0] as string

type Scope = Readonly<Record<string, number | string>>

/** What the fills of these wishes ask the recipe for, worked out once a job. */
function scopeOf(recipe: Recipe, inputs: RecipeInputs, wishes: readonly WantedBy[]): Scope {
  const names = wishes.flatMap((by) => [
    ...Object.values(by.fill).filter((from) => typeof from === 'string'),
    ...Object.values(by.adds ?? {}).flat(),
  ])
  const worked = recipeValues(recipe, inputs, new Set(names))
  const values = worked.ok ? worked.value : []
  return { ...inputs, ...Object.fromEntries(values.map((one) => [one.key, one.value])) }
}

/** The field of a path: 'hole', 'layers.2.mm'. */
function askAt(asks: readonly Ask[], path: string): Ask | undefined {
  const [key, , cell] = path.split('.')
  const ask = asks.find((one) => one.key === key)
  return ask?.is === 'lines' ? ask.of.find((one) => one.key === cell) : ask
}

/** Values with some of them put at their paths; lines that are missing are made. */
export function withPaths(
  asks: readonly Ask[],
  values: Values,
  given: Readonly<Record<string, Scalar>>,
): Values {
  const next: Record<string, Value> = { ...values }
  for (const [path, value] of Object.entries(given)) {
    const [key = '', index, cell] = path.split('.')
    const ask = asks.find((one) => one.key === key)
    if (!ask) continue
    if (ask.is !== 'lines' || index === undefined || cell === undefined) {
      next[key] = value
      continue
    }
    const list = [...((next[key] ?? []) as readonly LineValues[])]
    while (list.length <= Number(index)) list.push(newLine(ask.of))
    list[Number(index)] = { ...list[Number(index)], [cell]: value }
    next[key] = list
  }
  return next
}

function filledBy(sum: Sum, by: WantedBy, scope: Scope): Record<string, Scalar> {
  const filled: Record<string, Scalar> = {}
  for (const [path, from] of Object.entries(by.fill)) {
    const parts = typeof from === 'string' ? by.adds?.[from] : undefined
    const found =
      typeof from !== 'string'
        ? from.is
        : parts
          ? parts.reduce((all, one) => all + Number(scope[one] ?? NaN), 0)
          : scope[from]
    if (found === undefined || Number.isNaN(found)) continue
    const ask = askAt(sum.asks, path)
    const times = by.times?.[path] ?? 1
    filled[path] =
      ask?.is === 'pick'
        ? String(found)
        : typeof found === 'number'
          ? Number((found * times).toFixed(4))
          : found
  }
  return filled
}

/** What is measured for a job is measured here; a word that comes with the fill is no guess. */
function knownBy(by: WantedBy, recipe: Recipe, job: Job): Known {
  const sure = new Set(
    knownInputs(recipe, job)
      .filter((one) => one.source !== null)
      .map((one) => one.input.key),
  )
  const known: Record<string, true> = {}
  for (const [path, from] of Object.entries(by.fill)) {
    if (typeof from !== 'string') continue
    const names = by.adds?.[from] ?? [from]
    if (names.every((one) => sure.has(one))) known[path] = true
  }
  return known
}

function shortened(values: Values, takes: WantedBy['takes']): Values {
  const next: Record<string, Value> = { ...values }
  for (const [key, many] of Object.entries(takes ?? {}))
    next[key] = ((next[key] ?? []) as readonly LineValues[]).slice(0, many)
  return next
}

/** A job's wish for a sum, with what it knows. */
function wantOf(sum: Sum, by: WantedBy, job: Job, step: Step, recipe: Recipe, scope: Scope): Want {
  const filled = filledBy(sum, by, scope)
  return {
    sum,
    by,
    job,
    step,
    recipe,
    filled,
    values: withPaths(sum.asks, shortened(initialValues(sum.asks), by.takes), filled),
    known: knownBy(by, recipe, job),
  }
}

/** Sums that steps written by hand rest on, once a job: the job says nothing of their figures. */
const byHand = (job: Job, steps: readonly Step[]): Want[] =>
  sums.flatMap((sum): Want[] => {
    const { wantedAt } = sum
    const step = steps.find(
      (one) =>
        wantedAt?.operations.includes(one.operation) &&
        (wantedAt.words?.test(`${one.title} ${job.title}`) ?? true),
    )
    return step
      ? [
          {
            sum,
            by: null,
            job,
            step,
            recipe: null,
            filled: {},
            values: initialValues(sum.asks),
            known: {},
          },
        ]
      : []
  })

/** Every sum that an open step of a planned job rests on, once a job; `jobId`: of this job alone. */
export function wantedSums(rows: RefitRows, jobId?: string): Want[] {
  const open = inOrder(
    rows.step.filter((one) => isOpen(one) && (jobId === undefined || one.jobId === jobId)),
  )
  const byJob = new Map<string, Step[]>()
  for (const step of open) byJob.set(step.jobId, [...(byJob.get(step.jobId) ?? []), step])
  return rows.job.flatMap((job): Want[] => {
    const steps = byJob.get(job.id)
    if (job.decision !== 'plan' || !steps) return []
    const recipe = job.recipeKey === null ? undefined : recipeFor(rows, job.recipeKey)
    if (!recipe) return byHand(job, steps)
    const wishes = sums.flatMap((sum) => {
      const by = sum.wantedBy.find((one) => one.recipe === recipe.key)
      const step = by && steps.find((one) => by.steps.includes(baseStep(one.recipeStep)))
      return by && step ? [{ sum, by, step }] : []
    })
    if (wishes.length === 0) return []
    const scope = scopeOf(
      recipe,
      job.recipeInputs,
      wishes.map((one) => one.by),
    )
    return wishes.map(({ sum, by, step }) => wantOf(sum, by, job, step, recipe, scope))
  })
}

/** The answer that is kept for a sum of a job, the newest. */
export const keptFor = (
  rows: Pick<RefitRows, 'keptSum'>,
  sumKey: string,
  jobId: string,
): KeptSum | null =>
  rows.keptSum
    .filter((one) => one.sumKey === sumKey && one.jobId === jobId)
    .sort((a, b) => b.keptAt - a.keptAt)[0] ?? null

/** What the job says otherwise than when the answer was kept, in the words of the sum's fields; none: it stands. */
export function changedSince(kept: KeptSum, want: Want | null): string[] {
  if (!want) return []
  const now = want.filled
  const then = kept.filled as Readonly<Record<string, Scalar>>
  return Object.keys({ ...then, ...now })
    .filter((path) => path in then && path in now && then[path] !== now[path])
    .map((path) => {
      const ask = askAt(want.sum.asks, path)
      return ask ? ask.label.charAt(0).toLowerCase() + ask.label.slice(1) : path
    })
}

/** Dimensions of the recipe that the figures here would change, or make known. */
export interface ChangedInput {
  readonly key: string
  readonly label: string
  readonly unit: string
  readonly was: number
  readonly value: number
  readonly isMeasured: boolean
}

/** What the sum's figures say of the recipe's own dimensions, where the one is the other and it fits. */
export function changedInputs(want: Want, values: Values, known: Known): ChangedInput[] {
  const { by, recipe } = want
  if (!by || !recipe) return []
  const sure = new Map(knownInputs(recipe, want.job).map((one) => [one.input.key, one]))
  return Object.entries(by.fill).flatMap(([path, from]): ChangedInput[] => {
    if (typeof from !== 'string' || by.adds?.[from]) return []
    const input = recipe.inputs.find((one) => one.key === from)
    const was = want.job.recipeInputs[from]
    if (!input || typeof was !== 'number') return []
    const here = valueAt(values, path)
    const value = Number((Number(here) / (by.times?.[path] ?? 1)).toFixed(6))
    if (here === null || here === '' || !Number.isFinite(value)) return []
    if (value < input.min || value > input.max) return []
    const isMeasured = known[path] === true
    const isKnown = sure.get(from)?.source != null
    if (Math.abs(value - was) < 1e-6 && (!isMeasured || isKnown)) return []
    return [{ key: from, label: input.label, unit: input.unit, was, value, isMeasured }]
  })
}

/** What the job will say of the sum once it was worked again with these dimensions. */
export function filledWith(want: Want, changed: readonly ChangedInput[]): Want['filled'] {
  const filled: Record<string, Scalar> = { ...want.filled }
  const { by } = want
  for (const one of changed)
    for (const [path, from] of Object.entries(by?.fill ?? {}))
      if (from === one.key && path in filled)
        filled[path] =
          typeof filled[path] === 'string'
            ? String(one.value)
            : Number((one.value * (by?.times?.[path] ?? 1)).toFixed(4))
  return filled
}

/** What stands at a path. */
export function valueAt(values: Values, path: string): Scalar | undefined {
  const [key = '', index, cell] = path.split('.')
  const value = values[key]
  if (index === undefined || cell === undefined)
    return Array.isArray(value) ? undefined : (value as Scalar | undefined)
  return (value as readonly LineValues[] | undefined)?.[Number(index)]?.[cell]
}

/** Whether the job says any figure of it: if not, an answer to the sum's own examples would be none for this job. */
export const isSaid = ({ filled }: Want): boolean =>
  Object.values(filled).some((value) => typeof value === 'number')

/** The sum of a want worked; null: the job's figures do not do for it. */
export const isWorkable = (want: Want): boolean =>
  problemsIn(want.sum.asks, want.values, 'metric').length === 0
