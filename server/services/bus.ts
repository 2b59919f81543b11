import { EventEmitter } from 'node:events'
import type { Heard } from '#core/model/changes'

const emitter = new EventEmitter()
emitter.setMaxListeners(0)

/** What a listener is told: an event's name and its text, made once for all of them. */
export interface Told {
  readonly event: 'change' | 'reload'
  readonly text: string
}

/** Tells every listener of a refit what changed. */
export const tell = (refitId: string, heard: Heard): void => {
  emitter.emit(refitId, { event: 'change', text: JSON.stringify(heard) } satisfies Told)
}

/** Tells every listener that the refit is another one now, or gone: read it anew. */
export const tellReload = (refitId: string): void => {
  emitter.emit(refitId, { event: 'reload', text: '{}' } satisfies Told)
}

/** Tells the listeners of all refits the same. */
export const tellAllReload = (): void => {
  for (const refitId of emitter.eventNames()) tellReload(String(refitId))
}

/** Listens to a refit until the returned function is called. */
export function listen(refitId: string, hear: (told: Told) => void): () => void {
  emitter.on(refitId, hear)
  return () => emitter.off(refitId, hear)
}
