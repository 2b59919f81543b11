/** The server is gone, comes back, or stands on a damaged database: what was typed is kept, and what to do is said. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { saturday, TestServer } from '../server'
import { expect, test } from '../test'
import type { Page } from '../test'

test.use({ staysOpen: false })

const server = new TestServer()
let refit = ''
test.beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  refit = await server.refitId()
})
test.afterAll(() => server.end())

const titleOf = async (id: string): Promise<string> => {
  const answer = await fetch(`${server.url}/api/refits/${refit}`)
  const { rows } = (await answer.json()) as { rows: { job: { id: string; title: string }[] } }
  return rows.job.find((one) => one.id === id)?.title ?? ''
}
const openJob = async (page: Page, id: string) => {
  await page.goto(`${server.url}/r/${refit}/jobs?job=${id}`)
  const name = page.getByRole('region').getByLabel('Job', { exact: true })
  await expect(name).toBeVisible()
  return name
}

test.describe('in a browser that opens it for the first time', () => {
  test.use({ knowsTheCode: false })
  test('a view whose code was not fetched yet is said; once all was fetched, every view opens', async ({
    page,
  }) => {
    await page.goto(`${server.url}/r/${refit}/today`)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    const today = await page.getByRole('heading', { level: 1 }).innerText()
    await page.route('**/*', (route) => route.abort())
    await page
      .getByRole('navigation', { name: 'Views' })
      .getByRole('link', { name: 'Bench' })
      .click()
    await expect(page.getByText(/^That view is not in this browser yet/)).toBeVisible()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(today)
    await page.getByRole('button', { name: 'Found something' }).click()
    await expect(page.getByText(/^That panel is not in this browser yet/)).toBeVisible()
    // It answers again: the same press opens the view.
    await page.unroute('**/*')
    await page
      .getByRole('navigation', { name: 'Views' })
      .getByRole('link', { name: 'Bench' })
      .click()
    await expect(page.getByRole('list', { name: 'Wanted next' })).toBeVisible()

    const fetched = () => page.evaluate(() => performance.getEntriesByType('resource').length)
    await expect(page.getByText(/launch planned \d/).first()).toBeVisible()
    // Their code comes one by one once the plan stands and the page is idle: until nothing came for a while.
    let [before, quiet] = [0, 0]
    await expect
      .poll(
        async () => {
          const now = await fetched()
          quiet = now === before ? quiet + 1 : 0
          before = now
          return quiet
        },
        { intervals: [2000], timeout: 90_000 },
      )
      .toBeGreaterThanOrEqual(4)
    await server.kill()
    const strip = page.getByRole('navigation', { name: 'Views' })
    for (const [name, shown] of [
      ['Jobs', 'Jobs'],
      ['Bench', 'Wanted next'],
    ] as const) {
      await strip.getByRole('link', { name }).click()
      await expect(page.getByRole('list', { name: shown }).first()).toBeVisible()
    }
    await strip.getByRole('link', { name: 'Money' }).click()
    await expect(page).toHaveURL(/money/)
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('')
    // What is found at the boat is written down there, with or without an answer.
    await page.getByRole('button', { name: 'Found something' }).click()
    await expect(page.getByRole('dialog')).toContainText('Found')
    await server.start()
  })
})

test('what is typed while nobody answers waits, outlives its window, and is sent once', async ({
  context,
  page,
}) => {
  const name = await openJob(page, 'lids')
  await server.kill()
  await name.fill('Ribs under the lids')
  await name.press('Enter')
  const strip = page.getByText(/One change is not saved there yet/)
  await expect(strip).toContainText('Kept in this browser')
  await expect(name).toHaveValue('Ribs under the lids')

  // The server is back: nobody has to do anything.
  await server.start()
  await expect(strip).toHaveCount(0)
  await expect.poll(() => titleOf('lids')).toBe('Ribs under the lids')

  // Again, and this time the window is closed before.
  await server.kill()
  await name.fill('Ribs, and a rail')
  await name.press('Enter')
  await name.fill('Ribs, a rail and a gutter')
  await name.press('Enter')
  await expect(page.getByText(/2 changes are not saved there yet/)).toBeVisible()
  await page.close()
  await server.start()
  expect(await titleOf('lids')).toBe('Ribs under the lids')
  const next = await context.newPage()
  await expect(await openJob(next, 'lids')).toHaveValue('Ribs, a rail and a gutter')
  await expect.poll(() => titleOf('lids')).toBe('Ribs, a rail and a gutter')

  // Each of them is one change, taken back one by one.
  await next.goto(`${server.url}/r/${refit}/history`)
  await expect(next.getByText(/Ribs under the lids → Ribs, and a rail/)).toHaveCount(1)
  await expect(next.getByText(/Ribs, and a rail → Ribs, a rail and a gutter/)).toHaveCount(1)
  for (const title of ['Ribs, and a rail', 'Ribs under the lids']) {
    await next.keyboard.press('z')
    await expect.poll(() => titleOf('lids')).toBe(title)
  }
})

