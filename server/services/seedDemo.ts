import { randomUUID } from 'node:crypto'
import { toDocument } from '#core/exchange/refitFile'
import type { Row } from '#core/model/entities'
import { newRow } from '#core/model/newRow'
import { dayMs } from '#core/time/civil'
import sharp from 'sharp'
import { demoAt, demoNow, sableWren } from '~~/demo/sableWren'
import { drawnPictures } from '~~/demo/sableWren/pictures'
import { bringIn } from './bringIn'
import { now } from './clock'
import { keepPicture } from './pictures'

/** Puts the demo refit into the data folder, its dates moved by whole weeks to lie round today. */
export async function seedDemo(): Promise<{ refitId: string }> {
  const wanted = randomUUID()
  const weeks = Math.floor((now() - demoNow + dayMs) / (7 * dayMs))
  const rows = { ...sableWren(wanted, weeks), picture: await drawPictures(weeks) }
  const { refitId, toMend } = await bringIn(toDocument(wanted, rows), null)
  if (toMend.length > 0) throw new Error(`The demo wants mending: ${toMend.join(' ')}`)
  return { refitId }
}

/** Draws the demo's pictures into the data folder, and their rows. */
async function drawPictures(weeks: number): Promise<Row<'picture'>[]> {
  const made: Row<'picture'>[] = []
  for (const [index, { svg, takenAt, ...row }] of drawnPictures.entries()) {
    const kept = await keepPicture(await sharp(Buffer.from(svg)).png().toBuffer())
    const values = { ...row, ...kept, takenAt: demoAt(takenAt, weeks) }
    made.push(newRow('picture', `picture-${index + 1}`, values))
  }
  return made
}
