import { randomUUID } from 'node:crypto'
import type { ChangeItem } from '#core/model/changes'
import { dayMs } from '#core/time/civil'
import sharp from 'sharp'
import { asChanges, demoAt, demoNow, sableWren } from '~~/demo/sableWren'
import { drawnPictures } from '~~/demo/sableWren/pictures'
import { passDoor } from './changeDoor'
import { now } from './clock'
import { keepPicture } from './pictures'

/** Puts the demo refit into the data folder, its dates moved by whole weeks to lie round today. */
export async function seedDemo(): Promise<{ refitId: string }> {
  const refitId = randomUUID()
  const weeks = Math.floor((now() - demoNow + dayMs) / (7 * dayMs))
  const pictures = await drawPictures(weeks)
  await passDoor(refitId, {
    changeId: randomUUID(),
    deviceId: 'demo',
    personId: null,
    label: 'The demo refit',
    quiet: true,
    items: [...asChanges(sableWren(refitId, weeks)), ...pictures],
  })
  return { refitId }
}

/** Draws the demo's pictures into the data folder and hands out the operations that add them. */
async function drawPictures(weeks: number): Promise<ChangeItem[]> {
  const made: ChangeItem[] = []
  for (const [index, { svg, takenAt, ...row }] of drawnPictures.entries()) {
    const kept = await keepPicture(await sharp(Buffer.from(svg)).png().toBuffer())
    made.push({
      op: 'create',
      entity: 'picture',
      id: `picture-${index + 1}`,
      patch: { ...row, ...kept, takenAt: demoAt(takenAt, weeks) },
    })
  }
  return made
}
