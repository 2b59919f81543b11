/** A job made from a recipe: the operations that create it, its steps, materials and tools. */
import type { ChangeItem } from '../model/changes'
import type { Entities } from '../model/entities'
import type { PatchOf } from '../model/field'
import { keysAfter } from '../model/order'
import type { Draft, DraftStep } from './expand'
import type { RecipeInputs } from './recipe'
import { toBuy } from './toBuy'
import type { MaterialToBuy } from './toBuy'

export type JobFrame = Partial<PatchOf<Entities['job']>> & {
  readonly title: string
  readonly order: string
}

const create = (
  entity: ChangeItem['entity'],
  id: string,
  patch: Readonly<Record<string, unknown>>,
): ChangeItem => ({ op: 'create', entity, id, patch })

/** What a recipe decides about a part; the rest (state, price, supplier) is the user's. */
export const partFields = ({ what, quantity, unit, pack, specification }: MaterialToBuy) => ({
  name: what,
  quantity,
  unit,
  packSize: pack,
  ...(specification === undefined ? {} : { specification }),
})

export function partCreation(
  material: MaterialToBuy,
  jobId: string,
  stepId: string,
  newId: () => string,
): ChangeItem {
  const fields = partFields(material)
  return create('part', newId(), {
    ...fields,
    jobId,
    neededByStepId: stepId,
    recipePart: material.key,
    recipeMade: fields,
  })
}

/** A step with its parts and tools. */
export function stepCreation(
  draft: DraftStep,
  jobId: string,
  order: string,
  newId: () => string,
): ChangeItem[] {
  const stepId = newId()
  const toolOrders = keysAfter(null, draft.tools.length)
  return [
    create('step', stepId, {
      ...draft.fields,
      jobId,
      order,
      recipeStep: draft.key,
      recipeMade: draft.fields,
    }),
    ...draft.materials.flatMap(toBuy).map((one) => partCreation(one, jobId, stepId, newId)),
    ...draft.tools.map((what, index) =>
      create('bringLine', newId(), { stepId, what, kind: 'tool', order: toolOrders[index] }),
    ),
  ]
}

/** The change list that makes the job; `jobId` is the new job's id. */
export function jobFromRecipe(
  recipeKey: string,
  inputs: RecipeInputs,
  draft: Draft,
  frame: JobFrame,
  newId: () => string,
): { readonly jobId: string; readonly items: ChangeItem[] } {
  const jobId = newId()
  const orders = keysAfter(null, draft.steps.length)
  return {
    jobId,
    items: [
      create('job', jobId, { ...frame, recipeKey, recipeInputs: inputs }),
      ...draft.steps.flatMap((step, index) =>
        stepCreation(step, jobId, orders[index] as string, newId),
      ),
    ],
  }
}
