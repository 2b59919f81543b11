import Joi from 'joi'

/** Ids are made by the client; anything short and plain will do, so that imported files keep theirs. */
export const idSchema = Joi.string()
  .pattern(/^[\w-]{1,64}$/)
  .messages({
    'string.pattern.base': 'An id may have letters, digits, - and _, at most 64.',
    'string.base': 'An id must be text.',
    'string.empty': 'An id is empty.',
    'any.required': 'An id is missing.',
  })
