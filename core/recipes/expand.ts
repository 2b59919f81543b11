/** A recipe and its inputs worked out: steps, waits, materials and the values between. */
import { accepted, refused } from '../result'
import type { Result } from '../result'
import type { FieldProblem } from '../model/changes'
import type { Entities } from '../model/entities'
import type { PatchOf } from '../model/field'
import type { MixUse } from '../laminate/mixFor'
import { threadOf } from '../fastening/threads'
import type { UnitSystem } from '../units/length'
import { formatQuantity } from '../units/quantity'
import { formulaOf, FormulaTrouble } from './formula'
import type { Scope, Value } from './formula'
import type { Recipe, RecipeInputs, RecipeMaterial, RecipeStep, RecipeUnit } from './recipe'

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
interface ShownValue {
  readonly key: string
  readonly label: string
  readonly unit: RecipeUnit
  /** A number, or a text such as tape marks. */
  readonly value: number | string
  readonly formula: string
}
export interface Draft {
  readonly steps: readonly DraftStep[]
  readonly values: readonly ShownValue[]
}
/** Steps that one job may be given. */
const mostStepsInJob = 200
const mostRepeats = 60

const rounded = (value: number, places: number): number => Number(value.toFixed(places))

function runFormula(text: string, scope: Scope, what: string): Value {
  try {
    return formulaOf(text).run(scope)
  } catch (error) {
    if (error instanceof FormulaTrouble) throw new FormulaTrouble(`${what}: ${error.message}`)
    throw error
  }
}

function checkedNumber(value: Value, text: string, what: string): number {
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw new FormulaTrouble(`${what}: "${text}" gives no number.`)
  return value
}

const numberFrom = (text: string, scope: Scope, what: string): number =>
  checkedNumber(runFormula(text, scope, what), text, what)

/** A number, or a text such as tape marks. Throws FormulaTrouble for neither. */
function valueFrom(text: string, scope: Scope, what: string): number | string {
  const value = runFormula(text, scope, what)
  return typeof value === 'string' ? value : checkedNumber(value, text, what)
}

const shownValue = (value: Value): number | string =>
  typeof value === 'number' ? rounded(value, 3) : String(value)

/** Inputs that are missing, not numbers, out of range, or not one of a choice; said in the units of the refit. */
function inputProblems(
  recipe: Recipe,
  inputs: RecipeInputs,
  units: UnitSystem = 'metric',
): FieldProblem[] {
  const problems: FieldProblem[] = []
  for (const { key, label, min, max, unit, whole, thread } of recipe.inputs) {
    const value = inputs[key]
    const say = (amount: number) => formatQuantity(amount, unit, units)
    if (typeof value !== 'number' || !Number.isFinite(value))
      problems.push({ field: key, message: `${label} is missing.` })
    else if (value < min || value > max)
      problems.push({
        field: key,
        message: `${label} must be ${say(min)} to ${say(max)}; ${say(value)} is not. Measure again.`,
      })
    else if (thread && !threadOf(value))
      problems.push({
        field: key,
        message: `${label}: there is no thread of ${say(value)}. Choose one of the sizes.`,
      })
    else if (whole && !Number.isInteger(value))
      problems.push({ field: key, message: `${label} is counted: give a whole number.` })
  }
  for (const { key, label, options } of recipe.choices)
    if (!options.some((option) => option.value === inputs[key]))
      problems.push({ field: key, message: `${label}: choose one of the ways.` })
  return problems
}

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

/** Values of these names and those they rest on. */
function valuesFor(all: Recipe['values'], names: ReadonlySet<string>): Recipe['values'] {
  const wanted = new Set(names)
  // A value may stand before or after those it rests on, so each new name may call for more of them.
  for (const name of wanted) {
    const value = all.find((one) => one.key === name)
    for (const other of value ? formulaOf(value.formula).names : []) wanted.add(other)
  }
  return all.filter((one) => wanted.has(one.key))
}

/**
 * What a recipe works out of its inputs, without its steps, and no more than values of these names and what they rest
 * on; refused as `expand` refuses.
 */
export function recipeValues(
  recipe: Recipe,
  inputs: RecipeInputs,
  names: ReadonlySet<string>,
): Result<readonly ShownValue[]> {
  const problems = inputProblems(recipe, inputs)
  if (problems.length > 0) return refused('Some of the dimensions cannot be used.', problems)
  try {
    const values = valuesFor(recipe.values, names)
    return accepted(workedValues({ ...recipe, values }, inputs).values)
  } catch (error) {
    if (error instanceof FormulaTrouble) return refused(error.message)
    throw error
  }
}

/** Values in an order in which each has what it needs. Throws FormulaTrouble when they go in a circle. */
function workedValues(
  recipe: Recipe,
  inputs: RecipeInputs,
): { scope: Scope; values: ShownValue[] } {
  const scope: Record<string, Value> = { ...inputs }
  const left = new Map(recipe.values.map((value) => [value.key, value]))
  while (left.size > 0) {
    const next = [...left.values()].find((value) =>
      [...formulaOf(value.formula).names].every((name) => !left.has(name)),
    )
    if (!next)
      throw new FormulaTrouble(`${[...left.keys()].join(', ')} are worked out from each other.`)
    scope[next.key] = valueFrom(next.formula, scope, next.label)
    left.delete(next.key)
  }
  const values = recipe.values.map(({ key, label, unit, formula }) => ({
    key,
    label,
    unit,
    formula,
    value: shownValue(scope[key] as Value),
  }))
  return { scope, values }
}

function draftSteps(step: RecipeStep, scope: Scope, units: UnitSystem): DraftStep[] {
  const what = step.title
  const holds = (when: string | undefined, inside: Scope): boolean =>
    when === undefined || formulaOf(when).run(inside) === true
  if (!holds(step.when, scope)) return []
  const times =
    step.times === undefined ? 1 : Math.round(numberFrom(step.times, scope, `${what}, how often`))
  if (times > mostRepeats)
    throw new FormulaTrouble(`"${what}" would be done ${times} times; at most ${mostRepeats}.`)
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
