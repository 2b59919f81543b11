/** The refit file: a refit with its pictures and documents, as a zip. docs/refit-file.md */
import { readFile } from 'node:fs/promises'
import { strToU8, zip } from 'fflate'
import type { AsyncZippable } from 'fflate'
import { documentProblem, toDocument } from '#core/exchange/refitFile'
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

export const mostFileBytes = 200e6
const limits = { entries: 20_000, bytes: 800e6 }
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

export const zipped = (files: AsyncZippable): Promise<Uint8Array> =>
  new Promise((resolve, reject) =>
    zip(files, { consume: true }, (error, bytes) => (error ? reject(error) : resolve(bytes))),
  )

/** The refit as a zip: refit.json, its pictures and its documents by hash. Files that are not here are named in it. */
export async function exportRefit(refitId: string): Promise<{ name: string; bytes: Uint8Array }> {
  const { rows } = await wholeRefit(refitId)
  const files: AsyncZippable = {}
  const missing: MissingFile[] = []
  for (const [kind, file] of filesOf(rows)) {
    const path = keptFile(kind, file.hash)
    if (path) files[`${kind}/${file.hash}`] = [await readFile(path), { level: 0 }]
    else missing.push(file)
  }
  files['refit.json'] = strToU8(JSON.stringify(toDocument(refitId, rows, missing), null, 1))
  const name = (rows.refit[0]?.boatName ?? 'refit').replace(/[^\w-]+/g, '-').toLowerCase()
  return { name: `${name}.refit.zip`, bytes: await zipped(files) }
}

interface Unpacked {
  readonly document: RefitDocument
  readonly zip: OpenZip
}

const noZip: OpenZip = {
  names: [],
  read: () => Promise.reject(new ZipTrouble('There is no such file in it.')),
}

/** Reads a zip or a bare refit.json. Throws Trouble 422 for anything else, half a file among it. */
async function unpack(bytes: Buffer): Promise<Unpacked> {
  const isZip = bytes.subarray(0, 2).toString('latin1') === 'PK'
  try {
    const zip = isZip ? await openZip(bytes, limits) : noZip
    if (isZip && !zip.names.includes('refit.json'))
      throw refused('There is no refit.json in this zip: it is not a refit file of ours.')
    const inner = isZip ? await zip.read('refit.json', mostDocument) : bytes
    return { document: readDocumentText(inner), zip }
  } catch (error) {
    throw error instanceof ZipTrouble ? refused(error.message) : error
  }
}

function readDocumentText(inner: Buffer): RefitDocument {
  if (inner.length > mostDocument)
    throw refused(`The refit.json is over ${mostDocument / 1e6} MB: no refit is that large.`)
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

/** What a refit file holds, before anything is written. */
export async function previewFile(bytes: Buffer) {
  const { document, zip } = await unpack(bytes)
  return {
    name: String(document.rows.refit?.[0]?.name ?? ''),
    boatName: String(document.rows.refit?.[0]?.boatName ?? ''),
    counts: Object.fromEntries(
      entityNames.map((entity) => [entity, document.rows[entity]?.length ?? 0]),
    ),
    pictures: zip.names.filter((name) => name.startsWith('pictures/')).length,
  }
}

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
    const content = await zip
      .read(name, picture ? mostPictureBytes : mostDocumentBytes)
      .catch((error: unknown) => {
        throw error instanceof ZipTrouble ? refused(error.message) : error
      })
    if (picture) await keepPictureUnread(content)
    else await keepDocument(content)
    if (!keptFile(kind, name.split('/')[1] ?? ''))
      throw refused(`The file ${name.slice(0, 18)}… is not the one it says it is.`)
  }
}

/** Brings a refit file in: as a new refit, or in place of one. All or nothing. Says what wants mending. */
export async function importRefit(bytes: Buffer, replace: string | null): Promise<BroughtIn> {
  const unpacked = await unpack(bytes)
  await keepFiles(unpacked)
  return bringIn(unpacked.document, replace)
}
