import { proxy, wrap } from 'comlink'
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
  const worker = new Worker(new URL('./book.worker.ts', import.meta.url), { type: 'module' })
  const failed = new Promise<never>((_, refuse) =>
    worker.addEventListener('error', (event) => {
      event.preventDefault()
      refuse(new Error(event.message || 'The book could not be started.'))
    }),
  )
  const made = wrap<BookMaker>(worker).make(from, address, proxy(tell))
  return {
    bytes: Promise.race([made, failed]).finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  }
}
