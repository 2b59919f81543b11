/** Worked out in the yard, on a phone: answers put on jobs, a cutting plan on paper, and its offcut used next time. */
import { expect, goTo, test } from './test'
import type { Page } from './test'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { execFileSync } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-bench-'))
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))
test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

const phone = { viewport: { width: 390, height: 844 }, hasTouch: true }

interface Rows {
  readonly part: {
    readonly name: string
    readonly jobId: string | null
    readonly quantity: number
  }[]
  readonly keptSum: {
    readonly sumKey: string
    readonly jobId: string | null
    readonly says: string
  }[]
  readonly stock: {
    readonly name: string
    readonly isOffcut: boolean
    readonly quantity: number
    readonly longMm: number | null
    readonly wideMm: number | null
  }[]
  readonly job: { readonly id: string; readonly recipeInputs: Record<string, number> }[]
  readonly clock: { readonly title: string; readonly massG: number | null }[]
}
const rows = async (): Promise<Rows> => {
  const answer = await fetch(`${server.url}/api/refits/${await server.refitId()}`)
  return ((await answer.json()) as { rows: Rows }).rows
}
async function open(page: Page, path: string) {
  await goTo(page, `${server.url}/r/${await server.refitId()}/${path}`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
}
const answer = (page: Page) => page.getByRole('heading', { level: 1 })
const putOn = (page: Page) => page.getByRole('region', { name: /^Put on/ })

/** Types over a field and goes on to the next one. */
async function type(page: Page, label: string | RegExp, value: string) {
  const field = page.getByRole('textbox', { name: label })
  await field.fill(value)
  await field.press('Tab')
}
async function putOnJob(page: Page, job: string) {
  const own = putOn(page)
  const option = own.getByLabel('Job', { exact: true }).locator('option').filter({ hasText: job })
  await own
    .getByLabel('Job', { exact: true })
    .selectOption(await option.first().getAttribute('value'))
  await own.getByRole('button', { name: /on the job$/ }).click()
  // What was said of another job may stand there still.
  await expect(page.getByText(new RegExp(`^On “${job}`)).last()).toBeVisible()
}

test.describe('on the phone', () => {
  test.use(phone)
  test('what two benches say goes on their jobs, and is opened again', async ({ page }) => {
    await open(page, 'bench')
    // The pockets open one at a time; a tool is two presses away.
    await page.getByRole('button', { name: /Drill, spanner/ }).click()
    await page
      .getByRole('link', { name: /^Bolt in a stack/ })
      .last()
      .click()
    await page.getByLabel('Thread').selectOption({ label: 'M12' })
    // The answer moves as it is typed; what cannot be leaves the last one, and says so at the field.
    await page.getByRole('textbox', { name: 'Thick' }).nth(2).fill('1 1/4"')
    await expect(answer(page)).toContainText('take M12 × 70')
    await page.getByRole('textbox', { name: 'Thick' }).nth(2).press('Tab')
    await type(page, /^Bolts/, 'four')
    await expect(page.getByText(/“four” is not a number/).first()).toBeVisible()
    await expect(page.getByText('What stands below is the last answer.')).toBeVisible()
    await expect(
      page.getByText('Nothing can be put on a job until every figure reads.'),
    ).toBeVisible()
    await type(page, /^Bolts/, '6')
    await putOnJob(page, 'Bitt and bow fittings')

    await open(page, 'bench/coats-and-tins')
    await type(page, /^Area/, '24 m2')
    await putOnJob(page, 'Locker lid ribs')
    const parts = (await rows()).part
    expect(parts.map((one) => one.name)).toContain('Bolt M12 × 70')
    // 24 m² is twice the 12 of the worked example: 2 × 3.388 L.
    expect(parts.find((one) => one.name === 'Paint' && one.quantity > 6)?.quantity).toBeCloseTo(
      6.78,
      2,
    )

    // Kept, and opened again with its figures; a reload loses nothing.
    await open(page, 'bench')
    // All were kept in one minute: which of them come first is chance.
    await page.getByRole('button', { name: /^All \d+/ }).click()
    await page.getByRole('link', { name: /^Bolt in a stack M12 × 70/ }).click()
    await expect(page.getByRole('textbox', { name: /^Bolts/ })).toHaveValue('6')
    await type(page, /^Bolts/, '4')
    await expect.poll(() => page.url()).toContain('bolts')
    await page.reload()
    await expect(page.getByLabel('Thread')).toHaveValue('12')
    // Four is what the sum begins with, and was typed over the six that are kept.
    await expect(page.getByRole('textbox', { name: /^Bolts/ })).toHaveValue('4')
    // An address that somebody garbled opens all the same.
    await open(
      page,
      `bench/bolt-in-a-stack?v=${encodeURIComponent('{"v":{"layers":"x","bolts":null},"k":5}')}`,
    )
    await expect(answer(page)).toContainText('Bolt in a stack')
    await expect(page.getByRole('textbox', { name: 'Thick' }).first()).toHaveValue('6')
  })

  test('a cup that is stirred starts its clock and moves the rest', async ({ page }) => {
    await open(page, 'bench/pots-and-cups')
    await type(page, /^Where you work it is/, '18')
    await page.getByRole('button', { name: /^Cup 1 stirred/ }).click()
    await expect(page.getByRole('button', { name: /^Cup 2 stirred/ })).toBeVisible()
    const clock = (await rows()).clock.find((one) => one.title.startsWith('Cup 1, '))
    expect(clock?.massG).toBeGreaterThan(100)
  })
})

test('a job’s own figures come in, and what is measured goes back to it', async ({ page }) => {
  await open(page, 'bench/sleeved-holes?job=windlass-bolts')
  await expect(page.getByRole('textbox', { name: /^Holes/ })).toHaveValue('4')
  await expect(page.getByLabel('Thread')).toHaveValue('10')
  await type(page, /^Core, mm/, '19 mm')
  const own = putOn(page)
  await expect(own.getByText(/core 19 mm, was \d+ mm, measured/)).toBeVisible()
  await own.getByRole('button', { name: /on the job$/ }).click()
  await expect(page.getByText(/^On “Windlass bolts/).last()).toBeVisible()
  const job = (await rows()).job.find((one) => one.id === 'windlass-bolts')
  expect(job?.recipeInputs.core).toBe(19)
})

test('what is said of a hole stands beside its bolt', async ({ page }) => {
  await open(page, 'bench/bolt-in-a-stack?job=windlass-bolts')
  const drill = page.getByRole('region', { name: 'Before you drill' })
  await expect(answer(page)).toContainText('one thing to look at before you drill')
  await expect(drill).toContainText('4 of 5 fine, kept')
  await expect(page.getByRole('region', { name: 'Metals that meet' })).toContainText(
    'not worked out yet',
  )
  // Its figures come along, with what was kept; a wire that can be hit stops the drill on the bolt's page too.
  await drill.getByRole('link').click()
  await expect(page.getByRole('textbox', { name: /^Hole/ })).toHaveValue('11')
  await expect(page.getByRole('textbox', { name: /^From the middle.*wire/ })).toHaveValue('31')
  await type(page, /^From the middle.*wire/, '9')
  await expect(answer(page)).toContainText('do not drill here')
  await putOn(page).getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText(/^Kept: /).last()).toBeVisible()
  await open(page, 'bench/bolt-in-a-stack?job=windlass-bolts')
  await expect(answer(page)).toContainText('do not drill here')
  await expect(putOn(page)).toContainText('Before you drill: do not drill here.')
  // Another deck than it was kept for: it is worked with this one, and says so.
  await page.getByRole('textbox', { name: 'Thick' }).nth(2).fill('30')
  await expect(drill).toContainText('kept with other figures')
  await expect(drill).toContainText('depth stop at 85 mm')
})

