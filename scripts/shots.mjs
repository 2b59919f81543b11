/** npm run shots: one current picture of each main view, from the demo at its fixed time. */
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuild, ensureDebian, ensurePackages, portIsFree, root } from './prepare.mjs'

ensurePackages()
ensureDebian([['chromium', 'chromium']])
ensureBuild()
const { chromium } = await import('@playwright/test')
const port = 4187
if (!(await portIsFree(port))) throw new Error(`port ${port} is taken`)
const data = mkdtempSync(join(tmpdir(), 'inch-ahead-shots-'))
writeFileSync(join(data, 'clock.json'), JSON.stringify({ fixedAt: Date.UTC(2027, 3, 17, 7, 30) }))
const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
  env: {
    ...process.env,
    NODE_ENV: 'production',
    LOG_LEVEL: 'warn',
    HOST: '127.0.0.1',
    PORT: String(port),
    INCH_AHEAD_DATA: data,
    INCH_AHEAD_SEED: 'demo',
  },
  stdio: 'ignore',
})
// However this ends, nothing is left running.
process.on('exit', () => {
  server.kill('SIGKILL')
  rmSync(data, { recursive: true, force: true })
})
const url = `http://127.0.0.1:${port}`
const refits = async () => (await fetch(`${url}/api/refits`)).json()
for (let tries = 0; tries < 100; tries++) {
  if ((await refits().catch(() => [])).length > 0) break
  await new Promise((wait) => setTimeout(wait, 200))
}
const [{ id }] = await refits()
const wide = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const shots = [
  // Its runs come first, so that every view says the likely dates.
  ['money', `/r/${id}/money`, wide, { until: /These are \d+ runs/, least: 0 }],
  ['today', `/r/${id}/today`, wide, { until: /not seen$/, least: 0 }],
  ['walk', `/r/${id}/walk?place=zone-side-deck-starboard`, wide],
  ['walk-core', `/r/${id}/walk/core/panel-port`, wide, { until: /Before launch:/, least: 3 }],
  ['jobs', `/r/${id}/jobs`, wide, { until: 'Re-core the foredeck, starboard', least: 0 }],
  ['job', `/r/${id}/job/foredeck`, wide, { until: /Why it is/, least: 0 }],
  ['stores', `/r/${id}/stores`, wide, { until: /If it takes \d+ days/, least: 0 }],
  ['launch-ways', `/r/${id}/sequence`, wide, { press: 'Ways to launch', after: /Last before/ }],
  ['sequence', `/r/${id}/sequence`, wide, { until: /^A trade does/, least: 0 }],
  ['launch', `/r/${id}/launch`, wide, { until: /Cheapest lift/, least: 0 }],
  ['launch-day', `/r/${id}/launch/day?day=2027-06-05`, wide],
  ['log', `/r/${id}/log`, wide],
  ['today-evening', `/r/${id}/today`, wide, { light: 'low', press: 'The evening' }],
  ['phone-today', `/r/${id}/today`, phone],
  ['money-hours', `/r/${id}/money?show=hours`, wide],
  ['phone-watch', `/r/${id}/launch/watch`, phone],
  ['phone-sequence', `/r/${id}/sequence`, phone],
  ['bench', `/r/${id}/bench`, wide, { until: /sums wanted/, least: 0 }],
]
const folder = join(root, 'docs/screenshots')
mkdirSync(folder, { recursive: true })
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-dev-shm-usage', '--disable-gpu'],
})
for (const [name, path, viewport, more = {}] of shots) {
  const page = await browser.newPage({ viewport, locale: 'en-IE', timezoneId: 'Europe/Dublin' })
  await page.addInitScript(
    (light) => localStorage.setItem('inch-ahead.light', light),
    more.light ?? 'day',
  )
  await page.goto(url + path)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  if (path.startsWith('/r/'))
    await page
      .getByText(/launch planned \d/)
      .first()
      .waitFor()
  await page.getByText(/^(Planning…|Ranking)/).waitFor({ state: 'hidden' })
  if (more.order) await page.getByLabel('In which order').selectOption(more.order)
  if (more.until)
    await page
      .getByText(more.until)
      .filter({ visible: true })
      .nth(more.least ?? 6)
      .waitFor()
  if (more.press) await page.getByRole('button', { name: more.press, exact: true }).click()
  if (more.after) await page.getByText(more.after).first().waitFor()
  // What comes in the quiet has come, too.
  for (const working of [/Working out/, /Measuring what/, /Trying what would/])
    await page
      .getByText(working)
      .filter({ visible: true })
      .first()
      .waitFor({ state: 'hidden', timeout: 60_000 })
  await page.waitForTimeout(400)
  await page.screenshot({ path: join(folder, `${name}.png`) })
  await page.close()
  console.log(name)
}
/** A refit of the evening on which it was begun: the five questions answered, and no more. */
async function begun() {
  const page = await browser.newPage({ viewport: wide, locale: 'en-IE' })
  await page.goto(`${url}/start`)
  const answers = {
    'Name of the boat': 'Grey Plover',
    'Length overall': '40 ft',
    'Your name': 'Ida',
    'Lift-out': '1 April 2027',
    'Launch aimed': '21 May 2027',
  }
  for (const [label, answer] of Object.entries(answers))
    await page.getByLabel(label, { exact: true }).fill(answer)
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByText('An empty list is where everybody starts').waitFor()
  return page
}
const first = await begun()
await first.getByRole('link', { name: /Stores$/ }).click()
await first.getByRole('heading', { name: 'They come with the work' }).waitFor()
await first.screenshot({ path: join(folder, 'stores-empty.png') })
console.log('stores-empty')
await browser.close()
process.exit(0)
