/** Jobs made of what was ticked in the starter list. */
import type { ChangeItem } from '../model/changes'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { recipeBook } from './book'
import { expand } from './expand'
import { jobFromRecipe } from './make'
import { initialInputs } from './ofBoat'
import { starterList } from './starterList'
import type { StarterJob } from './starterList'

/** The operations that make the ticked jobs. Recipes begin with their first dimensions. */
export function starterJobs(
  rows: RefitRows,
  keys: readonly string[],
  newId: () => string,
): ChangeItem[] {
  const ticked = starterList.filter((one) => keys.includes(one.key))
  const orders = keysAfter(inOrder(rows.job).at(-1)?.order ?? null, ticked.length)
  const launchGate = rows.gate.find((gate) => gate.kind === 'launch')?.id ?? null
  return ticked.flatMap((one, index) => {
    const frame = {
      title: one.title,
      order: orders[index] as string,
      purpose: one.purpose,
      severity: one.severity,
      systemId: rows.system.find((system) => system.kind === one.system)?.id ?? null,
      zoneId: rows.zone.find((zone) => zone.name === one.zone)?.id ?? null,
      gateId: one.beforeLaunch ? launchGate : null,
      placed: Boolean(one.beforeLaunch && launchGate),
    }
    const recipe = recipeBook.find((each) => each.key === one.recipe)
    if (recipe) {
      const inputs = initialInputs(recipe, rows.refit[0] ?? null)
      const worked = expand(recipe, inputs, rows.refit[0]?.units)
      if (worked.ok) return jobFromRecipe(recipe.key, inputs, worked.value, frame, newId).items
    }
    return plainJob(one, frame, newId)
  })
}

function plainJob(
  one: StarterJob,
  frame: Readonly<Record<string, unknown>>,
  newId: () => string,
): ChangeItem[] {
  const jobId = newId()
  const steps = one.steps ?? []
  const orders = keysAfter(null, steps.length)
  const job: ChangeItem = { op: 'create', entity: 'job', id: jobId, patch: frame }
  return [
    job,
    ...steps.map(([operation, title, hoursLikely, more], index): ChangeItem => ({
      op: 'create',
      entity: 'step',
      id: newId(),
      patch: { ...more, jobId, title, operation, hoursLikely, order: orders[index] },
    })),
  ]
}
