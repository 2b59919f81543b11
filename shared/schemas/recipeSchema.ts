import { accepted, refused } from '#core/result'
import type { Result } from '#core/result'
import Joi from 'joi'
import { fieldProblems } from '../problems'
import {
  cureStages,
  hullNeeds,
  licensedKinds,
  operations,
  placeNeeds,
  purposes,
  skills,
  systemKinds,
  waitKinds,
  windowKinds,
} from '#core/model/words'
import { recipeProblems } from '#core/recipes/check'
import { mixUses } from '#core/laminate/mixFor'
import { helpDrawings, recipeFormat, recipeUnits, recipeVersion } from '#core/recipes/recipe'
import type { Recipe } from '#core/recipes/recipe'

const key = Joi.string()
  .pattern(/^[a-z][A-Za-z0-9]{0,39}$/)
  .messages({
    'string.pattern.base': 'A name in formulas is letters and digits, a small letter first.',
  })
const stepKey = Joi.string().pattern(/^[A-Za-z][\w-]{0,39}$/)
const line = Joi.string().trim().min(1).max(300)
const formula = Joi.string().trim().min(1).max(400)
const unit = Joi.string()
  .valid(...recipeUnits)
  .messages({ 'any.only': '“{#value}” is not a unit here. There are: {#valids}.' })
const finite = Joi.number().min(-1e9).max(1e9)

const input = Joi.object({
  key: key.required(),
  label: line.required(),
  unit: unit.required(),
  initial: finite.required(),
  min: finite.required(),
  max: finite.required(),
  ofBoat: formula,
  whole: Joi.boolean(),
  thread: Joi.boolean(),
  help: Joi.string().allow('').max(500).default(''),
  drawing: Joi.string().valid(...helpDrawings),
})
const choice = Joi.object({
  key: key.required(),
  label: line.required(),
  initial: Joi.string().max(40).required(),
  options: Joi.array()
    .items(
      Joi.object({
        value: Joi.string()
          .pattern(/^[\w-]{1,40}$/)
          .required(),
        label: line.required(),
        why: Joi.string().allow('').max(800).required(),
      }),
    )
    .min(2)
    .max(8)
    .required(),
})
const value = Joi.object({
  key: key.required(),
  label: line.required(),
  unit: unit.required(),
  formula: formula.required(),
})
const material = Joi.object({
  what: line.required(),
  unit: unit.required(),
  quantity: formula.required(),
  pack: Joi.number().min(0.001).max(1e6),
  mix: Joi.string().valid(...mixUses),
  when: formula,
})
const limit = Joi.number().min(-1e6).max(1e6)
const rounds = Joi.number().integer().min(1).max(40)
const people = Joi.number().integer().min(1).max(8)
const step = Joi.object({
  key: stepKey.required(),
  title: line.required(),
  operation: Joi.string()
    .valid(...operations)
    .required(),
  hours: formula.required(),
  when: formula,
  times: formula,
  crew: Joi.array().ordered(people.required(), people.required()),
  hull: Joi.string().valid(...hullNeeds),
  afterGate: Joi.boolean(),
  place: Joi.string().valid(...placeNeeds),
  skill: Joi.string().valid(...skills),
  dusty: Joi.boolean(),
  wet: Joi.boolean(),
  opens: Joi.boolean(),
  closes: Joi.boolean(),
  dry: Joi.boolean(),
  minC: Joi.number().min(-20).max(50),
  helpers: Joi.boolean(),
  parallel: Joi.boolean(),
  licensed: Joi.string().valid(...licensedKinds),
  wait: Joi.object({
    kind: Joi.string()
      .valid(...waitKinds.filter((kind) => kind !== 'none'))
      .required(),
    hours: formula.required(),
    minC: Joi.number().min(-20).max(50),
  }),
  within: formula,
  window: Joi.string().valid(...windowKinds),
  once: Joi.string().valid(...cureStages),
  count: Joi.object({
    unit: Joi.string().trim().min(1).max(40).required(),
    of: formula.required(),
    proveOnOne: Joi.boolean(),
    noNeighbours: Joi.boolean(),
  }),
  read: Joi.object({
    what: Joi.string().trim().min(1).max(120).required(),
    unit: Joi.string().allow('').max(20).required(),
    low: limit,
    high: limit,
    failAt: limit,
    source: Joi.string().allow('').max(200),
  })
    .or('low', 'high')
    .messages({
      'object.missing': 'A reading needs a limit: from where or up to where does it pass?',
    }),
  rounds: Joi.object({
    likely: rounds.required(),
    most: rounds.min(Joi.ref('likely')).required(),
    until: Joi.string().trim().min(1).max(200).required(),
  }),
  caution: Joi.string().allow('').max(1000),
  materials: Joi.array().items(material).max(40),
  noMaterial: Joi.string().trim().min(1).max(300),
  tools: Joi.array().items(Joi.string().trim().min(1).max(200)).max(40),
})

/** A recipe from a file or an edit: its shape, then its names, formulas and loops. */
export const recipeSchema: Joi.ObjectSchema<Recipe> = Joi.object<Recipe>({
  format: Joi.string().valid(recipeFormat).required().messages({
    'any.only': 'This is not a recipe of Inch Ahead.',
    'any.required': 'This is not a recipe of Inch Ahead.',
  }),
  version: Joi.number().integer().min(1).max(recipeVersion).required().messages({
    'number.max': 'This recipe was written by a newer Inch Ahead. Update the program first.',
  }),
  key: Joi.string()
    .pattern(/^[\w-]{1,80}$/)
    .required(),
  title: Joi.string().trim().min(1).max(200).required(),
  about: Joi.string().allow('').max(2000).default(''),
  purpose: Joi.string()
    .valid(...purposes)
    .required(),
  system: Joi.string()
    .valid(...systemKinds)
    .required(),
  inputs: Joi.array().items(input).max(40).required(),
  choices: Joi.array().items(choice).max(12).required(),
  values: Joi.array().items(value).max(60).required(),
  steps: Joi.array().items(step).min(1).max(200).required(),
}).custom((recipe: Recipe, helpers) => {
  const [first, ...more] = recipeProblems(recipe)
  if (!first) return recipe
  const also = more.length > 0 ? ` And ${more.length} more.` : ''
  return helpers.message({ custom: `At ${first.field}: ${first.message}${also}` })
})

/** A recipe file's text read: the recipe, or the sentence that says what is wrong with it and where. */
export function readRecipeFile(text: string): Result<Recipe> {
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch {
    return refused('This file cannot be read: it is cut off, or not a recipe of Inch Ahead.')
  }
  const { error, value } = recipeSchema.validate(read)
  if (!error) return accepted(value as Recipe)
  const [first] = fieldProblems(error)
  const at = first && first.field !== '' ? `At ${first.field}: ` : ''
  return refused(`${at}${first?.message ?? 'This is not a recipe.'}`)
}
