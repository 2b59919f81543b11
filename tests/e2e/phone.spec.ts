/** On a phone: today's work, something found in under ten seconds of presses, hours, jobs. */
import { expect, goTo, test } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

/** The smallest PNG: one point. */
const onePoint = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

test('today, found, hours and jobs with a thumb', async ({ page }) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/today`)
  await expect(page.getByRole('heading', { name: /Away by \d\d:\d\d\.$/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^The boat, Oona and Piet/ })).toBeVisible()
  await expect(page.getByRole('list', { name: 'The day' })).toContainText('Deadrise check')
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)

  await page.getByRole('button', { name: 'Found', exact: true }).tap()
  await page.getByLabel('What', { exact: true }).fill('Shaft anode loose')
  await page.getByLabel('Where, same as last').selectOption('Stern gear')
  await page.getByRole('radio', { name: 'fails' }).check({ force: true })
  await page.getByLabel('Picture', { exact: true }).setInputFiles({
    name: 'x.png',
    mimeType: 'image/png',
    buffer: onePoint,
  })
  await page.getByRole('button', { name: 'Keep it' }).tap()
  await expect(page.getByText('Kept. It waits in Walk')).toBeVisible()

  await page.getByRole('button', { name: 'Hours', exact: true }).tap()
  await page.getByLabel('On which step').fill('deadrise')
  await page.getByRole('option').first().tap()
  await page.getByLabel('Hours', { exact: true }).fill('45m')
  await page.getByRole('button', { name: 'Keep hours' }).tap()
  await expect(page.getByText('Hours kept.')).toBeVisible()

  await page.getByRole('link', { name: 'Walk' }).tap()
  await page
    .getByRole('button', { name: /^Stern gear/ })
    .last()
    .tap()
  await page.getByRole('button', { name: /Shaft anode loose/ }).tap()
  const found = page.getByRole('region', { name: 'Shaft anode loose' })
  await expect(found.getByRole('img', { name: 'Shaft anode loose, as found' })).toBeVisible()
  await found.getByText('Before launch', { exact: true }).tap()
  await found.getByRole('button', { name: 'Make a job' }).tap()
  await expect(page.getByRole('region', { name: 'Shaft anode loose' })).toBeVisible()
  await expect(page.getByLabel('Finished before')).toHaveValue('launch-two')
})

test('can’t come, with what it does to the launch, from where and who', async ({ page }) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/today`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  await page.getByRole('button', { name: /^The boat, Oona and Piet/ }).tap()
  await page.getByRole('button', { name: 'Can’t come' }).tap()
  await page.getByRole('button', { name: 'Sat 1 May' }).first().tap()
  await expect(
    page.getByRole('status').filter({ hasText: /No gate moves|days? (later|earlier)/ }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Oona can’t come Sat 1 May' }).tap()
  await expect(page.getByRole('dialog', { name: 'Who cannot come, and when?' })).toHaveCount(0)
})
