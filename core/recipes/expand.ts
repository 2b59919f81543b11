/** A recipe and its inputs worked out: steps, waits, materials and the values between. */
import type { FieldProblem } from '../model/changes'
import type { Entities } from '../model/entities'
import type { PatchOf } from '../model/field'
import { FormulaTrouble, readFormula } from './formula'
import type { Formula, Scope, Value } from './formula'
import type { Recipe, RecipeInputs, RecipeMaterial, RecipeStep, RecipeUnit } from './recipe'

export type StepFields = Partial<PatchOf<Entities['step']>>

export interface DraftMaterial {
  /** The same for the same material of the same step, whatever the dimensions. */
  readonly key: string
  readonly what: string
  readonly unit: RecipeUnit
  /** What is needed, three decimals. */
  readonly quantity: number
  /** Null: cut to measure. */
  readonly pack: number | null
}
export interface DraftStep {
  /** The same for the same step, whatever the dimensions; repeats are numbered. */
  readonly key: string
  readonly fields: StepFields & { readonly title: string; readonly hoursLikely: number }
  readonly materials: readonly DraftMaterial[]
  readonly tools: readonly string[]
}
export interface ShownValue {
  readonly key: string
  readonly label: string
  readonly unit: RecipeUnit
  readonly value: number
  readonly formula: string
}
export interface Draft {
  readonly steps: readonly DraftStep[]
  readonly values: readonly ShownValue[]
}
export type Expanded =
  | { readonly ok: true; readonly draft: Draft }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] }

/** Steps that one job may be given. */
export const mostStepsInJob = 200
const mostRepeats = 60

const formulas = new Map<string, Formula>()
/** Formulas are read once: the same texts come again at every key pressed. */
function formulaOf(text: string): Formula {
  const known = formulas.get(text)
  if (known) return known
  const made = readFormula(text)
  formulas.set(text, made)
  return made
}

const rounded = (value: number, places: number): number => Number(value.toFixed(places))

function numberFrom(text: string, scope: Scope, what: string): number {
  let value: Value
  try {
    value = formulaOf(text).run(scope)
  } catch (error) {
    if (error instanceof FormulaTrouble) throw new FormulaTrouble(`${what}: ${error.message}`)
    throw error
  }
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw new FormulaTrouble(`${what}: "${text}" gives no number.`)
  return value
}

/** Inputs that are missing, not numbers, out of range, or not one of a choice. */
export function inputProblems(recipe: Recipe, inputs: RecipeInputs): FieldProblem[] {
  const problems: FieldProblem[] = []
  for (const { key, label, min, max, unit, whole } of recipe.inputs) {
    const value = inputs[key]
    const unitWord = unit === 'pieces' || unit === 'times' ? '' : ` ${unit}`
    if (typeof value !== 'number' || !Number.isFinite(value))
      problems.push({ field: key, message: `${label} is missing.` })
    else if (value < min || value > max)
      problems.push({
        field: key,
        message: `${label} must be ${min} to ${max}${unitWord}; ${value} is not. Measure again.`,
      })
    else if (whole && !Number.isInteger(value))
      problems.push({ field: key, message: `${label} is counted: give a whole number.` })
  }
  for (const { key, label, options } of recipe.choices)
    if (!options.some((option) => option.value === inputs[key]))
      problems.push({ field: key, message: `${label}: choose one of the ways.` })
  return problems
}

/** Works a recipe out. Precondition: `recipeProblems` finds nothing wrong with the recipe itself. */
export function expand(recipe: Recipe, inputs: RecipeInputs): Expanded {
  const problems = inputProblems(recipe, inputs)
  if (problems.length > 0) return { ok: false, problems }
  try {
    const { scope, values } = workedValues(recipe, inputs)
    const steps = recipe.steps.flatMap((step) => draftSteps(step, scope))
    if (steps.length === 0)
      return wrong('These dimensions leave nothing to do. Check what was chosen.')
    if (steps.length > mostStepsInJob)
      return wrong(
        `This makes ${steps.length} steps; a job holds up to ${mostStepsInJob}. Split the work in two.`,
      )
    return { ok: true, draft: { steps, values } }
  } catch (error) {
    if (error instanceof FormulaTrouble) return wrong(error.message)
    throw error
  }
}

const wrong = (message: string): Expanded => ({ ok: false, problems: [{ field: '', message }] })

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
    scope[next.key] = numberFrom(next.formula, scope, next.label)
    left.delete(next.key)
  }
  const values = recipe.values.map(({ key, label, unit, formula }) => ({
    key,
    label,
    unit,
    formula,
    value: rounded(scope[key] as number, 3),
  }))
  return { scope, values }
}

function draftSteps(step: RecipeStep, scope: Scope): DraftStep[] {
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
      fields: stepFields(step, inside),
      materials: (step.materials ?? [])
        .map((one, at) => ({ one, at }))
        .filter(({ one }) => holds(one.when, inside))
        .map(({ one, at }) => draftMaterial(one, `${key}/${at + 1}`, inside))
        .filter((one) => one.quantity > 0),
      tools: step.tools ?? [],
    }
  })
}

const filled = (text: string, scope: Scope): string =>
  text.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const value = Object.hasOwn(scope, name) ? scope[name] : undefined
    if (value === undefined) return whole
    return typeof value === 'number' ? String(rounded(value, 1)) : String(value)
  })

function draftMaterial(one: RecipeMaterial, key: string, scope: Scope): DraftMaterial {
  const quantity = numberFrom(one.quantity, scope, one.what)
  if (quantity < 0) throw new FormulaTrouble(`${one.what}: less than nothing would be needed.`)
  return {
    key,
    what: filled(one.what, scope),
    unit: one.unit,
    quantity: rounded(quantity, 3),
    pack: one.pack ?? null,
  }
}

function stepFields(step: RecipeStep, scope: Scope): DraftStep['fields'] {
  const hours = numberFrom(step.hours, scope, `${step.title}, hours`)
  if (hours < 0) throw new FormulaTrouble(`${step.title}: the hours come out below nothing.`)
  const [crewMin, crewMax] = step.crew ?? [1, 1]
  return {
    title: filled(step.title, scope),
    operation: step.operation,
    hoursLikely: rounded(hours, 2),
    crewMin,
    crewMax,
    skill: step.skill ?? 'general',
    placeNeed: step.place ?? 'boat',
    hullNeed: step.hull ?? 'either',
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
    maxWaitHours:
      step.within === undefined
        ? null
        : rounded(numberFrom(step.within, scope, `${step.title}, bond window`), 2),
  }
}
