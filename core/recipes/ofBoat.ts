import { FormulaTrouble, readFormula } from './formula'
import type { Recipe, RecipeInput } from './recipe'

/** Sizes of the boat that a recipe may begin from, metres; null: not said. */
export const boatSizes = ['loaM', 'lwlM', 'beamM', 'draughtM'] as const
export type Boat = Readonly<Record<(typeof boatSizes)[number], number | null>>

/**
 * What a dimension begins with on this boat: its own measure where the recipe says how it follows from the
 * boat's sizes and all of them are known, two digits behind the point; else the recipe's usual value.
 */
export function beginsWith(input: RecipeInput, boat: Boat | null): number {
  if (input.ofBoat === undefined || boat === null) return input.initial
  const scope: Record<string, number> = {}
  for (const name of boatSizes) {
    const size = boat[name]
    if (size !== null) scope[name] = size
  }
  const value = workedOut(input.ofBoat, scope)
  const fits = value >= input.min && value <= input.max
  if (!fits) return input.initial
  return input.whole ? Math.round(value) : Math.round(value * 100) / 100
}

/** NaN where a size is not said or the formula has no answer for it. */
function workedOut(text: string, scope: Readonly<Record<string, number>>): number {
  try {
    const formula = readFormula(text)
    return [...formula.names].every((name) => name in scope) ? Number(formula.run(scope)) : NaN
  } catch (error) {
    if (error instanceof FormulaTrouble) return NaN
    throw error
  }
}

/** The inputs a recipe begins with on a boat; without one, its usual values. */
export const initialInputs = (
  recipe: Recipe,
  boat: Boat | null = null,
): Record<string, number | string> =>
  Object.fromEntries([
    ...recipe.inputs.map((one) => [one.key, beginsWith(one, boat)]),
    ...recipe.choices.map((one) => [one.key, one.initial]),
  ])
