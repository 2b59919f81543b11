import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import {
  appendResponseHeader,
  defineEventHandler,
  getRequestHeader,
  setResponseHeader,
  setResponseStatus,
} from 'h3'
import type { EventHandlerRequest, H3Event } from 'h3'
import type { Problem } from '#core/model/changes'
import { problem } from '#shared/problems'
import { folderName } from '../db/store'
import { storeTrouble } from '../db/storeTrouble'
import { log } from '../services/log'
import { Trouble } from '../services/trouble'

const packed = promisify(gzip)
/** Answers shorter than this go as they are. */
const leastPacked = 2000

const broken = problem(
  'broken',
  'Something went wrong here, and nothing was changed. Try again; the log says more.',
)

/**
 * Sets the status of whatever was thrown, and gives its problem. What is not Trouble is logged and answered
 * without its inner words.
 */
export function answerTrouble(event: H3Event, error: unknown): Problem {
  const trouble = error instanceof Trouble ? error : storeTrouble(error, folderName())
  if (!trouble || !(error instanceof Trouble))
    log.error({ err: error, path: event.path }, 'a route failed')
  setResponseStatus(event, trouble?.status ?? 500)
  return trouble?.problem ?? broken
}

/** An answer as JSON, packed when it is long and the caller can unpack it. */
async function asJson(event: H3Event, answer: object): Promise<string | Buffer> {
  const text = JSON.stringify(answer)
  setResponseHeader(event, 'Content-Type', 'application/json')
  appendResponseHeader(event, 'Vary', 'Accept-Encoding')
  const takes = getRequestHeader(event, 'accept-encoding') ?? ''
  if (text.length < leastPacked || !/\bgzip\b/.test(takes)) return text
  setResponseHeader(event, 'Content-Encoding', 'gzip')
  // The quickest level: it goes no further than this machine.
  return packed(text, { level: 1 })
}

const isPlain = (answer: unknown): answer is object =>
  typeof answer === 'object' && answer !== null && !(answer instanceof Uint8Array)

/** A route: what the handler returns is the answer; what it throws becomes its status and problem. */
export const handle = <Result>(
  handler: (event: H3Event<EventHandlerRequest>) => Promise<Result> | Result,
) =>
  defineEventHandler(async (event) => {
    setResponseHeader(event, 'Cache-Control', 'no-store')
    try {
      const answer = await handler(event)
      return isPlain(answer) ? await asJson(event, answer) : answer
    } catch (error) {
      return answerTrouble(event, error)
    }
  })
