import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import type { Metadata } from 'sharp'
import { problem } from '#shared/problems'
import { folderIn } from './dataFolder'
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

/** Keeps a picture under the hash of its bytes, with a small one beside it. Throws Trouble 422. */
export async function keepPicture(
  bytes: Buffer,
): Promise<{ hash: string; mime: string; widthPx: number; heightPx: number }> {
  let meta: Metadata
  try {
    meta = await sharp(bytes, { limitInputPixels: false }).metadata()
  } catch {
    throw notPicture('This is not a picture that can be read. Use a JPEG, PNG or WebP.')
  }
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
  const hash = createHash('sha256').update(bytes).digest('hex')
  const file = join(folderIn('pictures'), hash)
  if (!existsSync(file)) {
    let small: Buffer
    try {
      small = await sharp(bytes)
        .autoOrient()
        .resize({ width: smallWidth, withoutEnlargement: true })
        .webp()
        .toBuffer()
    } catch {
      throw notPicture('This picture is cut off or broken. Take it again or send it once more.')
    }
    await writeFile(`${file}.small`, small)
    await writeFile(file, bytes)
  }
  return { hash, mime, widthPx: width, heightPx: height }
}

/** A kept picture's bytes. Throws Trouble 404. */
export async function readPicture(
  hash: string,
  small: boolean,
): Promise<{ bytes: Buffer; mime: string }> {
  const file = join(folderIn('pictures'), hash)
  if (!/^[0-9a-f]{64}$/.test(hash) || !existsSync(file))
    throw new Trouble(404, problem('notFound', 'That picture is not here.'))
  if (small) return { bytes: await readFile(`${file}.small`), mime: 'image/webp' }
  const bytes = await readFile(file)
  const { format } = await sharp(bytes).metadata()
  return { bytes, mime: mimeOf[format ?? ''] ?? 'application/octet-stream' }
}