test('a cutting plan is searched, printed, and its offcut is what the next one begins with', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await open(page, 'bench/from-a-roll')
  await type(page, 'What it is', 'sailcloth')
  await expect(answer(page)).toContainText('buy 3.5 m')
  await expect(page.getByRole('img', { name: /5 pieces on 3\.\d+ metres of roll/ })).toBeVisible()

  // On paper: the drawing, and every piece with its distance from the free end.
  const pdf = join(folder, 'plan.pdf')
  await page.emulateMedia({ media: 'print' })
  await page.pdf({ path: pdf, format: 'A4', landscape: true, printBackground: true })
  await page.emulateMedia({ media: 'screen' })
  const text = execFileSync('pdftotext', ['-layout', pdf, '-']).toString()
  expect(readFileSync(pdf).length).toBeGreaterThan(10_000)
  for (const said of ['From a roll: buy 3.5 m', 'from the free end', '1 side 1', '5 overhead'])
    expect(text).toContain(said)
  expect(text).not.toContain('Search again')

  // What cannot be read goes away with its line, and blocks nothing after it.
  await type(page, /bulkhead: across it/i, 'wide')
  await expect(page.getByText(/“wide” is not/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take bulkhead away' }).click()
  await expect(page.getByText(/“wide” is not/)).toHaveCount(0)
  await expect(page.getByRole('textbox', { name: /overhead: across it/i })).toHaveValue('1290')
  await page.getByRole('button', { name: 'Another piece' }).click()
  await type(page, /^piece: piece/i, 'bulkhead')
  await type(page, /bulkhead: how many/i, '2')
  await type(page, /bulkhead: along the nap/i, '880')
  await type(page, /bulkhead: across it/i, '610')
  await expect(answer(page)).toContainText('buy 3.5 m')

  // A piece dragged is pinned where it is dropped, and its fields say where; emptied, they let go of it.
  const last = page.locator('path.cursor-grab').last()
  await last.scrollIntoViewIfNeeded()
  const box = await last.boundingBox()
  if (!box) throw new Error('no piece is drawn')
  const pins = page.getByRole('textbox', { name: /pinned, from the free end/i })
  await expect(pins).toHaveCount(0)
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 90, box.y + box.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(pins).toHaveValue(/^\d/)
  await expect(answer(page)).toContainText(/buy (3\.[6-9]|[45])\d* m/)
  await pins.fill('')
  await pins.press('Tab')
  await type(page, /pinned, from the near edge/i, '')
  await expect(answer(page)).toContainText('buy 3.5 m')

  // One piece of 300 × 200 off a roll of a metre by a metre: the rest is stock.
  await type(page, /^Roll, wide/, '1000')
  await type(page, /^Sold by/, '1000')
  await type(page, /^Trim/, '0')
  const take = page.getByRole('button', { name: /^Take .* away$/ })
  while ((await take.count()) > 1) await take.first().click()
  await type(page, /how many/i, '1')
  await type(page, /along the nap/i, '200')
  await type(page, /across it/i, '300')
  await expect(answer(page)).toContainText('buy 1 m')
  await expect(page.getByText('Searched to the end.')).toBeVisible({ timeout: 30_000 })
  await putOn(page).getByRole('button', { name: 'Keep, with what is ticked' }).click()
  await expect(page.getByText(/^Kept|^On/).last()).toBeVisible()
  const offcut = (await rows()).stock.find((one) => one.name.startsWith('sailcloth'))
  expect(offcut).toMatchObject({ isOffcut: true, longMm: 800, wideMm: 1000 })

  // The next plan for the same stuff takes it first, and uses it up.
  await open(page, 'bench')
  await open(page, 'bench/from-a-roll')
  await type(page, 'What it is', 'sailcloth')
  await expect(page.getByRole('textbox', { name: /: offcut$/ })).toHaveValue(
    /^sailcloth, left over/,
  )
  while ((await take.count()) > 2) await take.first().click()
  await type(page, /how many/i, '1')
  await type(page, /along the nap/i, '700')
  await type(page, /across it/i, '900')
  await expect(answer(page)).toContainText('all of it comes out of what is there')
  await putOn(page).getByRole('button', { name: 'Keep, with what is ticked' }).click()
  await expect
    .poll(async () => (await rows()).stock.find((one) => one.longMm === 800)?.quantity)
    .toBe(0)
})
