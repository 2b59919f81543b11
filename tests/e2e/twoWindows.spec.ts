/** Two windows on one refit: edits appear and overwrite nothing typed, clashes are asked about and wait, undo works. */
import { anotherBrowser, expect, goTo, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

test.use({ staysOpen: false })
const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

const openJob = async (page: Page) => {
  await page.goto(`${server.url}/r/${await server.refitId()}/jobs?job=lids`)
  await expect(page.getByRole('region', { name: 'Locker lid ribs' })).toBeVisible()
}
const firstStep = (page: Page) => page.getByLabel('Step 1', { exact: true })

test('an edit appears in the other window and overwrites nothing typed there; a clash waits until it is decided; undo asks', async ({
  browser,
  page: one,
}) => {
  const theirs = await anotherBrowser(browser)
  const other = await theirs.newPage()
  await openJob(one)
  await openJob(other)
  await firstStep(one).fill('Strip to bare laminate')
  await firstStep(one).press('Enter')
  await expect(firstStep(other)).toHaveValue('Strip to bare laminate')

  // What is typed stays, with a word on what was saved meanwhile.
  await firstStep(other).focus()
  await other.keyboard.press('End')
  await other.keyboard.type(' by hand')
  await firstStep(one).fill('Theirs')
  await firstStep(one).press('Enter')
  await expect(other.getByText('Another window saved “Theirs” here meanwhile.')).toBeVisible()
  await expect(firstStep(other)).toHaveValue('Strip to bare laminate by hand')
  // Leaving decides nothing; Enter does.
  await other.getByLabel('Next step').focus()
  await one.waitForTimeout(500)
  await expect(firstStep(one)).toHaveValue('Theirs')
  await firstStep(other).press('Enter')
  await expect(firstStep(one)).toHaveValue('Strip to bare laminate by hand')

  // The other window's events are held back, as with a bad signal, and both change the same title.
  await other.route('**/events', (route) => route.abort())
  // What it asks by itself when the stream is cut does not get through either.
  await other.route('**/changes?since=*', (route) => route.abort())
  await other.reload()
  await expect(firstStep(other)).toHaveValue('Strip to bare laminate by hand')
  await other.waitForTimeout(1500)
  await firstStep(one).fill('First')
  await firstStep(one).press('Enter')
  await one.waitForTimeout(500)
  await firstStep(other).fill('Second')
  await firstStep(other).press('Enter')
  const dialog = other.getByRole('dialog', { name: 'Somebody else changed this too' })
  // An answer that takes over two seconds opens nothing over what is being done by then.
  const aside = other.getByText(/Not saved yet: “Change/)
  await expect(dialog.or(aside).first()).toBeVisible()
  // Closed without a choice, the change waits in sight.
  if (await dialog.isVisible()) await other.keyboard.press('Escape')
  await expect(aside).toBeVisible()
  await other.unroute('**/changes?since=*')
  await other.getByRole('button', { name: 'Decide now' }).click()
  await expect(dialog.getByRole('cell', { name: 'First', exact: true })).toBeVisible()
  await expect(dialog.getByRole('cell', { name: 'Second', exact: true })).toBeVisible()
  await dialog.getByRole('button', { name: 'Keep yours' }).click()
  await expect(firstStep(one)).toHaveValue('Second')
  await expect(other.getByText(/Not saved yet/)).toHaveCount(0)

  // Undo is this window's own, and asks when the other has touched the same thing since.
  await one.getByRole('button', { name: 'Close the job' }).click()
  await one.locator('body').press('z')
  await expect(one.getByRole('dialog', { name: 'Undo' })).toContainText('changed again')
  await one.getByRole('button', { name: 'Undo it' }).click()
  await expect(one.getByText(/^Undo: Change/)).toBeVisible()
  await goTo(one, `${server.url}/r/${await server.refitId()}/jobs?job=lids`)
  await expect(firstStep(one)).toHaveValue('Strip to bare laminate by hand')
  // History says from what to what.
  await goTo(one, `${server.url}/r/${await server.refitId()}/history`)
  await expect(one.getByText('Step of step “Second”: First → Second')).toBeVisible()
  // Left open, it would go on planning beside whatever comes after it.
  await theirs.close()
})
