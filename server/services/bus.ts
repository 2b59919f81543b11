import { EventEmitter } from 'node:events'
import type { Heard } from '#core/model/changes'

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** Tells every listener of a refit what changed. */
export const tell = (refitId: string, heard: Heard): void => {
  emitter.emit(refitId, heard)
}

/** Listens to a refit until the returned function is called. */
export function listen(refitId: string, hear: (heard: Heard) => void): () => void {
  emitter.on(refitId, hear)
  return () => emitter.off(refitId, hear)
}
