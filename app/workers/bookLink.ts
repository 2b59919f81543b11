import { proxy, wrap } from 'comlink'
import { watchLife, workerName } from './life'
import type { BookMaker, BookProgress } from './book.worker'

/** One book being printed. */
export interface Printing {
  readonly bytes: Promise<Uint8Array>
  /** Ends it and its worker; `bytes` then never comes. */
  readonly stop: () => void
}

/** Prints in a worker of its own, which is gone afterwards: fonts and pages are much to keep. */
export function printBook(
  from: string,
  address: string,
  tell: (progress: BookProgress) => void,
): Printing {
  const name = workerName('book')
  const worker = new Worker(new URL('./book.worker.ts', import.meta.url), { type: 'module', name })
  let unwatch = (): void => undefined
  const failed = new Promise<never>((_, refuse) => {
    unwatch = watchLife(worker, name, 'The book', refuse)
  })
  const end = (): void => {
    unwatch()
    worker.terminate()
  }
  const made = wrap<BookMaker>(worker).make(from, address, proxy(tell))
  return {
    bytes: Promise.race([made, failed]).finally(end),
    stop: end,
  }
}
