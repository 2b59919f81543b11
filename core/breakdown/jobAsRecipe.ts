import type { Job, Step } from '../model/entities'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { recipeFormat, recipeUnits, recipeVersion } from '../recipes/recipe'
import type { Recipe, RecipeMaterial, RecipeStep, RecipeUnit } from '../recipes/recipe'

const plain = (text: string): string => text.replace(/[{}]/g, '')
const unitOf = (unit: string): RecipeUnit =>
  recipeUnits.find((one) => one === unit.trim()) ?? 'pieces'

function materialsOf(rows: RefitRows, stepId: string): RecipeMaterial[] {
  return rows.part
    .filter((part) => part.neededByStepId === stepId)
    .map((part) => ({
      what: plain(part.name),
      unit: unitOf(part.unit),
      quantity: `${part.quantity} * size`,
      ...(part.packSize === null ? {} : { pack: part.packSize }),
    }))
}

function stepOf(rows: RefitRows, step: Step, index: number): RecipeStep {
  const tools = rows.bringLine.filter((line) => line.stepId === step.id && line.kind === 'tool')
  return {
    key: `step${index + 1}`,
    title: plain(step.title),
    operation: step.operation,
    hours: `${step.hoursLikely} * size`,
    crew: [step.crewMin, step.crewMax],
    hull: step.hullNeed,
    ...(step.afterGate ? { afterGate: true } : {}),
    place: step.placeNeed,
    skill: step.skill,
    dry: step.needsDry,
    ...(step.minTempC === null ? {} : { minC: step.minTempC }),
    helpers: step.forHelpers,
    parallel: step.parallel,
    ...(step.licensedKind === null ? {} : { licensed: step.licensedKind }),
    ...(step.waitKind === 'none'
      ? {}
      : {
          wait: {
            kind: step.waitKind,
            hours: String(step.waitHours),
            ...(step.waitMinC === null ? {} : { minC: step.waitMinC }),
          },
        }),
    ...(step.maxWaitHours === null ? {} : { within: String(step.maxWaitHours) }),
    ...(step.windowKind === 'bond' ? {} : { window: step.windowKind }),
    ...(step.beginsOnce === 'cured' ? {} : { once: step.beginsOnce }),
    ...doingOf(step),
    caution: step.caution,
    materials: materialsOf(rows, step.id),
    tools: tools.map((line) => line.what),
  }
}

/** What is counted, read and repeated; the count grows with the size of the job. */
function doingOf(step: Step): Pick<RecipeStep, 'count' | 'read' | 'rounds'> {
  const { unitName, unitCount, proveOnOne, noNeighbours, readLow, readHigh, readFailAt } = step
  const hasLimit = readLow !== null || readHigh !== null
  return {
    ...(unitCount === null
      ? {}
      : {
          count: {
            unit: unitName.trim() || 'units',
            of: `${unitCount} * size`,
            ...(proveOnOne ? { proveOnOne } : {}),
            ...(noNeighbours ? { noNeighbours } : {}),
          },
        }),
    ...(step.readWhat.trim() === '' || !hasLimit
      ? {}
      : {
          read: {
            what: step.readWhat,
            unit: step.readUnit,
            ...(readLow === null ? {} : { low: readLow }),
            ...(readHigh === null ? {} : { high: readHigh }),
            ...(readFailAt === null ? {} : { failAt: readFailAt }),
            source: step.readSource,
          },
        }),
    ...(step.untilGood.trim() === ''
      ? {}
      : {
          rounds: { likely: step.roundsLikely, most: step.roundsMost, until: step.untilGood },
        }),
  }
}

/**
 * A recipe made from a job that was broken down by hand: one dimension, its size against this job; hours
 * and materials grow with it, waits do not. Precondition: the job has a live step.
 */
export function jobAsRecipe(rows: RefitRows, job: Job): Recipe {
  const steps = inOrder(
    rows.step.filter((step) => step.jobId === job.id && step.state !== 'dropped'),
  )
  const system = rows.system.find((one) => one.id === job.systemId)
  return {
    format: recipeFormat,
    version: recipeVersion,
    key: 'own',
    title: plain(job.title).slice(0, 200),
    about: `Made from the job “${plain(job.title)}”.`,
    purpose: job.purpose,
    system: system?.kind ?? 'structure',
    inputs: [
      {
        key: 'size',
        label: 'Size against that job',
        unit: 'times',
        initial: 1,
        min: 0.05,
        max: 20,
        help: '1 is the same again, 2 is twice the work and material.',
      },
    ],
    choices: [],
    values: [],
    steps: steps.map((step, index) => stepOf(rows, step, index)),
  }
}
