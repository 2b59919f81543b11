import Joi from 'joi'
import { idSchema } from '#shared/schemas/idSchema'
import { handle } from '../http/handle'
import { readBytes, readQuery } from '../http/input'
import { importRefit, mostFileBytes, previewFile } from '../services/refitFile'

const schema = Joi.object<{ preview?: string; replace: string | null }>({
  preview: Joi.string().allow(''),
  replace: idSchema.default(null),
})

/** A refit file: `?preview` says what is in it, `?replace=ID` puts it in place of one, else it comes in as new. */
export default handle(async (event) => {
  const { preview, replace } = readQuery(event, schema)
  const bytes = await readBytes(event, mostFileBytes, 'This refit file')
  return preview === undefined ? importRefit(bytes, replace) : previewFile(bytes)
})
