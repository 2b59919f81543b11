/** The boat map with 500 findings, panned for ten seconds: main-thread work by frame, and tasks over 50 ms. */
import { onDemo } from './demoServer.mjs'

const port = 4189
const frameMs = 1000 / 60
const panMs = 10_000

/** As many findings as are missing: most of them in one place, as a survey of the bottom leaves them. */
async function fill({ url, id }, many) {
  const { rows } = await (await fetch(`${url}/api/refits/${id}`)).json()
  const items = Array.from({ length: many - rows.finding.length }, (_, at) => ({
    op: 'create',
    entity: 'finding',
    id: `bench-${at}`,
    patch: {
      title: `Blister ${at + 1}`,
      zoneId: at < 400 ? 'zone-underwater-hull-port' : rows.zone[at % rows.zone.length].id,
      severity: 1 + (at % 4),
      foundAt: 1,
    },
  }))
  const body = JSON.stringify({ changeId: 'bench', deviceId: 'bench', label: 'Many', items })
  const answer = await fetch(`${url}/api/refits/${id}/changes`, { method: 'POST', body })
  if (!answer.ok) throw new Error(await answer.text())
}

/**
 * Tasks on the page's main thread, ms: when they began, how long they took, and for how much of it they worked. The rest
 * the thread waited for a core: the browser's other threads draw without a graphics card here.
 */
async function traced(client, work) {
  const events = []
  client.on('Tracing.dataCollected', ({ value }) => events.push(...value))
  const ended = new Promise((done) => client.once('Tracing.tracingComplete', done))
  await client.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: {
      includedCategories: ['toplevel', 'disabled-by-default-devtools.timeline', '__metadata'],
    },
  })
  await work()
  await client.send('Tracing.end')
  await ended
  const names = events.filter(
    (one) => one.name === 'thread_name' && one.args?.name === 'CrRendererMain',
  )
  const mains = new Set(names.map((one) => `${one.pid} ${one.tid}`))
  return events
    .filter((one) => one.ph === 'X' && one.name === 'RunTask' && mains.has(`${one.pid} ${one.tid}`))
    .map((one) => ({ at: one.ts / 1000, ms: one.dur / 1000, worked: one.tdur / 1000 }))
}

async function pan(page) {
  const box = await page.getByRole('group', { name: 'The boat, by place' }).boundingBox()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const began = Date.now()
  while (Date.now() - began < panMs) {
    await page.mouse.move(x, y)
    await page.mouse.down()
    for (let step = 1; step <= 30; step++) {
      const turn = ((Date.now() - began) / 1500) * Math.PI
      await page.mouse.move(x + Math.cos(turn) * step * 8, y + Math.sin(turn) * step * 5)
      await page.waitForTimeout(frameMs)
    }
    await page.mouse.up()
  }
}

/** One row a zoom: share of frames under 8 ms, the worst frame, tasks over 50 ms. */
export const benchWalk = (many) =>
  onDemo(port, async (demo) => {
    const { url, id, browser } = demo
    await fill(demo, many)
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${url}/r/${id}/walk`)
    await page
      .getByText(/launch planned/)
      .first()
      .waitFor()
    await page.waitForTimeout(3000)
    const client = await page.context().newCDPSession(page)
    const rows = []
    for (const presses of [1, 3]) {
      for (let press = 0; press < (presses === 1 ? 1 : 2); press++)
        await page.getByRole('button', { name: 'Nearer' }).click()
      await page.waitForTimeout(500)
      const tasks = await traced(client, () => pan(page))
      const byFrame = (of) => {
        const frames = new Map()
        for (const task of tasks) {
          const frame = Math.floor(task.at / frameMs)
          frames.set(frame, (frames.get(frame) ?? 0) + of(task))
        }
        return [...frames.values()].sort((a, b) => a - b)
      }
      const [work, taken] = [byFrame((one) => one.worked), byFrame((one) => one.ms)]
      const under8 = (list) =>
        Math.round((list.filter((ms) => ms < 8).length / list.length) * 1000) / 10
      rows.push({
        findings: many,
        zoom: 1.5 ** presses,
        frames: work.length,
        'under 8 ms of work, %': under8(work),
        'taken, %': under8(taken),
        'median, ms': Math.round(work[Math.floor(work.length / 2)] * 10) / 10,
        'worst, ms': Math.round(work.at(-1)),
        'tasks over 50 ms': tasks.filter((one) => one.ms > 50).length,
      })
    }
    return rows
  })
