import { proxy } from 'comlink'
import type { Remote } from 'comlink'
import type { Block } from '#core/book/blocks'
import type { BookMaker, BookProgress } from './book.worker'
import { inOwnWorker } from './ownWorker'
import type { OwnWork } from './ownWorker'

/** A worker of its own, which is gone afterwards: fonts and pages are much to keep. */
const inBookWorker = (work: (maker: Remote<BookMaker>) => Promise<Uint8Array>) =>
  inOwnWorker(
    'book',
    (name) => new Worker(new URL('./book.worker.ts', import.meta.url), { type: 'module', name }),
    work,
  )

/** Prints the book. */
export const printBook = (
  from: string,
  address: string,
  tell: (progress: BookProgress) => void,
): OwnWork<Uint8Array> => inBookWorker((maker) => maker.make(from, address, proxy(tell)))

/** Prints pages that are known already, under a title. */
export const printPages = (title: string, blocks: readonly Block[]): OwnWork<Uint8Array> =>
  inBookWorker((maker) => maker.pages(title, blocks))
