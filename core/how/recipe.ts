import type { Draft } from '../recipes/expand'
import { formatQuantity } from '../units/quantity'
import type { UnitSystem } from '../units/length'
import type { How } from './how'

type Value = Draft['values'][number]
type Input = { readonly key: string; readonly label: string; readonly said: string }

const say = (value: Value, units: UnitSystem): string =>
  typeof value.value === 'string' ? value.value : formatQuantity(value.value, value.unit, units)

/** One worked value of a recipe: what of the dimensions and the values before it goes in. */
export function howRecipeValue(
  value: Value,
  draft: Draft,
  inputs: readonly Input[],
  units: UnitSystem,
): How {
  const names = new Set(value.formula.match(/[A-Za-z_]\w*/g) ?? [])
  const worked = draft.values.filter((one) => one.key !== value.key && names.has(one.key))
  return {
    title: value.label,
    result: say(value, units),
    inputs: [
      ...inputs
        .filter((one) => names.has(one.key))
        .map(({ label, said }) => ({ name: label, value: said })),
      ...worked.map((one) => ({ name: one.label, value: say(one, units) })),
    ],
    working: [`${value.key} = ${value.formula}`, `= ${say(value, units)}`],
    source: 'The recipe’s own formula, worked from the top down.',
    distrust:
      'It is as good as the dimensions you gave. The product’s data sheet, the local code and the licensed trade go before it.',
  }
}
