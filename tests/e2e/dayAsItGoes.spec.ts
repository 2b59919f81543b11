/** A day on a phone: a reading that fails, work that did not hold, good enough for now, the list before leaving. */
import { expect, goTo, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

const step = async (page: Page, id: string) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/step/${id}`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
}
async function read(page: Page, value: string) {
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Value, %').fill(value)
  await dialog.getByRole('button', { name: 'Keep the reading' }).tap()
}

test('what is to buy has its trip, and is there once it is bought', async ({ page }) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/today`)
  const errands = page.getByRole('region', { name: 'To buy' })
  await expect(errands.getByText('Solvent to wipe it out, 1 L')).toBeVisible()
  // A day with work asks nobody to make one.
  await expect(page.getByText(/Pick who is here/)).toBeHidden()
  await expect(errands.getByText(/(has time: leave|could leave) /)).toBeVisible()
  await errands.getByRole('button', { name: 'Bought at Fenn Chandlery' }).tap()
  await expect(errands).toBeHidden()
  await page.keyboard.press('z')
  await expect(errands).toBeVisible()
})

test('a hole is read before it is counted, a fail holds the others, and a better reading lets them go', async ({
  page,
}) => {
  await step(page, 'bitt-3')
  await expect(page.getByText('0 of 22 holes', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: '+1 holes' }).tap()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Value, %').fill('900')
  await dialog.getByRole('button', { name: 'Keep the reading' }).tap()
  await expect(page.getByText(/Was it read in another unit/).first()).toBeVisible()
  await expect(dialog.getByLabel('Value, %')).toHaveValue('900')
  await dialog.getByLabel('Value, %').fill('19')
  await expect(dialog.getByText('It fails: what follows is held.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Keep the reading' }).tap()
  const readings = page.getByRole('region', { name: 'Readings' })
  await expect(readings.getByRole('heading')).toHaveText(/number 1: fails/)
  // Proved on one: the others wait for it.
  await expect(page.getByRole('button', { name: '+1 holes' })).toBeDisabled()
  await page.getByRole('button', { name: 'Read', exact: true }).tap()
  await expect(page.getByRole('dialog').getByLabel(/^Which one/)).toHaveValue('1')
  await read(page, '11')
  await expect(readings.getByRole('heading')).not.toHaveText(/fails/)
  await page.getByRole('button', { name: '+1 holes' }).tap()
  await expect(page.getByText('1 of 22 holes', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: '−1' }).tap()
  await expect(page.getByText('0 of 22 holes', { exact: true })).toBeVisible()
})

test('it did not work: undone, made good and done again, with what that does', async ({ page }) => {
  await step(page, 'transducer-1')
  await page.getByRole('button', { name: 'Did not work' }).tap()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Do it again' }).tap()
  await expect(dialog.getByText(/Say why it did not work/)).toBeVisible()
  await dialog.getByLabel('Why').fill('The batten was bent')
  await dialog.getByRole('button', { name: 'What would that do?' }).tap()
  await expect(dialog.getByRole('status')).toHaveText(/Launch|No gate moves|later|earlier/)
  await dialog.getByRole('button', { name: 'Do it again' }).tap()
  await goTo(page, `${server.url}/r/${await server.refitId()}/jobs?job=transducer`)
  await expect(page.getByLabel('Done: Again: Deadrise check, sight from ahead')).toBeVisible()
})

test('good enough for now stays in sight; the list before leaving is ticked, and who leaves her is kept', async ({
  page,
}) => {
  await step(page, 'galley-valve-2')
  await page.getByRole('button', { name: 'For now' }).tap()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Keep it for now' }).tap()
  await expect(dialog.getByText(/Say what is missing/)).toBeVisible()
  await dialog.getByLabel('What is missing').fill('The second clip')
  await dialog.getByLabel('What it must not be trusted with').fill('a night at sea')
  await dialog.getByRole('button', { name: 'Keep it for now' }).tap()
  await expect(page.getByText('A job to make it right was made.')).toBeVisible()
  await expect(page.getByText(/launch planned .+, 1 thing only for now/)).toBeVisible()
  await page.getByRole('link', { name: 'Back to Today' }).tap()
  const beside = page.getByRole('complementary', { name: 'For the day' })
  await expect(beside.getByText('The second clip')).toBeVisible()

  await page.getByRole('button', { name: 'The evening' }).tap()
  const drains = page.getByRole('button', { name: /Cockpit drains clear/ })
  await drains.tap()
  await expect(drains).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: /^Leave her/ }).tap()
  const asks = page.getByRole('button', { name: 'She is left all the same' })
  await expect(asks.or(page.getByText(/Left at/))).toBeVisible()
  if (await asks.isVisible()) await asks.tap()
  await expect(page.getByText(/Left at \d\d:\d\d/)).toBeVisible()
  await page.keyboard.press('z')
  await expect(page.getByText(/Left at \d\d:\d\d/)).toBeHidden()
})

test('a reading on an as-built sheet judges its test, and what fails has not passed', async ({
  page,
}) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/log`)
  await page.getByRole('link', { name: /Rebuild the mast step/ }).click()
  await page.getByText('Read it in figures of Level athwart').click()
  const fill = async (label: string, value: string) => {
    await page.getByLabel(label, { exact: true }).last().fill(value)
    await page.getByLabel(label, { exact: true }).last().press('Enter')
  }
  await fill('Read in', 'mm')
  await fill('Passes up to', '1')
  await fill('Reading', '3')
  const outcome = page.getByLabel('Outcome of Level athwart')
  await expect(outcome).toHaveValue('failed')
  await expect(page.getByText(/Level athwart: not passed/)).toBeVisible()
  await outcome.selectOption('passed')
  await expect(page.getByText(/The reading of 3 mm fails its limit/).first()).toBeVisible()
  await fill('Reading', '0.5')
  await expect(outcome).toHaveValue('passed')
})
