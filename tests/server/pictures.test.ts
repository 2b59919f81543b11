/** Pictures as they are kept: upright, no larger than of use, without what the camera noted, dated by it. */
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { beginFolder, endFolder } from './doorHarness'

const { keepPicture, readPicture } = await import('../../server/services/pictures')
const { keptFile } = await import('../../server/services/keptFiles')
beforeAll(beginFolder)
afterAll(endFolder)

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#7a5' } })

it('turns a camera picture upright, makes it small and forgets where it was taken', async () => {
  const camera = await plain(3000, 1500)
    .withExif({
      IFD0: { Make: 'Made up', Orientation: '6' },
      IFD2: { DateTimeOriginal: '2027:04:16 10:22:00' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 6/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  const before = await sharp(camera).metadata()
  expect([before.orientation, before.exif !== undefined]).toEqual([6, true])
  const kept = await keepPicture(camera)
  // A quarter turn makes 1500 × 3000, and the longer side 2560.
  expect(kept).toMatchObject({ mime: 'image/jpeg', widthPx: 1280, heightPx: 2560 })
  const file = readFileSync(keptFile('pictures', kept.hash) ?? '')
  const after = await sharp(file).metadata()
  expect([after.width, after.height, after.exif, after.orientation]).toEqual([
    1280,
    2560,
    undefined,
    undefined,
  ])
})

it('reads when a picture was taken, and lives without', async () => {
  const dated = await plain(20, 10)
    .withExif({ IFD2: { DateTimeOriginal: '2027:04:16 10:22:00' } })
    .jpeg()
    .toBuffer()
  expect((await keepPicture(dated)).takenLocal).toBe('2027-04-16T10:22:00')
  expect((await keepPicture(await plain(20, 10).jpeg().toBuffer())).takenLocal).toBeNull()
})

it('keeps drawings as they are and makes JPEG of what few can show', async () => {
  expect((await keepPicture(await plain(20, 10).png().toBuffer())).mime).toBe('image/png')
  expect((await keepPicture(await plain(20, 10).tiff().toBuffer())).mime).toBe('image/jpeg')
})

it('gives a JPEG for print, no wider than is of use, on white where nothing was drawn', async () => {
  const kept = await keepPicture(
    await sharp({
      create: { width: 1800, height: 900, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
    })
      .png()
      .toBuffer(),
  )
  const { bytes, mime } = await readPicture(kept.hash, 'print')
  const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true })
  expect([mime, info.width, info.height]).toEqual(['image/jpeg', 720, 360])
  expect(data[0]).toBeGreaterThan(250)
  const small = await keepPicture(await plain(20, 10).jpeg().toBuffer())
  const asIs = await sharp((await readPicture(small.hash, 'print')).bytes).metadata()
  expect(asIs.width).toBe(20)
  await expect(readPicture('0'.repeat(64), 'print')).rejects.toMatchObject({ status: 404 })
})
