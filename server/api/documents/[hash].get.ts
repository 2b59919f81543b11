import { getQuery, setResponseHeaders } from 'h3'
import { handle } from '../../http/handle'
import { pathId } from '../../http/input'
import { readDocument } from '../../services/documents'

/** Always a download under a plain name: the browser is never asked to show what somebody brought in. */
export default handle(async (event) => {
  const bytes = await readDocument(pathId(event, 'hash'))
  const name = encodeURIComponent(String(getQuery(event).name ?? 'document').slice(0, 200))
  setResponseHeaders(event, {
    'Content-Type': 'application/octet-stream',
    'Content-Disposition': `attachment; filename*=UTF-8''${name}`,
    'X-Content-Type-Options': 'nosniff',
    'Content-Security-Policy': "default-src 'none'; sandbox",
  })
  return bytes
})
