import { setResponseHeader } from 'h3'
import { readBookQuery } from '../../../http/bookQuery'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { markdownBook } from '../../../services/book'

export default handle(async (event) => {
  const { name, bytes } = await markdownBook(pathId(event, 'refit'), readBookQuery(event))
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}"`)
  return Buffer.from(bytes)
})
