import Joi from 'joi'
import { entities } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, Fields } from '#core/model/field'
import { serverFields } from '#core/model/settle'
import { isDate } from '#core/time/civil'
import { recipeSchema } from './recipeSchema'

/** Ids are made by the client; anything short and plain will do, so that imported files keep theirs. */
export const idSchema = Joi.string()
  .pattern(/^[\w-]{1,64}$/)
  .messages({ 'string.pattern.base': 'An id may have letters, digits, - and _, at most 64.' })

const date = Joi.string().custom((value: string, helpers) =>
  isDate(value) ? value : helpers.error('date.real'),
)

function numberSchema(field: Field<unknown>): Joi.Schema {
  let schema = field.kind === 'integer' ? Joi.number().integer() : Joi.number()
  if (field.min !== undefined) schema = schema.min(field.min)
  if (field.max !== undefined) schema = schema.max(field.max)
  return schema
}

function textSchema(field: Field<unknown>): Joi.Schema {
  const schema = Joi.string().max(field.max ?? 200)
  return field.min === 0 ? schema.allow('') : schema.trim().min(1)
}

const base: Readonly<Record<Field<unknown>['kind'], (field: Field<unknown>) => Joi.Schema>> = {
  text: textSchema,
  choice: (field) => Joi.string().valid(...(field.options ?? [])),
  choices: (field) =>
    Joi.array()
      .items(Joi.string().valid(...(field.options ?? [])))
      .unique(),
  integer: numberSchema,
  real: numberSchema,
  flag: () => Joi.boolean(),
  date: () => date,
  instant: () => Joi.number().integer().min(0).max(8.64e15),
  clockTime: () => Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$|^24:00$/),
  ref: () => idSchema,
  refs: () => Joi.array().items(idSchema).unique().max(10_000),
  record: () => Joi.alternatives(Joi.object().unknown(true), Joi.array()),
}

/** Sentences for a field, in which {#label} is its name on screen. */
const sentences = {
  'any.required': '{#label} is missing.',
  'any.only': '{#label} must be one of {#valids}.',
  'string.base': '{#label} must be text.',
  'string.empty': '{#label} is empty. Write something.',
  'string.min': '{#label} is empty. Write something.',
  'string.max': '{#label} is too long: at most {#limit} characters.',
  'string.pattern.base': '{#label} is not in the form it should be.',
  'number.base': '{#label} must be a number.',
  'number.min': '{#label} must be at least {#limit}.',
  'number.max': '{#label} must be at most {#limit}.',
  'number.integer': '{#label} must be a whole number.',
  'number.unsafe': '{#label} is too large a number.',
  'boolean.base': '{#label} must be yes or no.',
  'array.base': '{#label} must be a list.',
  'array.unique': '{#label} names something twice.',
  'date.real': '{#label} is not a date. Write it as 2027-05-22.',
  'object.unknown': 'There is no field {#label}.',
}

function fieldSchema(field: Field<unknown>): Joi.Schema {
  const schema = base[field.kind](field)
    .label(field.label)
    .messages(sentences)
    .prefs({ errors: { wrap: { label: false } } })
  return field.nullable ? schema.allow(null) : schema
}

const objectOf = (keys: Record<string, Joi.Schema>): Joi.ObjectSchema =>
  Joi.object(keys)
    .messages(sentences)
    .prefs({ abortEarly: false, errors: { wrap: { label: false } } })

/** What a person gives a recipe: numbers by input, a word by choice. */
const recipeInputs = Joi.object().pattern(
  /^[a-z][A-Za-z0-9]{0,39}$/,
  Joi.alternatives(Joi.number(), Joi.string().max(40)),
)
/** Records a person can write, with their whole shape. */
const recordSchemas: Partial<Record<EntityName, Readonly<Record<string, Joi.Schema>>>> = {
  recipe: { body: recipeSchema },
  job: { recipeInputs },
}

const keysOf = (entity: EntityName): Record<string, Joi.Schema> =>
  Object.fromEntries(
    (Object.entries(entities[entity] as Fields) as [string, Field<unknown>][]).map(
      ([name, field]) => [name, recordSchemas[entity]?.[name] ?? fieldSchema(field)],
    ),
  )

const made = new Map<string, Joi.ObjectSchema>()
function once(key: string, make: () => Joi.ObjectSchema): Joi.ObjectSchema {
  const schema = made.get(key) ?? make()
  made.set(key, schema)
  return schema
}

/** What a new row may be given: needed fields required, the rest optional. */
export const createSchema = (entity: EntityName): Joi.ObjectSchema =>
  once(`create ${entity}`, () => {
    const keys = keysOf(entity)
    for (const [name, field] of Object.entries(entities[entity] as Fields))
      if (field.initial === undefined && keys[name]) keys[name] = keys[name].required()
    return objectOf(keys)
  })

/** What a patch may hold: at least one field. */
export const patchSchema = (entity: EntityName): Joi.ObjectSchema =>
  once(`patch ${entity}`, () => {
    const keys = Object.entries(keysOf(entity)).filter(
      ([name]) => !serverFields[entity]?.includes(name),
    )
    return objectOf(Object.fromEntries(keys)).min(1)
  })
