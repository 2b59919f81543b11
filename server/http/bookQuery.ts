import type { H3Event } from 'h3'
import Joi from 'joi'
import type { BookAsked } from '#core/book/blocks'
import { idSchema } from '#shared/schemas/idSchema'
import { readQuery } from './input'

const query = Joi.object<{ system?: string; copy?: 'own' | 'others' }>({
  system: idSchema,
  copy: Joi.string().valid('own', 'others').messages({
    'any.only': 'A copy is for yourselves (own) or for others.',
  }),
})

/** Which book is asked for. Throws Trouble 422. */
export function readBookQuery(event: H3Event): BookAsked {
  const { system, copy } = readQuery(event, query)
  return { systemId: system ?? null, isForOthers: copy === 'others' }
}
