import { defineEventHandler, setResponseHeader, setResponseStatus } from 'h3'
import type { EventHandlerRequest, H3Event } from 'h3'
import { problem } from '#shared/problems'
import { log } from '../services/log'
import { Trouble } from '../services/trouble'

/**
 * A route: what the handler returns is the answer; Trouble becomes its status and problem; anything
 * else is logged and answered as 500 without its inner words.
 */
export const handle = <Result>(
  handler: (event: H3Event<EventHandlerRequest>) => Promise<Result> | Result,
) =>
  defineEventHandler(async (event) => {
    setResponseHeader(event, 'Cache-Control', 'no-store')
    try {
      return await handler(event)
    } catch (error) {
      const trouble = error instanceof Trouble ? error : null
      if (!trouble) log.error({ err: error, path: event.path }, 'a route failed')
      setResponseStatus(event, trouble?.status ?? 500)
      return (
        trouble?.problem ??
        problem(
          'broken',
          'Something went wrong here, and nothing was changed. Try again; the log says more.',
        )
      )
    }
  })
