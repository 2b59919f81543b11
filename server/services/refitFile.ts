/** The refit file: a refit with its pictures and documents, as a zip. docs/refit-file.md */
import { open, readFile, stat } from 'node:fs/promises'
import { documentProblem, mostFileBytes, toDocument } from '#core/exchange/refitFile'
import type { MissingFile, RefitDocument } from '#core/exchange/refitFile'
import { entityNames } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import { readJson } from '#shared/keepable'
import { problem } from '#shared/problems'
import { bringIn } from './bringIn'
import type { BroughtIn } from './bringIn'
import { keepDocument, mostDocumentBytes } from './documents'
import { keptFile } from './keptFiles'
import type { KeptKind } from '#core/model/field'
import { entityWord, fileFields, fileTitle } from '#core/model/references'
import { keepPictureUnread, mostPictureBytes } from './pictures'
import { wholeRefit } from './refits'
import { Trouble } from './trouble'
import { openZip, ZipTrouble } from './unzip'
import type { OpenZip } from './unzip'
import type { ZipEntry } from './zipOut'

const mostEntries = 20_000
/** Pictures and documents hardly pack: a small file that unpacks to much is none of ours. */
const mostUnpacked = (fileBytes: number): number => 200e6 + 4 * fileBytes
/** Of refit.json, unpacked: a refit at every other limit has a quarter of it. */
const mostDocument = 80e6

const refused = (message: string): Trouble => new Trouble(422, problem('notRefitFile', message))

/** Files that the rows name, by folder, each once. */
const filesOf = (rows: Partial<RefitRows>): readonly (readonly [KeptKind, MissingFile])[] =>
  fileFields.flatMap(({ entity, field, folder }) =>
    ((rows[entity] ?? []) as unknown as readonly Readonly<Record<string, unknown>>[]).map(
      (row) =>
        [
          folder,
          {
            hash: String(row[field]),
            name: fileTitle(row) || `a ${entityWord[entity]} without words`,
          },
        ] as const,
    ),
  )

/** Files of a refit that are not in the data folder, named. Throws Trouble 404. */
export async function missingFilesOf(refitId: string): Promise<readonly MissingFile[]> {
  const { rows } = await wholeRefit(refitId)
  return filesOf(rows).flatMap(([kind, file]) => (keptFile(kind, file.hash) ? [] : [file]))
}

const tooMuch = new Trouble(
  413,
  problem(
    'tooLarge',
    'The pictures and documents of this refit come to more than one file can hold: 4 GB, or 20,000 of them. Copy the whole data folder instead, with the program ended.',
  ),
)

/**
 * The refit as the entries of a zip: its pictures and documents by hash, and refit.json, which names those that are not
 * here. Throws Trouble 404, and 413 for more than could be brought in again.
 */
export async function exportRefit(
  refitId: string,
): Promise<{ name: string; entries: readonly ZipEntry[] }> {
  const { rows } = await wholeRefit(refitId)
  const found = new Map<string, string>()
  const missing: MissingFile[] = []
  for (const [kind, file] of filesOf(rows)) {
    const path = keptFile(kind, file.hash)
    if (path) found.set(`${kind}/${file.hash}`, path)
    else missing.push(file)
  }
  const text = JSON.stringify(toDocument(refitId, rows, missing), null, 1)
  let bytes = text.length
  for (const path of found.values()) bytes += (await stat(path)).size
  if (bytes > mostFileBytes || found.size >= mostEntries) throw tooMuch
  const name = (rows.refit[0]?.boatName ?? 'refit').replace(/[^\w-]+/g, '-').toLowerCase()
  return {
    name: `${name}.refit.zip`,
    entries: [
      ...[...found].map(([name, path]) => ({ name, read: () => readFile(path) })),
      { name: 'refit.json', text },
    ],
  }
}

interface Unpacked {
  readonly document: RefitDocument
  readonly zip: OpenZip
}

const noZip: OpenZip = {
  names: [],
  read: () => Promise.reject(new ZipTrouble('There is no such file in it.')),
  close: () => undefined,
}

async function startsAsZip(file: string): Promise<boolean> {
  const handle = await open(file)
  try {
    const { buffer } = await handle.read(Buffer.alloc(2), 0, 2, 0)
    return buffer.toString('latin1') === 'PK'
  } finally {
    await handle.close()
  }
}

/** The bytes of refit.json, alone or in its zip. */
async function documentBytes(file: string, size: number, zip: OpenZip): Promise<Buffer> {
  if (zip !== noZip) {
    if (!zip.names.includes('refit.json'))
      throw refused('There is no refit.json in this zip: it is not a refit file of ours.')
    return zip.read('refit.json', mostDocument)
  }
  if (size > mostDocument)
    throw refused(`The refit.json is over ${mostDocument / 1e6} MB: no refit is that large.`)
  return readFile(file)
}

/** Does something with what is in a zip or a bare refit.json. Throws Trouble 422 for anything else, half a file among it. */
async function unpacked<Result>(
  file: string,
  work: (inside: Unpacked) => Promise<Result> | Result,
): Promise<Result> {
  const { size } = await stat(file)
  let zip = noZip
  try {
    if (await startsAsZip(file))
      zip = await openZip(file, { entries: mostEntries, bytes: mostUnpacked(size) })
    return await work({ document: readDocumentText(await documentBytes(file, size, zip)), zip })
  } catch (error) {
    throw error instanceof ZipTrouble ? refused(error.message) : error
  } finally {
    zip.close()
  }
}

function readDocumentText(inner: Buffer): RefitDocument {
  let document: unknown
  try {
    document = readJson(inner.toString('utf8'))
  } catch {
    throw refused('The refit file cannot be read: it is cut off or not ours.')
  }
  const wrong = documentProblem(document)
  if (wrong !== '') throw refused(wrong)
  return document as RefitDocument
}

/** What a refit file holds, before anything is written. Throws Trouble 422. */
export const previewFile = (file: string) =>
  unpacked(file, ({ document, zip }) => ({
    name: String(document.rows.refit?.[0]?.name ?? ''),
    boatName: String(document.rows.refit?.[0]?.boatName ?? ''),
    counts: Object.fromEntries(
      entityNames.map((entity) => [entity, document.rows[entity]?.length ?? 0]),
    ),
    pictures: zip.names.filter((name) => name.startsWith('pictures/')).length,
  }))

/** Puts the files that the rows name into the data folder. Files that no row names stay where they are. */
async function keepFiles({ document, zip }: Unpacked): Promise<void> {
  const names = new Set(zip.names)
  const wanted = new Map(
    filesOf(document.rows as Partial<RefitRows>).map(([kind, { hash }]) => [
      `${kind}/${hash}`,
      kind,
    ]),
  )
  for (const [name, kind] of wanted) {
    if (!names.has(name)) continue
    const picture = kind === 'pictures'
    const content = await zip.read(name, picture ? mostPictureBytes : mostDocumentBytes)
    if (picture) await keepPictureUnread(content)
    else await keepDocument(content)
    if (!keptFile(kind, name.split('/')[1] ?? ''))
      throw refused(`The file ${name.slice(0, 18)}… is not the one it says it is.`)
  }
}

/** Brings a refit file in: as a new refit, or in place of one. All or nothing. Says what wants mending. Throws Trouble 422. */
export const importRefit = (file: string, replace: string | null): Promise<BroughtIn> =>
  unpacked(file, async (inside) => {
    await keepFiles(inside)
    return bringIn(inside.document, replace)
  })
