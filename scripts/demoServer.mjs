/** The built program on the demo, and a browser, for as long as a bench takes. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuild, ensureDebian, root } from './prepare.mjs'

async function refitId(url) {
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
  const url = `http://127.0.0.1:${port}`
  const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      LOG_LEVEL: 'error',
      HOST: '127.0.0.1',
      PORT: String(port),
      INCH_AHEAD_DATA: folder,
      INCH_AHEAD_SEED: 'demo',
    },
    stdio: 'ignore',
  })
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
  })
  try {
    return await work({ url, id: await refitId(url), browser })
  } finally {
    await browser.close()
    server.kill('SIGKILL')
    rmSync(folder, { recursive: true, force: true })
  }
}
