/** The boat's book: its blocks, and as Markdown with its pictures, as a zip. */
import { readFile } from 'node:fs/promises'
import { allBlocks } from '#core/book/blocks'
import type { BookAsked, BookText } from '#core/book/blocks'
import { bookOf } from '#core/book/bookOf'
import { drawingFiles, markdownOf, pictureName } from '#core/book/markdown'
import { afloatBy } from '#core/log/afloat'
import { acceptedPlan } from '#core/model/stored'
import { zoneClock } from '#core/time/zone'
import { problem } from '#shared/problems'
import { now } from './clock'
import { keptFile } from './keptFiles'
import { wholeRefit } from './refits'
import { Trouble } from './trouble'
import type { ZipEntry } from './zipOut'

/** The book of a refit in blocks. Throws Trouble 404 for a system that is not there. */
export async function bookText(refitId: string, asked: BookAsked): Promise<BookText> {
  const { rows } = await wholeRefit(refitId)
  if (asked.systemId !== null && !rows.system.some((one) => one.id === asked.systemId))
    throw new Trouble(404, problem('notFound', 'There is no such system in this refit.'))
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const madeOn = clock.dateOf(now())
  const blocks = bookOf(rows, asked, madeOn, afloatBy(rows, acceptedPlan(rows), clock))
  const missing = allBlocks(blocks).flatMap((one) =>
    one.kind === 'picture' && keptFile('pictures', one.hash) === null ? [one.hash] : [],
  )
  return {
    boatName: rows.refit[0]?.boatName ?? 'boat',
    madeOn,
    isForOthers: asked.isForOthers,
    blocks,
    missing,
  }
}

/** The book as the entries of a zip. Throws Trouble 404 for a system that is not there. */
export async function markdownBook(
  refitId: string,
  asked: BookAsked,
): Promise<{ name: string; entries: readonly ZipEntry[] }> {
  const { boatName, blocks, missing } = await bookText(refitId, asked)
  const pictures = new Map<string, string>()
  for (const block of allBlocks(blocks)) {
    const path = block.kind === 'picture' ? keptFile('pictures', block.hash) : null
    if (block.kind === 'picture' && path) pictures.set(pictureName(block.hash, block.mime), path)
  }
  const boat = boatName.replace(/[^\w-]+/g, '-').toLowerCase()
  return {
    name: `${boat}-book.zip`,
    entries: [
      ...[...pictures].map(([name, path]) => ({ name, read: () => readFile(path) })),
      ...[...drawingFiles(blocks)].map(([drawing, name]) => ({ name, text: drawing.svg })),
      { name: 'book.md', text: markdownOf(blocks, (hash) => !missing.includes(hash)) },
    ],
  }
}
