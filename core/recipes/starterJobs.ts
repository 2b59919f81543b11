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

/** Where jobs go that need not be done before she goes in: before a gate, when there is time, or placed one by one. */
export type OthersGo =
  | { readonly to: 'gate'; readonly gateId: string }
  | { readonly to: 'whenTime' | 'oneByOne' }

/** True where a job of the list is put before the launch, whatever becomes of the others. */
export const isBeforeLaunch = (rows: Pick<RefitRows, 'gate'>, one: StarterJob): boolean =>
  one.beforeLaunch === true && rows.gate.some((gate) => gate.kind === 'launch')

/** The operations that make the ticked jobs. Recipes begin with their first dimensions. */
export function starterJobs(
  rows: RefitRows,
  keys: readonly string[],
  othersGo: OthersGo,
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
      ...(isBeforeLaunch(rows, one)
        ? { gateId: launchGate, placed: true }
        : {
            gateId: othersGo.to === 'gate' ? othersGo.gateId : null,
            placed: othersGo.to !== 'oneByOne',
          }),
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
