import { readFile } from 'node:fs/promises'
import { fileTypeFromBuffer } from 'file-type'
import { problem } from '#shared/problems'
import { keepFile, keptFile } from './keptFiles'
import { Trouble } from './trouble'

export const mostDocumentBytes = 40e6

/** What is taken as a document, told by its bytes: a name can be anything. */
const taken: readonly RegExp[] = [
  /^application\/pdf$/,
  /^image\/(jpeg|png)$/,
  /^application\/vnd\.openxmlformats-officedocument\.(wordprocessingml\.document|spreadsheetml\.sheet)$/,
  /^application\/vnd\.oasis\.opendocument\.(text|spreadsheet|graphics|presentation)$/,
]

/** Plain text: UTF-8 without control characters, and not a script that begins with its interpreter. */
function isText(bytes: Buffer): boolean {
  if (bytes.subarray(0, 2).toString('latin1') === '#!') return false
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return !/[^\P{Cc}\t\n\r\f]/u.test(text)
  } catch {
    return false
  }
}

async function mimeOf(bytes: Buffer): Promise<string | null> {
  const mime = (await fileTypeFromBuffer(bytes))?.mime ?? ''
  if (taken.some((one) => one.test(mime))) return mime
  return isText(bytes) ? 'text/plain' : null
}

/** Keeps a document under the hash of its bytes. It is never opened or run. Throws Trouble 422. */
export async function keepDocument(
  bytes: Buffer,
): Promise<{ hash: string; mime: string; sizeBytes: number }> {
  if (bytes.length === 0) throw new Trouble(422, problem('notDocument', 'This file is empty.'))
  const mime = await mimeOf(bytes)
  if (!mime)
    throw new Trouble(
      422,
      problem(
        'notDocument',
        'This is not a document, whatever it is called. Kept are PDF, pictures, plain text, and word-processor and spreadsheet files.',
      ),
    )
  return { hash: await keepFile('documents', bytes), mime, sizeBytes: bytes.length }
}

/** A kept document's bytes. Throws Trouble 404. */
export async function readDocument(hash: string): Promise<Buffer> {
  const file = keptFile('documents', hash)
  if (!file) throw new Trouble(404, problem('notFound', 'That document is not here.'))
  return readFile(file)
}
