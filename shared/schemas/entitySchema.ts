import Joi from 'joi'
import { entities } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, Fields } from '#core/model/field'
import { isByServer } from '#core/model/references'
import { isDate } from '#core/time/civil'
import { recordSchemas } from './recordSchemas'
import { idSchema } from './idSchema'
import { keepable } from '../keepable'

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
  let schema = Joi.string()
    .max(field.max ?? 200)
    .custom(keepable)
  if (field.pattern) schema = schema.pattern(field.pattern)
  return field.min === 0 ? schema.allow('') : schema.trim().min(1)
}

/** What a person sees who has chosen nothing in a list. */
const nothingChosen = 'Choose one for {#label}.'

const refSchema = idSchema
  .messages({
    'string.base': nothingChosen,
    'string.empty': nothingChosen,
    'any.required': nothingChosen,
  })
  .prefs({ errors: { wrap: { label: '“”' } } })
const refsSchema = Joi.array().items(idSchema).unique().max(10_000)

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
  ref: () => refSchema,
  refs: () => refsSchema,
  // Each record has a schema of its own: see recordSchemas.
  record: () => Joi.forbidden(),
}

function fieldSchema(field: Field<unknown>): Joi.Schema {
  const schema = base[field.kind](field).label(field.label)
  return field.nullable ? schema.allow(null) : schema
}

const objectOf = (keys: Record<string, Joi.Schema>): Joi.ObjectSchema =>
  Joi.object(keys).prefs({ abortEarly: false })

const keysMade = (entity: EntityName): Readonly<Record<string, Joi.Schema>> =>
  Object.fromEntries(
    (Object.entries(entities[entity] as Fields) as [string, Field<unknown>][]).map(
      ([name, field]) => [
        name,
        recordSchemas[entity]?.[name]?.label(field.label) ?? fieldSchema(field),
      ],
    ),
  )

/** Kept by name: schemas take longer to make than to ask. */
function once<T>(make: (entity: EntityName) => T): (entity: EntityName) => T {
  const made = new Map<EntityName, T>()
  return (entity) => {
    const one = made.get(entity) ?? make(entity)
    made.set(entity, one)
    return one
  }
}

const keysOf = once(keysMade)

/** What a new row may be given: needed fields required, the rest optional. */
export const createSchema = once((entity: EntityName): Joi.ObjectSchema => {
  const keys = { ...keysOf(entity) }
  for (const [name, field] of Object.entries(entities[entity] as Fields))
    if (field.initial === undefined && keys[name]) keys[name] = keys[name].required()
  return objectOf(keys)
})

/** What a patch may hold: at least one field. */
export const patchSchema = once((entity: EntityName): Joi.ObjectSchema => {
  const keys = Object.entries(keysOf(entity)).filter(([name]) => !isByServer(entity, name))
  return objectOf(Object.fromEntries(keys)).min(1)
})
