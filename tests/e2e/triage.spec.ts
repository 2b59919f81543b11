/** Five things placed with the keyboard alone, each with its effect seen before choosing. */
import { expect, goTo, hasFocus, test } from './test'
import { TestServer } from './server'

const server = new TestServer()
let base = ''
test.beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  base = `${server.url}/r/${await server.refitId()}`
})
test.afterAll(() => server.end())

test('triage of five, keys only', async ({ page }) => {
  await goTo(page, `${base}/triage`)
  const heading = page.getByRole('heading', { level: 1 })
  await expect(heading).toHaveText(/^\d+ to place$/)
  const before = Number((await heading.innerText()).split(' ')[0])
  expect(before).toBeGreaterThanOrEqual(5)
  const launch = page.getByRole('button', { name: /^a Before Launch/ })
  await expect(launch).toContainText(/No gate moves|later|earlier/)

  // The first was seen on deck, so it begins as Go: made Float, one worse, before the launch.
  await expect(page.getByRole('radio', { name: 'Go' })).toBeChecked()
  for (let press = 0; press < 2; press++) await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('radio', { name: 'Float' })).toBeChecked()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('radio', { name: 'Danger' })).toBeChecked()
  const first = await page.getByRole('main').getByRole('heading', { level: 2 }).first().innerText()
  await page.keyboard.press('a')
  await expect(heading).toHaveText(`${before - 1} to place`)

  // More by one key each.
  for (const [index, key] of ['b', 'c', 't'].entries()) {
    await page.keyboard.press(key)
    await expect(heading).toHaveText(`${before - 2 - index} to place`)
  }
  // The fifth is accepted: nothing without a reason, then with one.
  await page.keyboard.press('x')
  await hasFocus(page.getByLabel('Why'))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('Say why')
  await page.keyboard.type('Looks only')
  await page.keyboard.press('Enter')
  await expect(heading).toHaveText(`${before - 5} to place`)

  await goTo(page, `${base}/jobs`)
  await page
    .getByRole('button', { name: new RegExp(first) })
    .first()
    .click()
  const panel = page.getByRole('region', { name: first, exact: true })
  await expect(panel.getByLabel('Purpose')).toHaveValue('float')
  await expect(panel.getByLabel('How bad')).toHaveValue('4')
  await expect(panel.getByLabel('Finished before')).toHaveValue('launch-two')
  await expect(panel.getByLabel('Step 1', { exact: true })).toHaveValue('Put it right')
})
