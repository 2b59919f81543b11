import { proxy } from 'comlink'
import type { Remote } from 'comlink'
import type { BookMaker, BookProgress } from './book.worker'
import { inOwnWorker } from './ownWorker'
import type { OwnWork } from './ownWorker'

/** Prints in a worker of its own, which is gone afterwards: fonts and pages are much to keep. */
export const printBook = (
  from: string,
  address: string,
  tell: (progress: BookProgress) => void,
): OwnWork<Uint8Array> =>
  inOwnWorker(
    'book',
    (name) => new Worker(new URL('./book.worker.ts', import.meta.url), { type: 'module', name }),
    (maker: Remote<BookMaker>) => maker.make(from, address, proxy(tell)),
  )
