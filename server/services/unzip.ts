/** Reads a zip that somebody brought in: counted and measured as it unpacks, whatever it says of itself. */
import { crc32 } from 'node:zlib'
import yauzl from 'yauzl'
import type { Entry, ZipFile } from 'yauzl'

/** A zip that cannot be read, or is more than is taken, in words. */
export class ZipTrouble extends Error {}

const broken = new ZipTrouble('The zip cannot be opened: it is cut off or broken.')

export interface ZipLimits {
  readonly entries: number
  /** Of all entries together, unpacked. */
  readonly bytes: number
}

export interface OpenZip {
  /** Names of all entries, each once. Names that lead out of a folder are not among them: the zip is refused. */
  readonly names: readonly string[]
  /** An entry's bytes, up to `most`. */
  readonly read: (name: string, most: number) => Promise<Buffer>
  readonly close: () => void
}

/** Opens a zip on the disk, to be closed again. Throws ZipTrouble for one that is broken or holds more entries than `limits` allow. */
export async function openZip(file: string, limits: ZipLimits): Promise<OpenZip> {
  let zip: ZipFile | null = null
  const entries = new Map<string, Entry>()
  try {
    zip = await yauzl.openPromise(file, { strictFileNames: true, autoClose: false })
    if (zip.entryCount > limits.entries)
      throw new ZipTrouble(
        `The zip holds ${zip.entryCount.toLocaleString('en')} files; up to ${limits.entries.toLocaleString('en')} are taken.`,
      )
    for await (const entry of zip.eachEntry()) {
      if (entries.has(entry.fileName)) throw broken
      entries.set(entry.fileName, entry)
    }
  } catch (error) {
    zip?.close()
    throw error instanceof ZipTrouble ? error : broken
  }
  const open = zip
  let left = limits.bytes
  const read = async (name: string, most: number): Promise<Buffer> => {
    const entry = entries.get(name)
    if (!entry) throw broken
    const chunks: Buffer[] = []
    let length = 0
    try {
      for await (const chunk of await open.openReadStreamPromise(entry)) {
        length += (chunk as Buffer).length
        left -= (chunk as Buffer).length
        if (length > most || left < 0)
          throw new ZipTrouble(
            `“${name}” unpacks to more than is taken: up to ${Math.round(Math.min(most, limits.bytes) / 1e6)} MB.`,
          )
        chunks.push(chunk as Buffer)
      }
    } catch (error) {
      throw error instanceof ZipTrouble ? error : broken
    }
    const whole = Buffer.concat(chunks)
    if (crc32(whole) !== entry.crc32) throw broken
    return whole
  }
  return { names: [...entries.keys()], read, close: () => open.close() }
}
