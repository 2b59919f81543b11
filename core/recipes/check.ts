/** What is wrong with a recipe beyond its shape: names nobody defines, formulas nobody knows, circles. */
import type { FieldProblem } from '../model/changes'
import { FormulaTrouble, readFormula } from './formula'
import { boatSizes } from './ofBoat'
import type { Recipe } from './recipe'

interface Said {
  readonly at: string
  readonly text: string
  /** Names beyond inputs, choices and values. */
  readonly more: readonly string[]
}

const repeatNames = ['n', 'times']

function formulasOf(recipe: Recipe): Said[] {
  const none: readonly string[] = []
  return [
    ...recipe.values.map((one, i) => ({
      at: `values.${i}.formula`,
      text: one.formula,
      more: none,
    })),
    ...recipe.steps.flatMap((step, i) => {
      const at = (field: string) => `steps.${i}.${field}`
      const inner: (readonly [string, string | undefined])[] = [
        ['hours', step.hours],
        ['wait.hours', step.wait?.hours],
        ['within', step.within],
        ['count.of', step.count?.of],
      ]
      for (const [m, one] of (step.materials ?? []).entries())
        inner.push([`materials.${m}.quantity`, one.quantity], [`materials.${m}.when`, one.when])
      return [
        { at: at('when'), text: step.when, more: none },
        { at: at('times'), text: step.times, more: none },
        ...inner.map(([field, text]) => ({ at: at(field), text, more: repeatNames })),
      ].flatMap((said) => (said.text === undefined ? [] : [{ ...said, text: said.text }]))
    }),
  ]
}

/** Names that texts in braces use: {bolt} in a title or a material. */
function bracedOf(recipe: Recipe): Said[] {
  return recipe.steps.flatMap((step, i) =>
    [
      { at: `steps.${i}.title`, text: step.title },
      ...(step.materials ?? []).map((one, m) => ({
        at: `steps.${i}.materials.${m}.what`,
        text: one.what,
      })),
    ].map((one) => ({ ...one, more: repeatNames })),
  )
}

function twice(recipe: Recipe): FieldProblem[] {
  const problems: FieldProblem[] = []
  const look = (list: readonly { readonly key: string }[], where: string, seen: Set<string>) =>
    list.forEach(({ key }, i) => {
      if (seen.has(key))
        problems.push({ field: `${where}.${i}.key`, message: `“${key}” is there twice.` })
      seen.add(key)
    })
  const names = new Set(repeatNames)
  look(recipe.inputs, 'inputs', names)
  look(recipe.choices, 'choices', names)
  look(recipe.values, 'values', names)
  look(recipe.steps, 'steps', new Set())
  return problems
}

/** Values that are worked out from each other, in a sentence that names them. */
function circles(recipe: Recipe): FieldProblem[] {
  const left = new Map(recipe.values.map((one, i) => [one.key, { ...one, i }]))
  for (let going = true; going;) {
    going = false
    for (const [key, { formula }] of left) {
      const names = namesIn(formula)
      if ([...names].some((name) => left.has(name))) continue
      left.delete(key)
      going = true
    }
  }
  const [first] = left.values()
  return first
    ? [
        {
          field: `values.${first.i}.formula`,
          message: `These values go round in a loop: ${[...left.keys()].join(', ')}. Work one of them out from the inputs.`,
        },
      ]
    : []
}

function namesIn(text: string): ReadonlySet<string> {
  try {
    return readFormula(text).names
  } catch (error) {
    if (error instanceof FormulaTrouble) return new Set()
    throw error
  }
}

const ranges = (recipe: Recipe): FieldProblem[] => [
  ...recipe.inputs.flatMap((one, i) =>
    one.min <= one.initial && one.initial <= one.max
      ? []
      : [
          {
            field: `inputs.${i}.initial`,
            message: `${one.label} begins at ${one.initial}, outside ${one.min} to ${one.max}.`,
          },
        ],
  ),
  ...recipe.choices.flatMap((one, i) =>
    one.options.some((option) => option.value === one.initial)
      ? []
      : [{ field: `choices.${i}.initial`, message: `${one.label} begins at none of its ways.` }],
  ),
]

/** Everything wrong with a recipe of the right shape; empty when it can be worked out. */
export function recipeProblems(recipe: Recipe): FieldProblem[] {
  const known = new Set(
    [...recipe.inputs, ...recipe.choices, ...recipe.values].map((one) => one.key),
  )
  const unknown = (names: Iterable<string>, { at, more }: Said): FieldProblem[] =>
    [...names]
      .filter((name) => !known.has(name) && !more.includes(name))
      .map((name) => ({
        field: at,
        message: `“${name}” is no input, choice or value of this recipe.`,
      }))
  const formulas = formulasOf(recipe).flatMap((said) => {
    try {
      return unknown(readFormula(said.text).names, said)
    } catch (error) {
      if (error instanceof FormulaTrouble) return [{ field: said.at, message: error.message }]
      throw error
    }
  })
  const braced = bracedOf(recipe).flatMap((said) =>
    unknown(
      [...said.text.matchAll(/\{(\w+)\}/g)].map((match) => match[1] as string),
      said,
    ),
  )
  const ofBoat = recipe.inputs.flatMap((one, i) =>
    [...namesIn(one.ofBoat ?? '0')]
      .filter((name) => !boatSizes.some((size) => size === name))
      .map((name) => ({
        field: `inputs.${i}.ofBoat`,
        message: `“${name}” is no size of the boat. There are: ${boatSizes.join(', ')}.`,
      })),
  )
  return [
    ...twice(recipe),
    ...ranges(recipe),
    ...ofBoat,
    ...formulas,
    ...braced,
    ...circles(recipe),
  ]
}
