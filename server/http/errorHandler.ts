import { setResponseHeader, setResponseStatus } from 'h3'
import type { H3Event } from 'h3'
import { problem } from '#shared/problems'
import { log } from '../services/log'

/** Errors that reach no route of ours: an unknown method, a path that cannot be read. In the one shape. */
export default function answerError(error: { statusCode?: number }, event: H3Event): void {
  const status = error.statusCode ?? 500
  if (status >= 500) log.error({ err: error, path: event.path }, 'a request failed')
  const unknown = status === 404 || status === 405
  const answer = unknown
    ? problem('notFound', 'There is nothing at that address.')
    : status < 500
      ? problem('badRequest', 'This request cannot be read.')
      : problem('broken', 'Something went wrong here, and nothing was changed. The log says more.')
  setResponseStatus(event, unknown ? 404 : status)
  setResponseHeader(event, 'Content-Type', 'application/json')
  event.node.res.end(JSON.stringify(answer))
}
