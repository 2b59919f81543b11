import Joi from 'joi'
import { mostFileBytes } from '#core/exchange/refitFile'
import { idSchema } from '#shared/schemas/idSchema'
import { handle } from '../http/handle'
import { bodyOf, readQuery } from '../http/input'
import { withIncoming } from '../services/incoming'
import { importRefit, previewFile } from '../services/refitFile'

const schema = Joi.object<{ preview?: string; replace: string | null }>({
  preview: Joi.string().allow(''),
  replace: idSchema.default(null),
})

/** A refit file: `?preview` says what is in it, `?replace=ID` puts it in place of one, else it comes in as new. */
export default handle((event) => {
  const { preview, replace } = readQuery(event, schema)
  return withIncoming(bodyOf(event, mostFileBytes, 'This refit file'), async (file) =>
    preview === undefined ? importRefit(file, replace) : previewFile(file),
  )
})
