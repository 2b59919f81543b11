import { readBookQuery } from '../../../http/bookQuery'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { sendZip } from '../../../http/sendZip'
import { markdownBook } from '../../../services/book'

export default handle(async (event) => {
  const { name, entries } = await markdownBook(pathId(event, 'refit'), readBookQuery(event))
  await sendZip(event, name, entries)
})
