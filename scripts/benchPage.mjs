/** The list of 500 jobs scrolled from end to end in the browser: frames, and tasks over 50 ms. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuild, ensureDebian, root } from './prepare.mjs'

const port = 4188

/** Precondition: packages are installed. `file`: a refit file's text. */
export async function scrollJobs(file) {
  ensureDebian([['chromium', 'chromium']])
  ensureBuild()
  const { chromium } = await import('@playwright/test')
  const data = mkdtempSync(join(tmpdir(), 'inch-ahead-scroll-'))
  writeFileSync(join(data, 'clock.json'), JSON.stringify({ fixedAt: Date.UTC(2027, 3, 17, 7, 30) }))
  const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      LOG_LEVEL: 'warn',
      HOST: '127.0.0.1',
      PORT: String(port),
      INCH_AHEAD_DATA: data,
    },
    stdio: 'ignore',
  })
  const url = `http://127.0.0.1:${port}`
  try {
    for (let tries = 0; tries < 100; tries++) {
      if (
        await fetch(`${url}/api/refits`).then(
          (answer) => answer.ok,
          () => false,
        )
      )
        break
      await new Promise((wait) => setTimeout(wait, 200))
    }
    const { refitId } = await (
      await fetch(`${url}/api/import`, { method: 'POST', body: file })
    ).json()
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
    })
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${url}/r/${refitId}/jobs`)
    await page.getByText(/^Ranking/).waitFor({ state: 'hidden' })
    await page
      .getByText(/launch planned|no launch/)
      .first()
      .waitFor()
    await page.waitForTimeout(6000)
    const rows = []
    for (const grouping of ['By rank', 'By place', 'By what found it']) {
      await page.getByLabel('In which order').selectOption(grouping)
      await page.waitForTimeout(500)
      const measured = await page.evaluate(scrollThrough)
      rows.push({ 'list of 500 jobs': grouping, ...measured })
    }
    rows.push({ 'list of 500 jobs': 'An edit, and its plan', ...(await editOne(page)) })
    const sequence = await lookAround(page, `${url}/r/${refitId}/sequence`)
    await browser.close()
    return { rows, sequence }
  } finally {
    server.kill('SIGKILL')
    rmSync(data, { recursive: true, force: true })
  }
}

/** Ten seconds on the Sequence of 2,000 steps: nearer and farther by the wheel, a board drawn along between. */
async function lookAround(page, url) {
  await page.goto(url)
  await page.getByText(/^Planning/).waitFor({ state: 'hidden' })
  const chart = page.locator('main svg[role=group]:visible').first()
  await chart.waitFor()
  await page.waitForTimeout(9000)
  const box = await chart.boundingBox()
  await page.evaluate(() => {
    window.tasks = []
    window.frames = []
    new PerformanceObserver((list) =>
      window.tasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: 'longtask' })
    // Work of a frame: from its first callback until a message sent then is heard.
    const { port1, port2 } = new MessageChannel()
    let began = 0
    port1.onmessage = () => window.frames.push(performance.now() - began)
    const frame = () => {
      began = performance.now()
      port2.postMessage(null)
      requestAnimationFrame(frame)
    }
    requestAnimationFrame(frame)
  })
  const until = Date.now() + 10_000
  let turns = 0
  while (Date.now() < until) {
    await page.mouse.move(box.x + 500, box.y + 300)
    await page.keyboard.down('Control')
    await page.mouse.wheel(0, turns % 4 < 2 ? -120 : 120)
    await page.keyboard.up('Control')
    turns++
    for (let x = 0; x < 40; x++) {
      await page.mouse.move(box.x + 300 + x * 12, box.y + 250 + (x % 7) * 20)
      await page.waitForTimeout(10)
    }
  }
  const { tasks, frames } = await page.evaluate(() => ({
    tasks: window.tasks,
    frames: window.frames.sort((a, b) => a - b),
  }))
  return {
    'the Sequence of 2,000 steps': 'nearer and farther for 10 s',
    turns,
    frames: frames.length,
    '95 % of frames, ms': Number((frames[Math.floor(frames.length * 0.95)] ?? 0).toFixed(1)),
    'tasks over 50 ms': tasks.length,
    'longest, ms': Math.round(Math.max(0, ...tasks)),
  }
}

/** One title changed and planned for: tasks over 50 ms from the press of Enter on. */
async function editOne(page) {
  await page.evaluate(() => scrollTo(0, 0))
  await page.locator('[data-job] > button').first().click()
  const title = page.getByRole('region').getByLabel('Job', { exact: true })
  await title.waitFor()
  await page.waitForTimeout(1500)
  await page.evaluate(() => {
    window.long = []
    new PerformanceObserver((list) =>
      window.long.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: 'longtask' })
  })
  await title.fill('Another name')
  await title.press('Enter')
  await page.waitForTimeout(12_000)
  const long = await page.evaluate(() => window.long)
  return {
    'tasks over 50 ms': long.length,
    'longest, ms': Math.round(Math.max(0, ...long)),
  }
}

/** Runs in the page: to the foot by wheel-sized steps, a step a frame. */
async function scrollThrough() {
  scrollTo(0, 0)
  const long = []
  const observer = new PerformanceObserver((list) =>
    long.push(...list.getEntries().map((entry) => entry.duration)),
  )
  observer.observe({ type: 'longtask' })
  const frame = () => new Promise((next) => requestAnimationFrame(next))
  await frame()
  let frames = 0
  for (let at = 0; at < document.documentElement.scrollHeight - innerHeight; at += 240) {
    scrollTo(0, at)
    await frame()
    frames++
  }
  await new Promise((wait) => setTimeout(wait, 300))
  observer.disconnect()
  return {
    'height, px': document.documentElement.scrollHeight,
    'scroll steps': frames,
    'rows in the page': document.querySelectorAll('[data-line]').length,
    'tasks over 50 ms': long.length,
    'longest, ms': Math.round(Math.max(0, ...long)),
  }
}
