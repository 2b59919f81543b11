/** Makes a zip entry by entry, as it is sent: a season's pictures never stand in memory together. */
import { promisify } from 'node:util'
import { crc32, deflateRaw } from 'node:zlib'
import { Zip, ZipPassThrough } from 'fflate'
import type { AsyncFlateStreamHandler, ZipInputFile } from 'fflate'

/** A file of the zip: what is read when its turn comes, as it is; or text, which is packed. */
export type ZipEntry =
  | { readonly name: string; readonly read: () => Promise<Uint8Array> }
  | { readonly name: string; readonly text: string }

const pack = promisify<Uint8Array, Uint8Array<ArrayBuffer>>(deflateRaw)
/** The zip format's number for what is packed by deflate (APPNOTE 6.3, 4.4.5). */
const deflated = 8

/** Puts a text into the zip, packed by the machine's own library: off this thread, and with no thread of its own to begin. */
async function addText(zip: Zip, name: string, text: string): Promise<void> {
  const bytes = new TextEncoder().encode(text)
  const file: ZipInputFile & { ondata?: AsyncFlateStreamHandler } = {
    filename: name,
    size: bytes.length,
    crc: crc32(bytes),
    compression: deflated,
  }
  const packed = await pack(bytes)
  zip.add(file)
  file.ondata?.(null, packed, true)
}

async function addBytes(zip: Zip, name: string, read: () => Promise<Uint8Array>): Promise<void> {
  const file = new ZipPassThrough(name)
  zip.add(file)
  file.push(await read(), true)
}

/**
 * The zip's bytes, in order.
 * Throws what a `read` throws, in the midst of the zip: what was sent by then is no zip.
 */
export async function* zipOf(entries: readonly ZipEntry[]): AsyncGenerator<Uint8Array, void> {
  const made: Uint8Array[] = []
  const faults: Error[] = []
  const zip = new Zip((error, bytes) => {
    if (error) faults.push(error)
    else made.push(bytes)
  })
  for (const entry of entries) {
    await ('text' in entry
      ? addText(zip, entry.name, entry.text)
      : addBytes(zip, entry.name, entry.read))
    yield* made.splice(0)
  }
  zip.end()
  if (faults[0]) throw faults[0]
  yield* made.splice(0)
}
