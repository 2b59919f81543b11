import { defineEventHandler } from 'h3'
import { answerTrouble } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { listen } from '../../../services/bus'
import type { Told } from '../../../services/bus'
import { wholeRefit } from '../../../services/refits'

/** A beat, so that a dead connection is noticed, ms. */
const beatMs = 20_000
/** Bytes that may wait for a slow listener; past that it is dropped, comes again and catches up. */
const mostWaiting = 1_000_000

/**
 * Changes as they happen. Begins with "hello": the life and the last number of the refit, by which a
 * listener sees whether it missed any.
 */
export default defineEventHandler(async (event) => {
  const { res } = event.node
  const early: Told[] = []
  let hear = (told: Told): void => {
    early.push(told)
  }
  let stop: (() => void) | null = null
  try {
    const refitId = pathId(event, 'refit')
    // Listening comes first: a change between the two is heard twice rather than never.
    stop = listen(refitId, (told) => hear(told))
    const { epoch, seq } = await wholeRefit(refitId)
    res.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store',
      Connection: 'keep-alive',
    })
    const send = (name: string, text: string): void => {
      if (res.writableLength > mostWaiting) res.destroy()
      else res.write(`event: ${name}\ndata: ${text}\n\n`)
    }
    send('hello', JSON.stringify({ epoch, seq }))
    hear = (told) => send(told.event, told.text)
    for (const told of early) hear(told)
    const beat = setInterval(() => send('beat', ''), beatMs)
    await new Promise<void>((resolve) => res.once('close', resolve))
    clearInterval(beat)
    return undefined
  } catch (error) {
    return answerTrouble(event, error)
  } finally {
    stop?.()
  }
})
