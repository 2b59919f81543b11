/** The Sequence as a person uses it: what holds the launch, what is out of order, a board pinned; all of it taken back. */
import { createHash } from 'node:crypto'
import { expect, goTo, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

async function open(page: Page, size = { width: 1280, height: 800 }) {
  await page.setViewportSize(size)
  await goTo(page, `${server.url}/r/${await server.refitId()}/sequence`)
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

/** Names of texts of the drawing that lie on another text, as the browser draws them. */
const collisions = (page: Page): Promise<string[]> =>
  page
    .locator('main svg[role=group]:visible')
    .first()
    .evaluate((svg) => {
      const boxes = [...svg.querySelectorAll('text')]
        .map((one) => ({ said: one.textContent?.trim() ?? '', box: one.getBoundingClientRect() }))
        .filter(({ said, box }) => said !== '' && box.width > 0)
      // Letters stand within three quarters of their line.
      const inner = (box: DOMRect) => ({
        left: box.left + 1,
        right: box.right - 1,
        top: box.top + box.height * 0.25,
        bottom: box.bottom - box.height * 0.2,
      })
      return boxes.flatMap((a, index) =>
        boxes.slice(index + 1).flatMap((b) => {
          const [p, q] = [inner(a.box), inner(b.box)]
          const meet = p.left < q.right && q.left < p.right && p.top < q.bottom && q.top < p.bottom
          return meet ? [`${a.said} on ${b.said}`] : []
        }),
      )
    })

test('in every view nothing scrolls down and no words lie on others', async ({ page }) => {
  await open(page)
  for (const view of ['To the launch', 'Seasons', 'Weekend']) {
    await page.getByRole('button', { name: view, exact: true }).click()
    await expect(page.getByRole('button', { name: view, exact: true })).toHaveAttribute(
      'aria-pressed',
      'true',
    )
    expect(await collisions(page), view).toEqual([])
    const tall = await page.evaluate(() => document.documentElement.scrollHeight)
    expect(tall, view).toBeLessThanOrEqual(801)
  }
})

test('a fault is mended by its plate and the mend taken back', async ({ page }) => {
  await open(page)
  const plate = page.getByRole('button', {
    name: 'Lay peel ply, 16 min, for Re-core the foredeck, starboard',
  })
  const panel = page.getByRole('region', { name: 'Out of order' })
  const sentence = panel.getByText(
    /“Fair, first pass” \(Re-core the foredeck, starboard\) on \w+ \d+ \w+ comes after/,
  )
  await plate.click()
  await expect(page.getByText('Done: Lay peel ply, 16 min.')).toBeVisible()
  await expect(plate).toBeHidden()
  await page.getByRole('button', { name: /^\d+ out of order$/ }).click()
  await expect(sentence).toBeHidden()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(sentence).toBeVisible()
  await expect(plate).toBeVisible()
})

test('a board is dragged to a day, pinned there, and it is taken back', async ({ page }) => {
  await open(page)
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

test('keys go along lanes, from lane to lane and along the rope, and open a plank', async ({
  page,
}) => {
  await open(page)
  const chart = page.getByRole('group', { name: 'The way to the gate' })
  const first = chart
    .getByRole('button', { name: /^Order it by the angle found|Transducer/ })
    .first()
  await first.focus()
  await page.keyboard.press('ArrowDown')
  await expect(first).not.toBeFocused()
  // Back along the rope the links stand in the panel; the last plank before the gate comes last.
  for (let step = 0; step < 20; step++) await page.keyboard.press('[')
  await expect(chart.locator(':focus')).toHaveAttribute('aria-label', /holds the gate/)
  await page.keyboard.press('Enter')
  const panel = page.getByRole('complementary', { name: 'What holds it' })
  await expect(panel.getByText('Part of what holds the launch.')).toBeVisible()
  await expect(panel.getByText(/Not earlier: /).first()).toBeVisible()
  await panel.getByRole('button', { name: 'Back to the rope' }).click()
  await expect(panel.getByRole('list').first()).toContainText('Launch, Sat')
})

test('on the phone time runs down, and a link opens its plank', async ({ page }) => {
  await open(page, { width: 390, height: 844 })
  await page
    .getByRole('list', { name: 'The rope, forward in time' })
    .getByRole('button')
    .first()
    .click()
  await expect(page.getByRole('dialog').getByText(/Part of what holds/)).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Back to the rope' }).click()
  await page.getByRole('button', { name: 'Weekend' }).click()
  await expect(page.getByRole('heading', { name: 'Sat 17 Apr' })).toBeVisible()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
})
