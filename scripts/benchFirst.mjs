/** How soon a view can be used on a machine four times slower, and what each view fetches. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { root } from './prepare.mjs'

const port = 4196
const url = `http://127.0.0.1:${port}`
const slower = 4
const times = 5
const views = ['today', 'jobs', 'sequence', 'log', 'week', 'hours', 'recipes', 'settings', 'triage']

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

async function refitId() {
  for (let tries = 0; tries < 200; tries++) {
    const [first] = await fetch(`${url}/api/refits`)
      .then((answer) => answer.json())
      .catch(() => [])
    if (first) return first.id
    await new Promise((wait) => setTimeout(wait, 100))
  }
  throw new Error('the server did not start')
}

/** One view opened afresh: until its heading stands, and the script that was fetched for it. */
async function opened(browser, id, view) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  const client = await context.newCDPSession(page)
  await client.send('Emulation.setCPUThrottlingRate', { rate: slower })
  const started = Date.now()
  await page.goto(`${url}/r/${id}/${view}`, { waitUntil: 'commit' })
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  const usable = Date.now() - started
  const bytes = await page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((one) => /\.js$/.test(one.name))
      .reduce((sum, one) => sum + one.decodedBodySize, 0),
  )
  await context.close()
  return { usable, bytes }
}

export async function benchFirst() {
  const { chromium } = await import('@playwright/test')
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-first-'))
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
    const id = await refitId()
    const rows = []
    for (const view of views) {
      const tries = []
      for (let n = 0; n < times; n++) tries.push(await opened(browser, id, view))
      rows.push({
        view,
        [`usable at CPU ${slower}× slower, ms`]: median(tries.map((one) => one.usable)),
        'script, kB unpacked': Math.round(median(tries.map((one) => one.bytes)) / 1000),
      })
    }
    return rows
  } finally {
    await browser.close()
    server.kill('SIGKILL')
    rmSync(folder, { recursive: true, force: true })
  }
}
