/** The built program on the demo, and a browser, for as long as a bench takes. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startServer } from './benchServer.mjs'
import { ensureBuild, ensureDebian } from './prepare.mjs'

/** Saturday 17 April 2027, 08:30 in Dublin: when the demo stands. */
export const demoAt = Date.UTC(2027, 3, 17, 7, 30)

/** Id of the only refit of a server, once it is there. */
export async function refitIdAt(url) {
  for (let tries = 0; tries < 200; tries++) {
    const [first] = await fetch(`${url}/api/refits`)
      .then((answer) => answer.json())
      .catch(() => [])
    if (first) return first.id
    await new Promise((wait) => setTimeout(wait, 100))
  }
  throw new Error('the server did not start')
}

/** Does something with the demo served at `url`, its refit's `id` and a `browser`; leaves nothing running. */
export async function onDemo(port, work) {
  ensureBuild()
  ensureDebian([['chromium', 'chromium']])
  const { chromium } = await import('@playwright/test')
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-bench-'))
  writeFileSync(join(folder, 'clock.json'), JSON.stringify({ fixedAt: demoAt }))
  const { url, kill } = startServer(port, folder, { INCH_AHEAD_SEED: 'demo' })
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  })
  try {
    return await work({ url, id: await refitIdAt(url), browser })
  } finally {
    await browser.close()
    await kill()
    rmSync(folder, { recursive: true, force: true })
  }
}
