/** A recipe and its inputs worked out: steps, waits, materials and the values between. */
import { accepted, refused } from '../result'
import type { Result } from '../result'
import type { Entities } from '../model/entities'
import type { PatchOf } from '../model/field'
import type { MixUse } from '../laminate/mixFor'
import { threadOf } from '../fastening/threads'
import type { UnitSystem } from '../units/length'
import { formatQuantity } from '../units/quantity'
import { formulaOf, FormulaTrouble } from './formula'
import type { Scope, Value } from './formula'
import type { Recipe, RecipeInputs, RecipeMaterial, RecipeStep, RecipeUnit } from './recipe'
import { inputProblems, numberFrom, rounded, workedValues } from './values'
import type { ShownValue } from './values'

type StepFields = Partial<PatchOf<Entities['step']>>

export interface DraftMaterial {
  /** The same for the same material of the same step, whatever the dimensions. */
  readonly key: string
  readonly what: string
  readonly unit: RecipeUnit
  /** What is needed, three decimals. */
  readonly quantity: number
  /** Null: cut to measure. */
  readonly pack: number | null
  /** Mixed from resin and hardener on the day; null: it is bought as it is. */
  readonly mix: MixUse | null
}
export interface DraftStep {
  /** The same for the same step, whatever the dimensions; repeats are numbered. */
  readonly key: string
  readonly fields: StepFields & { readonly title: string; readonly hoursLikely: number }
  readonly materials: readonly DraftMaterial[]
  readonly tools: readonly string[]
}
export interface Draft {
  readonly steps: readonly DraftStep[]
  readonly values: readonly ShownValue[]
}
/** Steps that one job may be given. */
const mostStepsInJob = 200
const mostRepeats = 60

/**
 * Works a recipe out; sizes in its texts are said in the units of the refit. Precondition: `recipeProblems`
 * finds nothing wrong with the recipe itself.
 */
export function expand(
  recipe: Recipe,
  inputs: RecipeInputs,
  units: UnitSystem = 'metric',
): Result<Draft> {
  const problems = inputProblems(recipe, inputs, units)
  if (problems.length > 0) return refused('Some of the dimensions cannot be used.', problems)
  try {
    const { scope, values } = workedValues(recipe, inputs)
    const steps = recipe.steps.flatMap((step) => draftSteps(step, scope, units))
    if (steps.length === 0)
      return refused('These dimensions leave nothing to do. Check what was chosen.')
    if (steps.length > mostStepsInJob)
      return refused(
        `This makes ${steps.length} steps; a job holds up to ${mostStepsInJob}. Split the work in two.`,
      )
    return accepted({ steps, values })
  } catch (error) {
    if (error instanceof FormulaTrouble) return refused(error.message)
    throw error
  }
}

function draftSteps(step: RecipeStep, scope: Scope, units: UnitSystem): DraftStep[] {
  const what = step.title
  const holds = (when: string | undefined, inside: Scope): boolean =>
    when === undefined || formulaOf(when).run(inside) === true
  if (!holds(step.when, scope)) return []
  const times =
    step.times === undefined ? 1 : Math.round(numberFrom(step.times, scope, `${what}, how often`))
  if (times > mostRepeats)
    throw new FormulaTrouble(`“${what}” would be done ${times} times; at most ${mostRepeats}.`)
  return Array.from({ length: Math.max(0, times) }, (_, index) => {
    const inside: Scope = { ...scope, n: index + 1, times }
    const key = step.times === undefined ? step.key : `${step.key}.${index + 1}`
    return {
      key,
      fields: stepFields(step, inside, units),
      materials: (step.materials ?? [])
        .map((one, at) => ({ one, at }))
        .filter(({ one }) => holds(one.when, inside))
        .map(({ one, at }) => draftMaterial(one, `${key}/${at + 1}`, inside, units))
        .filter((one) => one.quantity > 0),
      tools: step.tools ?? [],
    }
  })
}

/** '{a} × {b} mm' and 'M{bolt}': names of values with what they are measured in. */
const sized = /M\{(\w+)\}|(\{\w+\}(?:\s*×\s*\{\w+\})*)(\s*(?:mm|m²|g\/m²|m|kg|L|mL|µm))(?![\w²/])/g

