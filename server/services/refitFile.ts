import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import { strFromU8, strToU8, unzip, zipSync } from 'fflate'
import type { Zippable } from 'fflate'
import { documentChanges, documentProblem, toDocument } from '#core/exchange/refitFile'
import type { RefitDocument } from '#core/exchange/refitFile'
import { entityNames } from '#core/model/entities'
import { problem } from '#shared/problems'
import { database } from '../db/connect'
import { passDoor } from './changeDoor'
import { folderIn } from './dataFolder'
import { keepDocument, readDocument } from './documents'
import { keepPicture } from './pictures'
import { wholeRefit } from './refits'
import { replaceRefit } from './replaceRefit'
import { Trouble } from './trouble'

export const mostFileBytes = 200e6
const mostUnpackedBytes = 800e6

const refused = (message: string): Trouble => new Trouble(422, problem('notRefitFile', message))

/** The refit as a zip: refit.json, its pictures and its documents by hash. */
export async function exportRefit(refitId: string): Promise<{ name: string; bytes: Uint8Array }> {
  const { rows } = await wholeRefit(refitId)
  const files: Zippable = {
    'refit.json': strToU8(JSON.stringify(toDocument(refitId, rows), null, 1)),
  }
  for (const { hash } of rows.picture)
    files[`pictures/${hash}`] = [await readFile(join(folderIn('pictures'), hash)), { level: 0 }]
  for (const { hash } of rows.document)
    files[`documents/${hash}`] = [await readDocument(hash), { level: 0 }]
  const name = (rows.refit[0]?.boatName ?? 'refit').replace(/[^\w-]+/g, '-').toLowerCase()
  return { name: `${name}.refit.zip`, bytes: zipSync(files) }
}

interface Unpacked {
  readonly document: RefitDocument
  readonly pictures: ReadonlyMap<string, Uint8Array>
  readonly documents: ReadonlyMap<string, Uint8Array>
}

/** Reads a zip or a bare refit.json. Throws Trouble 422 for anything else, half a file among it. */
async function unpack(bytes: Buffer): Promise<Unpacked> {
  const zipped = bytes.subarray(0, 2).toString('latin1') === 'PK'
  const files = zipped ? await unzipAll(bytes) : { 'refit.json': new Uint8Array(bytes) }
  const inner = files['refit.json']
  if (!inner) throw refused('There is no refit.json in this zip: it is not a refit file of ours.')
  let document: unknown
  try {
    document = JSON.parse(strFromU8(inner))
  } catch {
    throw refused('The refit file cannot be read: it is cut off or not ours.')
  }
  const wrong = documentProblem(document)
  if (wrong !== '') throw refused(wrong)
  const byHash = (folder: string) =>
    new Map(
      Object.entries(files)
        .map(([name, content]) => [name.split('/'), content] as const)
        .filter(([path]) => path.length === 2 && path[0] === folder)
        .filter(([path]) => /^[0-9a-f]{64}$/.test(path[1] as string))
        .map(([path, content]) => [path[1] as string, content]),
    )
  return {
    document: document as RefitDocument,
    pictures: byHash('pictures'),
    documents: byHash('documents'),
  }
}

const unzipAll = (bytes: Buffer): Promise<Record<string, Uint8Array>> =>
  new Promise((resolve, reject) => {
    let total = 0
    unzip(
      bytes,
      {
        filter: (file) => {
          total += file.originalSize
          return total <= mostUnpackedBytes
        },
      },
      (error, files) => {
        if (error) reject(refused('The zip cannot be opened: it is cut off or broken.'))
        else if (total > mostUnpackedBytes) reject(refused('The zip unpacks to more than 800 MB.'))
        else resolve(files)
      },
    )
  })

/** What a refit file holds, before anything is written. */
export async function previewFile(bytes: Buffer) {
  const { document, pictures } = await unpack(bytes)
  return {
    name: String(document.rows.refit?.[0]?.name ?? ''),
    boatName: String(document.rows.refit?.[0]?.boatName ?? ''),
    counts: Object.fromEntries(
      entityNames.map((entity) => [entity, document.rows[entity]?.length ?? 0]),
    ),
    pictures: pictures.size,
  }
}

/** Brings a refit file in: as a new refit, or in place of one. All or nothing. */
export async function importRefit(
  bytes: Buffer,
  replace: string | null,
): Promise<{ refitId: string }> {
  const { document, pictures, documents } = await unpack(bytes)
  const refitId = replace ?? (await freeId(document.refitId))
  for (const [hash, content] of pictures) {
    const kept = await keepPicture(Buffer.from(content))
    if (kept.hash !== hash)
      throw refused(`The picture ${hash.slice(0, 8)}… is not the one it says it is.`)
  }
  for (const [hash, content] of documents) {
    const kept = await keepDocument(Buffer.from(content))
    if (kept.hash !== hash)
      throw refused(`The document ${hash.slice(0, 8)}… is not the one it says it is.`)
  }
  const change = {
    changeId: randomUUID(),
    deviceId: 'import',
    personId: null,
    label: 'A refit file brought in',
    quiet: true,
    items: documentChanges(document, refitId),
  }
  if (replace) await replaceRefit(refitId, change)
  else await passDoor(refitId, change)
  return { refitId }
}

/** The file's own refit id where it is not in use here. */
async function freeId(wanted: string): Promise<string> {
  const { models } = await database()
  const taken =
    /^[\w-]{1,64}$/.test(wanted) &&
    (await models.rows.refit.findOne({ where: { refitId: wanted } }))
  return taken || !/^[\w-]{1,64}$/.test(wanted) ? randomUUID() : wanted
}
