import { getQuery, setResponseHeader } from 'h3'
import { handle } from '../../http/handle'
import { pathId } from '../../http/input'
import { readPicture } from '../../services/pictures'

export default handle(async (event) => {
  const picture = await readPicture(pathId(event, 'hash'), 'small' in getQuery(event))
  setResponseHeader(event, 'Content-Type', picture.mime)
  setResponseHeader(event, 'Cache-Control', 'private, max-age=31536000, immutable')
  setResponseHeader(event, 'Content-Security-Policy', "default-src 'none'")
  return picture.bytes
})
