/**
 * node scripts/demoFolder.mjs FOLDER: the demo as tests begin with it, seeded and opened once, so that its plan and its
 * forecast are there.
 */
import { writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { startServer } from './benchServer.mjs'
import { demoAt, refitIdAt } from './demoServer.mjs'
import { ensureBrowser } from './prepare.mjs'

const folder = process.argv[2]
writeFileSync(join(folder, 'clock.json'), JSON.stringify({ fixedAt: demoAt }))
const port = await new Promise((resolve) => {
  const asked = createServer().listen(0, '127.0.0.1', () => {
    const { port: free } = asked.address()
    asked.close(() => resolve(free))
  })
})
const { url, child } = startServer(port, folder, { INCH_AHEAD_SEED: 'demo' })
const gone = new Promise((resolve) => child.once('exit', resolve))
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? ensureBrowser(),
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
})
try {
  const id = await refitIdAt(url)
  const page = await browser.newPage()
  await page.goto(`${url}/r/${id}/settings`)
  for (let tries = 0; ; tries++) {
    const { rows } = await (await fetch(`${url}/api/refits/${id}`)).json()
    if (rows.odds.length > 0) {
      // As they are given out: whoever makes other refits of them need not ask a server.
      writeFileSync(join(folder, 'rows.json'), JSON.stringify(rows))
      break
    }
    if (tries > 500) throw new Error('the demo was not planned and forecast')
    await page.waitForTimeout(500)
  }
} finally {
  await browser.close()
  // Ended as by Ctrl-C: its database is whole.
  child.kill('SIGTERM')
  await gone
}
