/** Makes the printed book out of its text and pictures, beside the page. */
import legible from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import legibleMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url'
import condensed from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url'
import condensedMore from '@fontsource/barlow-condensed/files/barlow-condensed-latin-ext-600-normal.woff?url'
import rest from 'pdfmake/build/fonts/Roboto/Roboto-Regular.ttf?url'
import { expose } from 'comlink'
import pdfMake from 'pdfmake/build/pdfmake'
import { allBlocks } from '#core/book/blocks'
import type { Block, BookText } from '#core/book/blocks'
import { bookPages } from '~/book/bookPages'
import type { BookFont } from '~/book/textRuns'
import { api, fileOf } from '~/utils/api'
import { live } from './life'

const fonts: Readonly<Record<BookFont, string>> = {
  Text: legible,
  TextMore: legibleMore,
  Narrow: condensed,
  NarrowMore: condensedMore,
  Rest: rest,
}

/** How far it is: so many pictures of all read, then the pages are laid. */
export interface BookProgress {
  readonly pictures: number
  readonly of: number
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  const chunk = 0x8000
  let said = ''
  for (let at = 0; at < bytes.length; at += chunk)
    said += String.fromCharCode(...bytes.subarray(at, at + chunk))
  return btoa(said)
}

// All it prints comes in with the call: it fetches nothing by itself.
pdfMake.setUrlAccessPolicy(() => false)

async function loadFonts(): Promise<void> {
  const list = await Promise.all(
    Object.entries(fonts).map(async ([name, url]) => {
      const bytes = await fileOf(url)
      if (!bytes) throw new Error('A font of the book is missing from this installation.')
      return [name, await base64(bytes)] as const
    }),
  )
  pdfMake.addVirtualFileSystem(Object.fromEntries(list))
  pdfMake.addFonts(
    Object.fromEntries(
      list.map(([name]) => [name, { normal: name, bold: name, italics: name, bolditalics: name }]),
    ),
  )
}

const atOnce = 3

/** Pictures by hash; a file that is broken or gone is left out. */
async function loadPictures(
  hashes: readonly string[],
  tell: (progress: BookProgress) => Promise<void> | void,
): Promise<Map<string, string>> {
  const pictures = new Map<string, string>()
  const left = [...hashes]
  let read = 0
  const reader = async (): Promise<void> => {
    for (let hash = left.shift(); hash !== undefined; hash = left.shift()) {
      const blob = await fileOf(`/api/pictures/${hash}?print`)
      if (blob) pictures.set(hash, `data:${blob.type};base64,${await base64(blob)}`)
      read += 1
      await tell({ pictures: read, of: hashes.length })
    }
  }
  await Promise.all(Array.from({ length: atOnce }, reader))
  return pictures
}

const maker = {
  /** The PDF. `from`: path of the book's text; `address`: of the refit's pages. Throws ProblemError. */
  async make(
    from: string,
    address: string,
    tell: (progress: BookProgress) => Promise<void> | void,
  ): Promise<Uint8Array> {
    const [text] = await Promise.all([api<BookText>(from), loadFonts()])
    const hashes = allBlocks(text.blocks).flatMap((one) =>
      one.kind === 'picture' && !text.missing.includes(one.hash) ? [one.hash] : [],
    )
    const pictures = await loadPictures([...new Set(hashes)], tell)
    const title = `${text.boatName}, the boat’s book`
    return pdfMake.createPdf(bookPages({ ...text, title, address, pictures })).getBuffer()
  },
  /** Pages of text and tables alone, which came in with the call. */
  async pages(title: string, blocks: readonly Block[]): Promise<Uint8Array> {
    await loadFonts()
    const own = { boatName: '', madeOn: '', isForOthers: false, missing: [], address: '' }
    return pdfMake.createPdf(bookPages({ ...own, title, blocks, pictures: new Map() })).getBuffer()
  },
}

export type BookMaker = typeof maker
expose(maker)
live()
