/** The plan played with: pinned, put otherwise, decided; each taken back to the very plan that stood. */
import { createHash } from 'node:crypto'
import { expect, goTo, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

async function open(page: Page, view: string) {
  await goTo(page, `${server.url}/r/${await server.refitId()}/${view}`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  await expect(page.getByText(/^Planning/)).toBeHidden()
}

/** Mark of the accepted plan as the server keeps it: of every step with its stretches. */
async function planned(page: Page): Promise<string> {
  const answer = await page.request.get(`${server.url}/api/refits/${await server.refitId()}`)
  const { rows } = (await answer.json()) as {
    rows: { plan: { result: { placements: { stepId: string; segments: unknown }[] } }[] }
  }
  const placements = rows.plan[0]?.result.placements ?? []
  const said = JSON.stringify(placements.map((one) => [one.stepId, one.segments]).sort())
  return createHash('sha256').update(said).digest('hex')
}
const launch = async (page: Page) =>
  /launch planned (\d+ \w+)/.exec(
    (await page.getByText(/launch planned \d/).textContent()) ?? '',
  )?.[1]
async function takeBack(page: Page, before: string) {
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect.poll(() => planned(page)).toBe(before)
}

test('a board is dragged to a day, pinned there, and it is taken back', async ({ page }) => {
  await open(page, 'sequence')
  const before = await planned(page)
  const chart = page.getByRole('group', { name: 'The way to the gate' })
  const shaft = chart.getByRole('button', { name: /^Shaft, gland and bearing/ }).first()
  const box = await shaft.boundingBox()
  if (!box) throw new Error('The board is not drawn.')
  await page.mouse.move(box.x + 20, box.y + 6)
  await page.mouse.down()
  await page.mouse.move(box.x + 60, box.y + 6, { steps: 4 })
  await page.mouse.move(box.x + 150, box.y + 6, { steps: 4 })
  // What it would do is said while it hangs.
  const ghost = chart.getByText(/^\w{3} \d+ May: /)
  await expect(ghost).toContainText(/no gate moves|earlier|later/)
  const day = /^(\w{3} \d+ May): /.exec((await ghost.textContent()) ?? '')?.[1] ?? ''
  await page.mouse.up()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('heading', { name: /pinned to/ })).toContainText(day)
  await dialog.getByRole('button', { name: 'Pin it' }).click()
  const pinned = chart.getByRole('button', {
    name: new RegExp(`Shaft, gland and bearing.*pinned to ${day}`),
  })
  await expect(pinned).toBeVisible()
  await expect.poll(() => planned(page)).not.toBe(before)
  await page.locator('body').press('z')
  await expect(pinned).toBeHidden()
  await expect.poll(() => planned(page)).toBe(before)
})

test('a way to launch is chosen beside the others, and taken back', async ({ page }) => {
  await open(page, 'sequence')
  const before = await planned(page)
  await page.getByRole('button', { name: 'Ways to launch' }).click()
  const ways = page.getByRole('dialog')
  const card = (name: string) =>
    ways.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) })
  // Everything before she floats takes until the summer: longer in the yard, less at the berth.
  await expect(card('Finish ashore')).toContainText(/Launch\s*\w{3} \d+ Ju[ln]/)
  await expect(card('As it is planned')).toContainText('Sat 5 Jun')
  // A day on which she cannot be lifted again is said, and nothing is planned with it.
  const again = ways.getByRole('textbox', { name: 'If she is lifted again, out on' })
  await again.fill('1 May 2027')
  await again.press('Enter')
  await expect(ways.getByText(/^She is launched on Sat 5 Jun, as planned now/)).toBeVisible()
  await again.fill('1 July 2027')
  await again.press('Enter')
  await expect(ways.getByText(/^She is launched on/)).toBeHidden()
  await card('Finish ashore').getByRole('button', { name: 'Plan so: Finish ashore' }).click()
  const asked = page.getByRole('dialog').filter({ hasText: 'As it stands' })
  const promised = await asked.getByRole('row', { name: /^Launch \w{3} 5 Jun/ }).textContent()
  const date = /Jun\s*\w{3} (\d+ \w{3})/.exec(promised ?? '')?.[1]
  await asked.getByRole('button', { name: 'Do it' }).click()
  await expect.poll(() => launch(page)).toBe(date)
  await expect(page.getByText(/Season two ends \d+ days before it\. .*cost €/)).toBeVisible()
  await takeBack(page, before)
  expect(await launch(page)).toBe('5 Jun')
  // What was to be tried in the quiet was put off by all this, not given up.
  await expect(
    page.getByRole('button', { name: /^A trade does “Last barrier coats/ }),
  ).toBeVisible()
})