test('a planner that cannot start is said, and started again', async ({ page }) => {
  await page.route('**/*planner.worker*', (route) => route.abort())
  await page.goto(`${server.url}/r/${refit}/jobs`)
  const alert = page.getByRole('alert').filter({ hasText: 'Planning stopped' })
  await expect(alert).toContainText('The planner could not be started.')
  await page.unroute('**/*planner.worker*')
  await alert.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  await expect(alert).toHaveCount(0)
})

test('a planner that is ended at its work is said, and started again', async ({ page }) => {
  await page.goto(`${server.url}/r/${refit}/job/foredeck`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  // Each is gone once it has taken the rows and before it has laid a plan, as where a browser wants its memory back.
  await expect.poll(() => page.workers().length).toBeGreaterThan(0)
  for (const worker of page.workers()) {
    // What it was asked when the page opened is behind it.
    await worker.evaluate(() => new Promise((done) => setTimeout(done, 500)))
    await worker.evaluate(() =>
      addEventListener('message', ({ data }: MessageEvent<{ path?: readonly string[] }>) => {
        if (data.path?.includes('take')) close()
      }),
    )
  }
  await page.getByRole('button', { name: 'Unfold all 17' }).click()
  await page.getByRole('button', { name: /^Fair, second pass/ }).press('Enter')
  const hours = page.getByRole('region', { name: 'Fair, second pass' }).getByLabel('Hours')
  await hours.fill('7h')
  await hours.press('Enter')
  const alert = page.getByRole('alert').filter({ hasText: 'Planning stopped' })
  await expect(alert).toContainText('The planner was ended by the browser')
  await alert.getByRole('button', { name: 'Try again' }).click()
  await expect(alert).toHaveCount(0)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
})

test('a clock set back is said, what was kept is there, and more can be kept', async ({ page }) => {
  const name = await openJob(page, 'lids')
  await name.fill('Lids, before the clock was wrong')
  await name.press('Enter')
  await expect.poll(() => titleOf('lids')).toBe('Lids, before the clock was wrong')
  await server.stop()
  server.setClock(saturday - 26 * 3_600_000)
  await server.start()
  await openJob(page, 'lids')
  const alert = page.getByRole('alert').filter({ hasText: 'clock says' })
  // 08:30 in Dublin on Saturday, and 26 hours before.
  await expect(alert).toContainText(
    'says Fri 16 Apr 06:30, and the last change was kept at Sat 17 Apr 08:30',
  )
  await expect(name).toHaveValue('Lids, before the clock was wrong')
  await name.fill('Lids, after it')
  await name.press('Enter')
  await expect.poll(() => titleOf('lids')).toBe('Lids, after it')
  // The next start is by the right clock again.
  server.setClock(saturday)
})

test('a damaged database is said, and a copy is put back from the page that says it', async ({
  page,
}) => {
  const before = await titleOf('lids')
  await server.stop()
  // A start takes a copy of what is there.
  await server.start()
  await expect
    .poll(async () => {
      const answer = await fetch(`${server.url}/api/copies`)
      return ((await answer.json()) as { copies: unknown[] }).copies.length
    })
    .toBeGreaterThan(0)
  await server.stop()
  writeFileSync(join(server.folder, 'inch-ahead.sqlite'), 'not a database at all'.repeat(900))
  await server.start({}, true)
  await page.goto(`${server.url}/r/${refit}/today`)
  await expect(page.getByRole('alert')).toContainText('is damaged and was left as it is')
  await page.goto(server.url)
  await expect(page.getByRole('alert')).toContainText('is damaged and was left as it is')
  await page.getByRole('button', { name: 'Put back…' }).first().click()
  const asked = page.getByRole('dialog', { name: 'Put this copy back' })
  await expect(asked).toContainText('What was done since is not in it')
  await asked.getByRole('button', { name: 'Put it back' }).click()
  await expect(page).toHaveURL(/\/today$/)
  await expect(page.getByRole('link', { name: /^The Tape/ })).toBeVisible()
  expect(await titleOf('lids')).toBe(before)
})
