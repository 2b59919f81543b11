import { getQuery } from 'h3'
import { idSchema } from '#shared/schemas/entitySchema'
import { handle } from '../http/handle'
import { readBytes } from '../http/input'
import { importRefit, mostFileBytes, previewFile } from '../services/refitFile'

/** A refit file: `?preview` says what is in it, `?replace=ID` puts it in place of one, else it comes in as new. */
export default handle(async (event) => {
  const query = getQuery(event)
  const bytes = await readBytes(event, mostFileBytes, 'This refit file')
  if ('preview' in query) return previewFile(bytes)
  const { error, value } = idSchema.validate(query.replace)
  return importRefit(bytes, error ? null : ((value as string | undefined) ?? null))
})
