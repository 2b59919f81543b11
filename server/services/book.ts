/** The boat's book as Markdown with its pictures, as a zip. */
import { readFile } from 'node:fs/promises'
import { strToU8 } from 'fflate'
import type { AsyncZippable } from 'fflate'
import type { BookAsked } from '#core/book/blocks'
import { bookOf } from '#core/book/bookOf'
import { markdownOf, pictureName } from '#core/book/markdown'
import { afloatBy } from '#core/log/afloat'
import { acceptedPlan } from '#core/model/stored'
import { zoneClock } from '#core/time/zone'
import { problem } from '#shared/problems'
import { now } from './clock'
import { keptFile } from './keptFiles'
import { wholeRefit } from './refits'
import { zipped } from './refitFile'
import { Trouble } from './trouble'

/** Throws Trouble 404 for a system that is not there. */
export async function markdownBook(
  refitId: string,
  asked: BookAsked,
): Promise<{ name: string; bytes: Uint8Array }> {
  const { rows } = await wholeRefit(refitId)
  if (asked.systemId !== null && !rows.system.some((one) => one.id === asked.systemId))
    throw new Trouble(404, problem('notFound', 'There is no such system in this refit.'))
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  const isAfloat = afloatBy(rows, acceptedPlan(rows), clock)
  const blocks = bookOf(rows, asked, clock.dateOf(now()), isAfloat)
  const files: AsyncZippable = {}
  const here = new Set<string>()
  for (const block of blocks) {
    const path = block.kind === 'picture' ? keptFile('pictures', block.hash) : null
    if (block.kind !== 'picture' || !path) continue
    files[pictureName(block.hash, block.mime)] = [await readFile(path), { level: 0 }]
    here.add(block.hash)
  }
  files['book.md'] = strToU8(markdownOf(blocks, (hash) => here.has(hash)))
  const boat = (rows.refit[0]?.boatName ?? 'boat').replace(/[^\w-]+/g, '-').toLowerCase()
  return { name: `${boat}-book.zip`, bytes: await zipped(files) }
}
