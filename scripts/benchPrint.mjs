/** How long the printed book takes with many sheets and pictures as a camera sends them. */
import { randomUUID } from 'node:crypto'
import { statSync } from 'node:fs'
import sharp from 'sharp'
import { onDemo } from './demoServer.mjs'

const port = 4195
const perSheet = 2

/** A picture of 5 million points that does not pack well, and is no other's. */
const noise = (seed) =>
  sharp({
    create: {
      width: 2560,
      height: 1920,
      channels: 3,
      background: { r: (seed * 37) % 256, g: (seed * 91) % 256, b: 120 },
      noise: { type: 'gaussian', mean: 128, sigma: 30 },
    },
  })
    .jpeg({ quality: 84 })
    .toBuffer()

async function post(path, body, type) {
  const answer = await fetch(path, { method: 'POST', body, headers: { 'Content-Type': type } })
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`)
  return answer.json()
}

async function sheetWith(at, url, id) {
  const sheetId = randomUUID()
  const create = (entity, patch) => ({ op: 'create', entity, id: randomUUID(), patch })
  const items = [
    { op: 'create', entity: 'asBuiltSheet', id: sheetId, patch: { title: `Sheet ${at}` } },
    ...Array.from({ length: 8 }, (_, line) =>
      create('asBuiltLine', {
        sheetId,
        kind: line % 2 === 0 ? 'material' : 'size',
        what: `Line ${line}`,
        value: '5.2 kg',
        order: String.fromCharCode(98 + line),
      }),
    ),
  ]
  for (let n = 0; n < perSheet; n++) {
    const kept = await post(
      `${url}/api/refits/${id}/pictures`,
      await noise(at * perSheet + n),
      'image/jpeg',
    )
    const { hash, mime, widthPx, heightPx } = kept
    items.push(create('picture', { hash, mime, widthPx, heightPx, sheetId, takenAt: n + 1 }))
  }
  const change = { changeId: randomUUID(), deviceId: 'bench', personId: null, label: 'A sheet' }
  await post(
    `${url}/api/refits/${id}/changes`,
    JSON.stringify({ ...change, quiet: false, items }),
    'application/json',
  )
}

/** One row. `sheets`: besides those of the demo. */
export const benchPrint = (sheets) =>
  onDemo(port, async ({ url, id, browser }) => {
    for (let at = 0; at < sheets; at++) await sheetWith(at, url, id)
    const page = await browser.newPage()
    await page.goto(`${url}/r/${id}/log`)
    await page.getByRole('button', { name: 'The boat’s book' }).click()
    const from = Date.now()
    const coming = page.waitForEvent('download', { timeout: 180_000 })
    await page.getByRole('button', { name: 'On paper (PDF)' }).click()
    const file = await (await coming).path()
    return [
      {
        sheets,
        pictures: sheets * perSheet,
        'printed, s': Math.round((Date.now() - from) / 100) / 10,
        'file, MB': Math.round(statSync(file).size / 1e5) / 10,
      },
    ]
  })
