import { getQuery, setResponseHeader } from 'h3'
import { handle } from '../../http/handle'
import { pathId } from '../../http/input'
import { readPicture } from '../../services/pictures'

export default handle(async (event) => {
  const asked = getQuery(event)
  const as = 'small' in asked ? 'small' : 'print' in asked ? 'print' : 'kept'
  const picture = await readPicture(pathId(event, 'hash'), as)
  setResponseHeader(event, 'Content-Type', picture.mime)
  setResponseHeader(event, 'Cache-Control', 'private, max-age=31536000, immutable')
  setResponseHeader(event, 'Content-Security-Policy', "default-src 'none'")
  return picture.bytes
})
