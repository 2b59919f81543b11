import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { problem } from '#shared/problems'
import { folderIn } from './dataFolder'
import { Trouble } from './trouble'

export const mostDocumentBytes = 40e6

interface Known {
  readonly mime: string
  readonly is: (bytes: Buffer) => boolean
}

const begins = (bytes: Buffer, ...start: readonly number[]): boolean =>
  bytes.subarray(0, start.length).equals(Buffer.from(start))

/** Names of the parts by which an office document's zip is told from any other. */
const office: readonly (readonly [string, string])[] = [
  ['word/', 'application/vnd.openxmlformats-officedocument.wordprocessingml.document'],
  ['xl/', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'],
  ['application/vnd.oasis.opendocument', 'application/vnd.oasis.opendocument'],
]

function officeMime(bytes: Buffer): string | null {
  if (!begins(bytes, 0x50, 0x4b, 0x03, 0x04)) return null
  const names = bytes.toString('latin1')
  return office.find(([name]) => names.includes(name))?.[1] ?? null
}

/** Plain text: UTF-8 without control characters, and not a script that begins with its interpreter. */
function isText(bytes: Buffer): boolean {
  if (begins(bytes, 0x23, 0x21)) return false
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return !/[^\P{Cc}\t\n\r\f]/u.test(text)
  } catch {
    return false
  }
}

/** What is taken as a document, told by its bytes: a name can be anything. */
const known: readonly Known[] = [
  { mime: 'application/pdf', is: (bytes) => begins(bytes, 0x25, 0x50, 0x44, 0x46, 0x2d) },
  { mime: 'image/jpeg', is: (bytes) => begins(bytes, 0xff, 0xd8, 0xff) },
  { mime: 'image/png', is: (bytes) => begins(bytes, 0x89, 0x50, 0x4e, 0x47) },
  { mime: 'text/plain', is: isText },
]

const mimeOf = (bytes: Buffer): string | null =>
  officeMime(bytes) ?? known.find((one) => one.is(bytes))?.mime ?? null

/** Keeps a document under the hash of its bytes. It is never opened or run. Throws Trouble 422. */
export async function keepDocument(
  bytes: Buffer,
): Promise<{ hash: string; mime: string; sizeBytes: number }> {
  if (bytes.length === 0) throw new Trouble(422, problem('notDocument', 'This file is empty.'))
  const mime = mimeOf(bytes)
  if (!mime)
    throw new Trouble(
      422,
      problem(
        'notDocument',
        'This is not a document, whatever it is called. Kept are PDF, pictures, plain text, and word-processor and spreadsheet files.',
      ),
    )
  const hash = createHash('sha256').update(bytes).digest('hex')
  const file = join(folderIn('documents'), hash)
  if (!existsSync(file)) await writeFile(file, bytes)
  return { hash, mime, sizeBytes: bytes.length }
}

/** A kept document's bytes. Throws Trouble 404. */
export async function readDocument(hash: string): Promise<Buffer> {
  const file = join(folderIn('documents'), hash)
  if (!/^[0-9a-f]{64}$/.test(hash) || !existsSync(file))
    throw new Trouble(404, problem('notFound', 'That document is not here.'))
  return readFile(file)
}
