import { newId } from '../utils/newId'

/**
 * A worker that ends by a fault says so; one that the browser ends, for want of memory, says nothing, and who asked it
 * would wait for ever. So each worker holds a lock of its own name while it lives, and its page waits for that lock.
 */
const living = 'living'

/** In the worker: holds its lock until it is gone. Pages that are not on this machine have no locks. */
export function live(): void {
  void navigator.locks?.request(self.name, () => {
    self.postMessage(living)
    return new Promise<never>(() => undefined)
  })
}

/** In the page: what a new worker is called, so that its lock is its own. */
export const workerName = (what: string): string => `inch-ahead.worker.${what}.${newId()}`

/**
 * In the page: tells once when a worker named by `workerName` has ended by itself, by a fault that it did not catch or
 * without a word. Returns what ends the watch, for the page that ends the worker.
 */
export function watchLife(
  worker: Worker,
  name: string,
  what: string,
  tell: (reason: Error) => void,
): () => void {
  const watch = new AbortController()
  const { signal } = watch
  const told = (reason: Error): void => {
    if (signal.aborted) return
    watch.abort()
    tell(reason)
  }
  worker.addEventListener('error', (event) => {
    event.preventDefault()
    told(new Error(event.message || `${what} could not be started.`))
  })
  worker.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data !== living || signal.aborted) return
    navigator.locks
      .request(name, { signal }, () =>
        told(new Error(`${what} was ended by the browser, perhaps for want of memory.`)),
      )
      // The watch was ended, and the wait with it.
      .catch((error: unknown) => {
        if (!signal.aborted) throw error
      })
  })
  return () => watch.abort()
}
