import { randomUUID } from 'node:crypto'
import { dayMs } from '#core/time/civil'
import { asChanges, demoNow, sableWren } from '~~/demo/sableWren'
import { passDoor } from './changeDoor'
import { now } from './clock'

/** Puts the demo refit into the data folder, its dates moved by whole weeks to lie round today. */
export async function seedDemo(): Promise<{ refitId: string }> {
  const refitId = randomUUID()
  const weeks = Math.floor((now() - demoNow + dayMs) / (7 * dayMs))
  await passDoor(refitId, {
    changeId: randomUUID(),
    deviceId: 'demo',
    personId: null,
    label: 'The demo refit',
    quiet: true,
    items: asChanges(sableWren(refitId, weeks)),
  })
  return { refitId }
}