/** A text with its values in place, sizes in the units of the refit and bolts by the name of their thread. */
function filled(text: string, scope: Scope, units: UnitSystem): string {
  const valueOf = (name: string): Value | undefined =>
    Object.hasOwn(scope, name) ? scope[name] : undefined
  const plain = (one: string): string =>
    one.replace(/\{(\w+)\}/g, (whole, name: string) => {
      const value = valueOf(name)
      if (value === undefined) return whole
      return typeof value === 'number'
        ? String(rounded(value, Math.abs(value) < 1 ? 2 : 1))
        : String(value)
    })
  const withSizes = text.replace(sized, (whole, bolt?: string, group?: string, unit?: string) => {
    const size = bolt === undefined ? undefined : valueOf(bolt)
    if (typeof size === 'number') return threadOf(size)?.name ?? `M${rounded(size, 1)}`
    if (units !== 'us' || group === undefined || unit === undefined) return whole
    return group.replace(/\{(\w+)\}/g, (one, name: string) => {
      const value = valueOf(name)
      return typeof value === 'number' ? formatQuantity(value, unit.trim(), units) : one
    })
  })
  return plain(withSizes)
}

function draftMaterial(
  one: RecipeMaterial,
  key: string,
  scope: Scope,
  units: UnitSystem,
): DraftMaterial {
  const quantity = numberFrom(one.quantity, scope, one.what)
  if (quantity < 0) throw new FormulaTrouble(`${one.what}: less than nothing would be needed.`)
  return {
    key,
    what: filled(one.what, scope, units),
    unit: one.unit,
    quantity: rounded(quantity, 3),
    pack: one.pack ?? null,
    mix: one.mix ?? null,
  }
}

function stepFields(step: RecipeStep, scope: Scope, units: UnitSystem): DraftStep['fields'] {
  const hours = numberFrom(step.hours, scope, `${step.title}, hours`)
  if (hours < 0) throw new FormulaTrouble(`${step.title}: the hours come out below nothing.`)
  const [crewMin, crewMax] = step.crew ?? [1, 1]
  return {
    title: filled(step.title, scope, units),
    operation: step.operation,
    hoursLikely: rounded(hours, 2),
    crewMin,
    crewMax,
    skill: step.skill ?? 'general',
    placeNeed: step.place ?? 'boat',
    hullNeed: step.hull ?? 'byPlace',
    afterGate: step.afterGate ?? false,
    dusty: step.dusty ?? null,
    wet: step.wet ?? null,
    opens: step.opens ?? null,
    closes: step.closes ?? null,
    needsDry: step.dry ?? false,
    minTempC: step.minC ?? null,
    parallel: step.parallel ?? false,
    forHelpers: step.helpers ?? false,
    licensedKind: step.licensed ?? null,
    caution: step.caution ?? '',
    waitKind: step.wait?.kind ?? 'none',
    waitHours: step.wait
      ? rounded(numberFrom(step.wait.hours, scope, `${step.title}, wait`), 2)
      : 0,
    waitMinC: step.wait?.kind === 'chem' ? (step.wait.minC ?? step.minC ?? null) : null,
    ...doing(step, scope),
    windowKind: step.window ?? 'bond',
    beginsOnce: step.once ?? 'cured',
    maxWaitHours:
      step.within === undefined
        ? null
        : rounded(numberFrom(step.within, scope, `${step.title}, bond window`), 2),
  }
}

/** What is counted, read and repeated at a step; one thing alone is not counted off. */
function doing(step: RecipeStep, scope: Scope): StepFields {
  const { count, read, rounds } = step
  const many = count ? Math.round(numberFrom(count.of, scope, `${step.title}, how many`)) : 0
  return {
    unitName: many > 1 ? (count?.unit ?? '') : '',
    unitCount: many > 1 ? many : null,
    proveOnOne: many > 1 && (count?.proveOnOne ?? false),
    noNeighbours: many > 1 && (count?.noNeighbours ?? false),
    readWhat: read?.what ?? '',
    readUnit: read?.unit ?? '',
    readLow: read?.low ?? null,
    readHigh: read?.high ?? null,
    readFailAt: read?.failAt ?? null,
    readSource: read?.source ?? '',
    roundsLikely: rounds?.likely ?? 1,
    roundsMost: rounds?.most ?? 1,
    untilGood: rounds?.until ?? '',
  }
}
