import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import readExif from 'exif-reader'
import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import type { Metadata } from 'sharp'
import { problem } from '#shared/problems'
import { keepFile, keptFile, writeKept } from './keptFiles'
import { Trouble } from './trouble'

export const mostPictureBytes = 40e6
const mostPixels = 60e6
const smallWidth = 320

const mimeOf: Readonly<Record<string, string>> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  gif: 'image/gif',
  heif: 'image/avif',
  tiff: 'image/tiff',
}

const notPicture = (why: string): Trouble => new Trouble(422, problem('notPicture', why))
const heic =
  'This is a HEIC picture, which only some programs can read. Set the camera to JPEG ("most compatible"), or save it as JPEG. What you wrote is kept.'
/** Why something is no picture, by its bytes. */
async function whatItIs(bytes: Uint8Array): Promise<string> {
  const mime = (await fileTypeFromBuffer(bytes))?.mime ?? ''
  if (mime === 'image/heic' || mime === 'image/heif') return heic
  if (mime === 'application/pdf')
    return 'This is a PDF, whatever it is called. Keep it with the documents of the job.'
  return 'This is not a picture that can be read. Use a JPEG, PNG or WebP.'
}
const broken = 'This picture is cut off or broken. Take it again or send it once more.'

/** Longest side of a kept picture, points: enough to read a gauge, a tenth of what a camera sends. */
const longestSide = 2560

export interface KeptPicture {
  readonly hash: string
  readonly mime: string
  readonly widthPx: number
  readonly heightPx: number
  /** When its camera says it was taken, on the camera's clock: '2027-04-16T10:22:00'. Null: it does not say. */
  readonly takenLocal: string | null
}

/** What a picture says of itself, without unpacking it. Throws Trouble 413 and 422. */
async function lookAt(bytes: Uint8Array): Promise<Pick<KeptPicture, 'mime' | 'takenLocal'>> {
  let meta: Metadata
  try {
    meta = await sharp(bytes, { limitInputPixels: false }).metadata()
  } catch {
    throw notPicture(await whatItIs(bytes))
  }
  if (meta.format === 'heif' && meta.compression === 'hevc') throw notPicture(heic)
  const mime = mimeOf[meta.format ?? '']
  const { width = 0, height = 0 } = meta.autoOrient ?? meta
  if (!mime || width === 0 || height === 0)
    throw notPicture(
      `A ${meta.format ?? 'file of this kind'} is not taken as a picture. Use a JPEG, PNG or WebP.`,
    )
  if (width * height > mostPixels)
    throw new Trouble(
      413,
      problem('tooLarge', 'This picture has over 60 million points. Make it smaller.'),
    )
  return { mime, takenLocal: takenBy(meta.exif) }
}

const shrink = (picture: Uint8Array | string): Promise<Buffer> =>
  sharp(picture)
    .autoOrient()
    .resize({ width: smallWidth, withoutEnlargement: true })
    .webp()
    .toBuffer()

/** What the camera wrote about the time; a broken note is no reason to refuse a picture. */
function takenBy(exif: Buffer | undefined): string | null {
  if (!exif) return null
  try {
    const { Photo, Image } = readExif(exif)
    const at = Photo?.DateTimeOriginal ?? Image?.DateTime
    return at instanceof Date && !Number.isNaN(at.getTime()) ? at.toISOString().slice(0, 19) : null
  } catch {
    return null
  }
}

/** Formats that are kept as they are; the others become JPEG. */
const keptFormats: Readonly<Record<string, 'png' | 'webp'>> = {
  'image/png': 'png',
  'image/webp': 'webp',
}

/**
 * A picture as it is kept: upright, no larger than is of use, and without what its camera noted about place and
 * owner.
 */
async function plain(bytes: Buffer, mime: string) {
  const format = keptFormats[mime] ?? 'jpeg'
  try {
    const { data, info } = await sharp(bytes)
      .autoOrient()
      .resize({ width: longestSide, height: longestSide, fit: 'inside', withoutEnlargement: true })
      .toFormat(format, format === 'png' ? {} : { quality: 84 })
      .toBuffer({ resolveWithObject: true })
    return { bytes: data, mime: `image/${format}`, widthPx: info.width, heightPx: info.height }
  } catch {
    throw notPicture(broken)
  }
}

/** Keeps a picture under the hash of its bytes, with a small one beside it. Throws Trouble 413 and 422. */
export async function keepPicture(given: Buffer): Promise<KeptPicture> {
  const { mime, takenLocal } = await lookAt(given)
  const { bytes, ...kept } = await plain(given, mime)
  const small = await shrink(bytes)
  const hash = await keepFile('pictures', bytes)
  const file = keptFile('pictures', hash)
  if (file && !existsSync(`${file}.small`)) await writeKept(`${file}.small`, small)
  return { hash, ...kept, takenLocal }
}

/**
 * Keeps a picture that comes with many others: only its head is read, and the small one is made when
 * somebody looks. Throws Trouble 413 and 422.
 */
export async function keepPictureUnread(bytes: Buffer): Promise<void> {
  await lookAt(bytes)
  await keepFile('pictures', bytes)
}

/** Small ones are made one after the other: unpacking takes a picture's whole size in memory. */
let making: Promise<unknown> = Promise.resolve()

/** The small picture beside a file, made again when it is missing. Throws Trouble 422 for a broken one. */
async function smallOf(file: string): Promise<Buffer> {
  const beside = `${file}.small`
  if (existsSync(beside)) return readFile(beside)
  const made = making.then(async () => {
    if (existsSync(beside)) return readFile(beside)
    const small = await shrink(file).catch(() => {
      throw notPicture(broken)
    })
    await writeKept(beside, small)
    return small
  })
  // The next waits for this one however it ends; its error goes to its own caller.
  making = made.catch(() => undefined)
  return made
}

/** Widest a picture is printed in the book, points: three to a row on A4 at 300 to the inch. */
const printedWidth = 720

async function printOf(file: string): Promise<Buffer> {
  return sharp(file)
    .resize({ width: printedWidth, withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 80 })
    .toBuffer()
    .catch(() => {
      throw notPicture(broken)
    })
}

/** As it was kept; small for lists; a JPEG for print. */
export type PictureAs = 'kept' | 'small' | 'print'

/** A kept picture's bytes. Throws Trouble 404, and 422 for a broken one. */
export async function readPicture(
  hash: string,
  as: PictureAs,
): Promise<{ bytes: Buffer; mime: string }> {
  const file = keptFile('pictures', hash)
  if (!file) throw new Trouble(404, problem('notFound', 'That picture is not here.'))
  if (as === 'small') return { bytes: await smallOf(file), mime: 'image/webp' }
  if (as === 'print') return { bytes: await printOf(file), mime: 'image/jpeg' }
  const bytes = await readFile(file)
  const { format } = await sharp(bytes).metadata()
  return { bytes, mime: mimeOf[format ?? ''] ?? 'application/octet-stream' }
}
