/** What a recipe works out of its inputs: the values between the dimensions and the steps. */
import { accepted, refused } from '../result'
import type { Result } from '../result'
import type { FieldProblem } from '../model/changes'
import { threadOf } from '../fastening/threads'
import type { UnitSystem } from '../units/length'
import { formatQuantity } from '../units/quantity'
import { formulaOf, FormulaTrouble } from './formula'
import type { Scope, Value } from './formula'
import type { Recipe, RecipeInputs, RecipeUnit } from './recipe'

export interface ShownValue {
  readonly key: string
  readonly label: string
  readonly unit: RecipeUnit
  /** A number, or a text such as tape marks. */
  readonly value: number | string
  readonly formula: string
}
export const rounded = (value: number, places: number): number => Number(value.toFixed(places))

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
    throw new FormulaTrouble(`${what}: “${text}” gives no number.`)
  return value
}

/** A number. Throws FormulaTrouble where the formula gives none. */
export const numberFrom = (text: string, scope: Scope, what: string): number =>
  checkedNumber(runFormula(text, scope, what), text, what)

/** A number, or a text such as tape marks. Throws FormulaTrouble for neither. */
function valueFrom(text: string, scope: Scope, what: string): number | string {
  const value = runFormula(text, scope, what)
  return typeof value === 'string' ? value : checkedNumber(value, text, what)
}

const shownValue = (value: Value): number | string =>
  typeof value === 'number' ? rounded(value, 3) : String(value)

/** Inputs that are missing, not numbers, out of range, or not one of a choice; said in the units of the refit. */
export function inputProblems(
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
export function workedValues(
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
