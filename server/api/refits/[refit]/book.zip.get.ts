import { setResponseHeader } from 'h3'
import Joi from 'joi'
import { idSchema } from '#shared/schemas/idSchema'
import { handle } from '../../../http/handle'
import { pathId, readQuery } from '../../../http/input'
import { markdownBook } from '../../../services/book'

const query = Joi.object<{ system?: string; copy?: 'own' | 'others' }>({
  system: idSchema,
  copy: Joi.string().valid('own', 'others').messages({
    'any.only': 'A copy is for yourselves (own) or for others.',
  }),
})

export default handle(async (event) => {
  const { system, copy } = readQuery(event, query)
  const { name, bytes } = await markdownBook(pathId(event, 'refit'), {
    systemId: system ?? null,
    isForOthers: copy === 'others',
  })
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}"`)
  return Buffer.from(bytes)
})
