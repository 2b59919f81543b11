import { defineEventHandler, getRequestHeader, removeResponseHeader, setResponseStatus } from 'h3'
import { problem } from '#shared/problems'

const loopback = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/

/**
 * Loopback only: a page elsewhere must not reach this server through a name that points here, nor
 * post to it from another origin.
 */
export default defineEventHandler((event) => {
  const host = getRequestHeader(event, 'host') ?? ''
  const origin = getRequestHeader(event, 'origin')
  // The head of an answer belongs to this program alone.
  removeResponseHeader(event, 'X-Powered-By')
  const foreign = origin !== undefined && origin !== `http://${host}`
  if (loopback.test(host) && !(foreign && event.method !== 'GET')) return undefined
  setResponseStatus(event, 403)
  return problem(
    'forbidden',
    'Inch Ahead answers on this machine only. Open it as http://127.0.0.1.',
  )
})
