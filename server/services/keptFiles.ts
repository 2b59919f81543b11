/** Files kept in the data folder under the hash of their bytes. */
import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { storeTrouble } from '../db/storeTrouble'
import { folderName } from '../db/store'
import type { KeptKind } from '#core/model/field'
import { folderIn, writeWhole } from './dataFolder'

/** True for what can be the name of a kept file, and nothing else. */
const isHash = (text: string): boolean => /^[0-9a-f]{64}$/.test(text)

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** Writes a kept file, whole or not at all. Throws Trouble 503. */
export async function writeKept(file: string, bytes: Uint8Array): Promise<void> {
  try {
    await writeWhole(file, bytes)
  } catch (error) {
    throw storeTrouble(error, folderName()) ?? error
  }
}

/** Keeps bytes under their hash. A file that is there but torn is replaced. Gives the hash. */
export async function keepFile(kind: KeptKind, bytes: Uint8Array): Promise<string> {
  const hash = hashOf(bytes)
  const file = join(folderIn(kind), hash)
  if (existsSync(file) && hashOf(await readFile(file)) === hash) return hash
  await writeKept(file, bytes)
  return hash
}

/** A kept file's path, or null when it is not here. */
export function keptFile(kind: KeptKind, hash: string): string | null {
  if (!isHash(hash)) return null
  const file = join(folderIn(kind), hash)
  return existsSync(file) ? file : null
}
