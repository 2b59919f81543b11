/** Which dimensions of a job somebody measured, which are as we want them, and which are only the recipe's guess. */
import type { ChangeItem } from '../model/changes'
import type { Job } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { isOpen } from '../plan/planned'
import type { Draft } from './expand'
import type { InputSource, InputSources, Recipe, RecipeInput, RecipeInputs } from './recipe'
import { rework } from './rework'
import type { Rework } from './rework'
import { recipeFor } from './shelf'

/** A dimension of a job and what is known of it. */
export interface KnownInput {
  readonly input: RecipeInput
  readonly value: number
  /** Null: a guess. */
  readonly source: InputSource | null
}

/** The numbers that a job was made with, guesses first as they stand in the recipe. */
export function knownInputs(
  recipe: Pick<Recipe, 'inputs'>,
  job: Pick<Job, 'recipeInputs' | 'inputSources'>,
): KnownInput[] {
  return recipe.inputs.flatMap((input): KnownInput[] => {
    const value = job.recipeInputs[input.key]
    if (typeof value !== 'number') return []
    const source = job.inputSources[input.key]
    return [{ input, value, source: source?.value === value ? source : null }]
  })
}

/** A dimension to be measured, with the job that rests on it. */
export interface ToMeasure extends KnownInput {
  readonly job: Job
}

/** Guesses that open work rests on, job by job. */
export function toMeasure(rows: Pick<RefitRows, 'job' | 'step' | 'recipe'>): ToMeasure[] {
  const open = new Set(rows.step.filter(isOpen).map((step) => step.jobId))
  return rows.job.flatMap((job): ToMeasure[] => {
    if (job.decision !== 'plan' || job.recipeKey === null || !open.has(job.id)) return []
    const recipe = recipeFor(rows, job.recipeKey)
    if (!recipe) return []
    return knownInputs(recipe, job)
      .filter((one) => one.source === null)
      .map((one) => ({ ...one, job }))
  })
}

/** A job worked again with dimensions that changed; `sources`: who knows which of them by now. */
export function withInputs(
  job: Job,
  rows: RefitRows,
  changed: RecipeInputs,
  sources: InputSources,
  draftOf: (inputs: RecipeInputs) => Draft,
  newId: () => string,
): Rework {
  const inputs = { ...job.recipeInputs, ...changed }
  const worked = rework(job, rows, inputs, draftOf(inputs), 'keep', newId)
  const items = worked.items.map((item): ChangeItem =>
    item.op === 'patch' && item.entity === 'job' && item.id === job.id
      ? {
          ...item,
          patch: { ...item.patch, inputSources: { ...job.inputSources, ...sources } },
        }
      : item,
  )
  return { ...worked, items }
}

/** The same for one dimension that is known now, and who says so. */
export const withKnownInput = (
  job: Job,
  rows: RefitRows,
  key: string,
  source: InputSource,
  draftOf: (inputs: RecipeInputs) => Draft,
  newId: () => string,
): Rework => withInputs(job, rows, { [key]: source.value }, { [key]: source }, draftOf, newId)
