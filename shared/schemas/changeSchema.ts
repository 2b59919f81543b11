import Joi from 'joi'
import { entityNames } from '#core/model/entities'
import { idSchema } from './idSchema'

/** Most operations in one list: a refit file's worth. */
const mostItems = 60_000
/** Words for undo carry a whole title (500 at most) and the verb before it. */
const mostLabel = 700

const common = {
  entity: Joi.string()
    .valid(...entityNames)
    .required(),
  id: idSchema.required(),
}
const patch = Joi.object().unknown(true)
const baseVersion = Joi.number().integer().min(1).required()

const item = Joi.alternatives().conditional('.op', {
  switch: [
    { is: 'create', then: Joi.object({ op: 'create', ...common, patch: patch.required() }) },
    {
      is: 'patch',
      then: Joi.object({ op: 'patch', ...common, baseVersion, patch: patch.required() }),
    },
    { is: 'delete', then: Joi.object({ op: 'delete', ...common, baseVersion }) },
  ],
  otherwise: Joi.forbidden().messages({
    'any.unknown': 'The operation of a change must be create, patch or delete.',
  }),
})

/** The shape of a change list; each patch is checked against its entity afterwards. */
export const changeSchema = Joi.object({
  changeId: idSchema.required(),
  deviceId: idSchema.required(),
  personId: idSchema.allow(null).default(null),
  label: Joi.string()
    .max(mostLabel)
    .messages({
      'string.max': 'The words for undo are too long: at most {#limit} characters.',
    })
    .default('A change'),
  quiet: Joi.boolean().default(false),
  epoch: Joi.string().max(64).messages({ 'string.max': 'That is no life of a refit.' }),
  basedOn: Joi.array().items(idSchema).max(1000),
  items: Joi.array().items(item).min(1).max(mostItems).required(),
}).label('change')
