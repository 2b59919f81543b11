/** Makes a zip entry by entry, as it is sent: a season's pictures never stand in memory together. */
import { AsyncZipDeflate, Zip, ZipPassThrough } from 'fflate'

/** A file of the zip: what is read when its turn comes, as it is; or text, which is packed. */
export type ZipEntry =
  | { readonly name: string; readonly read: () => Promise<Uint8Array> }
  | { readonly name: string; readonly text: string }

/**
 * The zip's bytes, in order. Texts belong last: they are packed beside the reading, and what follows waits in memory.
 * Throws what a `read` throws, in the midst of the zip: what was sent by then is no zip.
 */
export async function* zipOf(entries: readonly ZipEntry[]): AsyncGenerator<Uint8Array, void> {
  const made: Uint8Array[] = []
  let ended: (error: Error | null) => void = () => undefined
  const end = new Promise<Error | null>((resolve) => (ended = resolve))
  const zip = new Zip((error, bytes, isLast) => {
    if (error) return ended(error)
    made.push(bytes)
    if (isLast) ended(null)
  })
  try {
    for (const entry of entries) {
      const isText = 'text' in entry
      const file = isText ? new AsyncZipDeflate(entry.name) : new ZipPassThrough(entry.name)
      zip.add(file)
      file.push(isText ? new TextEncoder().encode(entry.text) : await entry.read(), true)
      yield* made.splice(0)
    }
    zip.end()
    const error = await end
    if (error) throw error
    yield* made.splice(0)
  } finally {
    // Whoever reads may stop early.
    zip.terminate()
  }
}
