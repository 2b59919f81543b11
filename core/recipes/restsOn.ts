/** On which dimensions of a recipe one of its materials rests: through its quantity, its name and the values between. */
import { formulaOf } from './formula'
import type { Recipe, RecipeMaterial } from './recipe'

const namesIn = (text: string): string[] =>
  [...text.matchAll(/\{(\w+)\}/g)].map((match) => match[1] as string)

/** The material of "step/2" or "step.3/2", or of "step/2h", a thing it is mixed from; null: the recipe has none of that name any more. */
function materialOf(recipe: Pick<Recipe, 'steps'>, recipePart: string): RecipeMaterial | null {
  const [step = '', at = ''] = recipePart.split('/')
  const found = recipe.steps.find((one) => one.key === step || one.key === step.split('.')[0])
  return found?.materials?.[Number.parseInt(at, 10) - 1] ?? null
}

/** Keys of the inputs that a material made by a recipe depends on. */
export function restsOn(
  recipe: Pick<Recipe, 'steps' | 'values' | 'inputs'>,
  recipePart: string,
): ReadonlySet<string> {
  const material = materialOf(recipe, recipePart)
  if (!material) return new Set()
  const formulas = new Map(recipe.values.map((value) => [value.key, value.formula]))
  const inputs = new Set(recipe.inputs.map((input) => input.key))
  const seen = new Set<string>()
  const left = [...formulaOf(material.quantity).names, ...namesIn(material.what)]
  for (let name = left.pop(); name !== undefined; name = left.pop()) {
    if (seen.has(name)) continue
    seen.add(name)
    const formula = formulas.get(name)
    if (formula !== undefined) left.push(...formulaOf(formula).names)
  }
  return new Set([...seen].filter((name) => inputs.has(name)))
}
