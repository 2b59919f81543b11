/** How soon a view can be used on a machine four times slower, and what each view fetches. */
import { onDemo } from './demoServer.mjs'

const port = 4196
const slower = 4
const times = 5
const views = ['today', 'jobs', 'sequence', 'log', 'week', 'hours', 'recipes', 'settings', 'triage']

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

/** One view opened afresh: until its heading stands, and the script that was fetched for it. */
async function opened({ browser, url, id }, view) {
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

/** One row a view. The views take turns, so that a slow minute of the machine is everybody's. */
export const benchFirst = () =>
  onDemo(port, async (demo) => {
    const tries = views.map(() => [])
    for (let n = 0; n < times; n++)
      for (const [at, view] of views.entries()) tries[at].push(await opened(demo, view))
    return views.map((view, at) => ({
      view,
      [`usable at CPU ${slower}× slower, ms`]: median(tries[at].map((one) => one.usable)),
      'script, kB unpacked': Math.round(median(tries[at].map((one) => one.bytes)) / 1000),
    }))
  })
