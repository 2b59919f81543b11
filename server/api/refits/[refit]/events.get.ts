import { createEventStream, defineEventHandler } from 'h3'
import { pathId } from '../../../http/input'
import { listen } from '../../../services/bus'

/** Changes as they happen, and a beat so that a dead connection is noticed. */
const beatMs = 20_000

export default defineEventHandler((event) => {
  const stream = createEventStream(event)
  const stop = listen(pathId(event, 'refit'), (heard) => {
    void stream.push(JSON.stringify(heard))
  })
  const beat = setInterval(() => void stream.push({ event: 'beat', data: '' }), beatMs)
  stream.onClosed(async () => {
    clearInterval(beat)
    stop()
    await stream.close()
  })
  void stream.push({ event: 'beat', data: '' })
  return stream.send()
})
