/** What is refused does not act, and what was typed is there to be mended. */
import { expect, goTo, hasFocus, test } from '../test'
import type { Page } from '../test'
import { TestServer } from '../server'

const server = new TestServer()
let base = ''
test.beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  base = `${server.url}/r/${await server.refitId()}`
})
test.afterAll(() => server.end())

const settings = async (page: Page) => {
  await goTo(page, `${base}/settings`)
  await expect(page.getByRole('heading', { name: 'Haul-outs and gates' })).toBeVisible()
}

test('a refused edit stands at its field with what is stored, and can be mended there', async ({
  page,
}) => {
  await settings(page)
  // A name that is there already: refused by the server, said beneath the field and nowhere else.
  const name = page.getByLabel('Haul-out', { exact: true }).nth(1)
  await name.fill('Haul-out one')
  await name.press('Enter')
  await expect(
    page.getByText(/called “Haul-out one” already.*Still stored: Haul-out two\./),
  ).toBeVisible()
  await expect(name).toHaveValue('Haul-out one')
  await name.fill('Haul-out B')
  await name.press('Enter')
  await expect(page.getByText(/Still stored/)).toHaveCount(0)

  // Dates: read as people write them, refused when they have not been yet, given back by Escape.
  const launched = page.getByLabel('Launched on', { exact: true }).nth(1)
  await launched.fill('25/5/2027')
  await launched.press('Enter')
  await expect(
    page.getByText(/Tue 25 May 2027 is still to come.*Still stored: nothing/),
  ).toBeVisible()
  await launched.press('Escape')
  await expect(launched).toHaveValue('')
  await launched.fill('05/06/2027')
  await launched.press('Enter')
  await expect(page.getByText('Is it Sat 5 Jun 2027 or Thu 6 May 2027?')).toBeVisible()
  await launched.press('Escape')

  // An absence of two weeks in one go; the same again is nothing new.
  for (const said of ['12 days; 2 down already.', 'All these days are down already.']) {
    await page.getByRole('button', { name: 'Days Piet can’t come' }).click()
    await page.getByRole('dialog').getByLabel('From', { exact: true }).fill('19 Apr 2027')
    await page.getByLabel('To, that day too', { exact: true }).fill('2 May 2027')
    await page.getByRole('dialog').getByLabel('Why').click()
    if (said.startsWith('All')) await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText(said)).toBeVisible()
    if (!said.startsWith('All')) await page.getByRole('button', { name: 'Keep it' }).click()
    else await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }

  // A pot has no clock without its pot life, which is read as it is said.
  await page.locator('body').press('k')
  const dialog = page.getByRole('dialog', { name: 'Start a clock' })
  await hasFocus(dialog.getByLabel('What is curing'))
  await page.keyboard.type('Putty')
  await dialog.getByRole('button', { name: 'Start' }).click()
  await expect(dialog.getByRole('alert').first()).toContainText('pot life: it is on the data sheet')
  await dialog.getByLabel('Pot life', { exact: true }).fill('20 min')
  await dialog.getByLabel('Pot life', { exact: true }).press('Tab')
  // What cannot be read is not silently the value before it.
  await dialog.getByLabel('Pot life', { exact: true }).fill('soon')
  await dialog.getByRole('button', { name: 'Start' }).click()
  await expect(dialog.getByText('“soon” is not a time').first()).toBeVisible()
  await expect(page.getByRole('button', { name: /Putty: .*Open the clock/ })).toHaveCount(0)
  await dialog.getByLabel('Pot life', { exact: true }).fill('20 min')
  await dialog.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('button', { name: /Putty: .*Open the clock/ })).toBeVisible()
})

test('a job opened far down is seen from its head, Escape goes back, and paper has no boxes', async ({
  page,
}) => {
  await goTo(page, `${base}/jobs`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  const row = page.locator('[data-job="lids"] > button')
  await row.click()
  const panel = page.getByRole('region', { name: 'Locker lid ribs' })
  await expect(panel.getByLabel('Job', { exact: true })).toBeInViewport()
  expect(await panel.evaluate((one) => one.contains(document.activeElement))).toBe(true)
  await page.keyboard.press('Escape')
  await expect(panel).toHaveCount(0)
  await hasFocus(row)
  await expect(row).toBeInViewport()

  // The best hit by Enter.
  await page.keyboard.press('/')
  await page.getByLabel('Find', { exact: true }).fill('locker lid ribs')
  await page.keyboard.press('Enter')
  await expect(panel).toBeVisible()

  await goTo(page, `${base}/log`)
  await page.getByRole('link', { name: /Rebuild the mast step/ }).click()
  await expect(page.getByLabel('What', { exact: true }).first()).toHaveValue(
    'Rebuild the mast step',
  )
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('textbox')).toHaveCount(0)
  await expect(page.getByRole('link', { name: /^The Tape/ })).toBeHidden()
  await expect(page.getByRole('definition').getByText('Sable Wren')).toBeVisible()
})

test('a haul-out and a whole refit can be removed, asked first and saved first', async ({
  page,
}) => {
  await settings(page)
  await page.getByRole('button', { name: /^Remove haul-out Haul-out one/ }).click()
  const asked = page.getByRole('dialog')
  await expect(asked).toContainText('Haul-out one')
  await expect(asked).toContainText('No job waits for that launch')
  await asked.getByRole('button', { name: /^Keep/ }).click()
  await page.getByRole('button', { name: /^Remove haul-out Haul-out one/ }).click()
  await asked.getByRole('button', { name: /^Remove/ }).click()
  await expect(page.getByLabel('Haul-out', { exact: true })).toHaveCount(2)

  await page.getByRole('button', { name: 'Remove this refit…' }).click()
  const leaving = page.getByRole('dialog', { name: /^Remove/ })
  const remove = leaving.getByRole('button', { name: 'Remove for good' })
  await expect(remove).toBeDisabled()
  const saved = page.waitForEvent('download')
  await leaving.getByRole('link', { name: 'Save the refit file' }).click()
  expect((await saved).suggestedFilename()).toBe('sable-wren.refit.zip')
  await remove.click()
  // It was the only one: the first questions come.
  await expect(page).toHaveURL(/\/start$/)
  await expect(page.getByText('Sable Wren')).toHaveCount(0)
})
