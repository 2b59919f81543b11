/** The round of the shops, one hand on the phone; and a window that opens when its measuring step is ticked. */
import { expect, goTo, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

async function open(page: Page, path: string) {
  await goTo(page, `${server.url}/r/${await server.refitId()}/${path}`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  await expect(page.getByText(/^Planning/)).toBeHidden()
}
test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('a round of the shops: in the bag, another, not to be had', async ({ page }) => {
    await open(page, 'stores?show=run')
    const run = page.getByRole('region', { name: 'Shopping run' })
    await expect(run.getByRole('img', { name: /Fenn Chandlery open 09:00 to 14:00/ })).toBeVisible()
    await expect(run.getByText(/Oldbridge Fasteners is shut that day/)).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390)

    // What blocks most is in hand; the next thing follows by itself.
    const counter = (name: string) => page.getByRole('region', { name: `${name}, at the counter` })
    await counter('Solvent to wipe it out')
      .getByRole('button', { name: /^In the bag/ })
      .tap()
    const next = page.getByRole('region', { name: /, at the counter$/ })
    await expect(next).toContainText('Solvent to wipe it out in the bag')
    await run.getByRole('button', { name: /^End-grain sealer/ }).tap()
    const sealer = counter('End-grain sealer')
    await sealer.getByRole('button', { name: /^Another/ }).tap()
    await sealer.getByRole('button', { name: /^In the bag/ }).tap()
    await expect(sealer).toContainText('What do you take instead? Write its make and name.')
    await sealer.getByLabel('What you take instead').fill('Clear sealer')
    await sealer.getByLabel('Price of all').fill('9.80')
    await sealer.getByRole('button', { name: /^In the bag/ }).tap()
    await expect(run.getByRole('listitem').filter({ hasText: 'Clear sealer' })).toContainText(
      /in the bag/,
    )
    await expect(next).toContainText('in the bag €9.80 of')

    // Five cartridges wanted, three there: two stay.
    await run.getByRole('button', { name: /^Sealant for below the waterline/ }).tap()
    const sealant = counter('Sealant for below the waterline')
    await sealant.getByRole('button', { name: 'How many, price' }).tap()
    await sealant.getByLabel('How many').fill('3')
    await sealant.getByLabel('Price of all').tap()
    await expect(sealant).toContainText('2 cartridges stay on the list')
    await sealant.getByRole('button', { name: /^In the bag/ }).tap()
    await expect(
      run.getByRole('button', { name: /^Sealant for below the waterline, 2 cartridges/ }),
    ).toBeVisible()

    await run.getByRole('button', { name: /^Belts, pair/ }).tap()
    await counter('Belts, pair')
      .getByRole('button', { name: /^Cannot/ })
      .tap()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Ask Oldbridge Fasteners/ })
      .tap()
    await run.getByRole('button', { name: /^Belts, pair/ }).tap()
    await expect(counter('Belts, pair').getByRole('button', { name: /^Ordered/ })).toBeVisible()

    // All of it is one order, there for the next device.
    await open(page, 'stores?show=orders')
    await page.getByRole('button', { name: /^26, Fenn Chandlery/ }).tap()
    const order = page.getByRole('region', { name: 'Order 26', exact: true })
    await expect(order.getByRole('row', { name: /^Clear sealer 0.25 L 0.25/ })).toBeVisible()
    await expect(order).toContainText('Sealant for below the waterline')
  })
})

test('a window opens when the step that measures is ticked', async ({ page }) => {
  await open(page, 'stores')
  const side = page.getByRole('complementary', { name: 'What to do about it' })
  await expect(side.getByText(/shuts \d+ d before it opens/).first()).toBeVisible()
  const frame = /Lift the frame, scrape, solvent/
  await side.getByRole('button', { name: frame }).click()
  await expect(page.getByRole('dialog')).toContainText('Hatch rubber 15 × 20')
  await page.keyboard.press('Escape')
  await open(page, 'step/forehatch-1')
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(page.getByText(/^Done: Lift the frame/)).toBeVisible()
  // On the phone no row is folded into its month.
  await page.setViewportSize({ width: 390, height: 844 })
  await open(page, 'stores')
  await expect(
    page.getByRole('button', { name: /^Hatch rubber 15 × 20, 3 m buy by/ }),
  ).toBeVisible()
})
