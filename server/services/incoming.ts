/** Large files on their way in stand on the disk while they are looked at, not in memory. */
import { createWriteStream, mkdtempSync, rmSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { folderName } from '../db/store'
import { storeTrouble } from '../db/storeTrouble'
import { dataFolder, folderIn } from './dataFolder'
import { Trouble } from './trouble'

const folder = 'incoming'

/** Writes a stream to a file, does the work with it, and takes it away however the work ends. Throws Trouble 503 where the disk is full. */
export async function withIncoming<Result>(
  chunks: AsyncIterable<Uint8Array>,
  work: (file: string) => Promise<Result>,
): Promise<Result> {
  const own = mkdtempSync(join(folderIn(folder), 'file-'))
  try {
    const file = join(own, 'whole')
    await pipeline(chunks, createWriteStream(file)).catch((error: unknown) => {
      throw error instanceof Trouble ? error : (storeTrouble(error, folderName()) ?? error)
    })
    return await work(file)
  } finally {
    await rm(own, { recursive: true, force: true })
  }
}

/** Takes away what a program that was cut off left half taken in. Only for the one that holds the folder. */
export const clearIncoming = (): void =>
  rmSync(join(dataFolder(), folder), { recursive: true, force: true })
