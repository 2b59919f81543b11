/** The boat's book: on paper and as text, stopped on the way, with a picture missing; what is written is found again. */
import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { printed } from '../pdf'
import { expect, goTo, test } from '../test'
import type { Page } from '../test'
import { TestServer } from '../server'

const server = new TestServer()
test.beforeAll(() => server.start({ INCH_AHEAD_SEED: 'demo' }))
test.afterAll(() => server.end())

async function openBook(page: Page) {
  await goTo(page, `${server.url}/r/${await server.refitId()}/log`)
  await page.getByRole('button', { name: 'The boat’s book' }).click()
  return page.getByRole('dialog', { name: 'The boat’s book' })
}
const book = (page: Page) => printed(page, 'On paper (PDF)', 'sable-wren-book.pdf')

test('the whole book has a page a sheet, and contents that lead there', async ({ page }) => {
  await openBook(page)
  const pages = await book(page)
  const contents = /D-02\s+Re-core the side deck, port\s+(\d+)/.exec(pages[0] ?? '')
  const deck = pages[Number(contents?.[1]) - 1] ?? ''
  expect(deck).toMatch(/D-02\s+Re-core the side deck, port/)
  expect(deck).toContain('Oona, Piet')
  expect(deck).toMatch(/Balsa core 12 mm\s+1\.6 m²\s+lot 411/)
  expect(deck).toMatch(/Butyl tape\s+3 rolls\s+not kept/)
  expect(deck).toMatch(/Core bed, 21 Mar\s+13 °C, mean of 5/)
  expect(deck).toContain('Scan for the sheet as it is now.')
  expect(deck).toContain('Look again Sat 9 Oct 2027')
  const all = pages.join('\n')
  for (const heading of ['Openings, bow to stern', 'Trials', 'Look again', 'Stripped out', 'Index'])
    expect(all).toContain(heading)
})

test('one system for a buyer names nobody; a picture that is gone is named', async ({ page }) => {
  const pictures = join(server.folder, 'pictures')
  for (const file of readdirSync(pictures, { recursive: true, encoding: 'utf8' }))
    if (/[0-9a-f]{64}/.test(file)) rmSync(join(pictures, file), { recursive: true, force: true })
  const dialog = await openBook(page)
  await dialog.getByLabel('Which of it').selectOption({ label: 'Deck' })
  await dialog.getByLabel('For').selectOption({ label: 'A buyer or surveyor' })
  await expect(dialog.getByText(/Sums typed by hand stay/)).toBeVisible()
  const pages = await book(page)
  const all = pages.join('\n')
  expect(all).toMatch(/D-01[^]*D-02/)
  expect(all).not.toMatch(/Oona|Piet|€|S-01|Openings, bow|Scan for/)
  expect(all).toContain('The file of this picture is missing.')
  const text = dialog.getByRole('link', { name: 'As text with pictures' })
  expect(await text.getAttribute('href')).toMatch(/book\.zip\?system=.+&copy=others$/)
})

test('a book is stopped on its way, and begun again', async ({ page, context }) => {
  let letGo: () => void = () => undefined
  const held = new Promise<void>((resolve) => (letGo = resolve))
  let isHeld = true
  await context.route('**/api/refits/*/book*', async (route) => {
    if (isHeld) await held
    await route.continue().catch(() => undefined)
  })
  const dialog = await openBook(page)
  await dialog.getByRole('button', { name: 'On paper (PDF)' }).click()
  await expect(dialog.getByText('Reading the sheets')).toBeVisible()
  await expect(dialog.getByLabel('Which of it')).toBeDisabled()
  await dialog.getByRole('button', { name: 'Stop' }).click()
  await expect(dialog.getByRole('button', { name: 'On paper (PDF)' })).toBeEnabled()
  isHeld = false
  letGo()
  expect((await book(page)).length).toBeGreaterThan(13)
  // Nobody answers: said, and nothing is lost.
  await context.route('**/api/refits/*/book*', (route) => route.abort())
  await dialog.getByRole('button', { name: 'On paper (PDF)' }).click()
  await expect(dialog.getByRole('alert')).toContainText('does not answer')
})

test('anything written is found by a word with a slip in it', async ({ page }) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/jobs`)
  await page.getByRole('button', { name: 'Find', exact: true }).click()
  const box = page.getByRole('combobox', { name: 'Find' })
  await box.fill('hemisphere xyzzy')
  await expect(page.getByText('Nothing written has all of these words.')).toBeVisible()
  await box.fill('polysulfide')
  await expect(page.getByRole('option').first()).toContainText(
    /Polysulphide, black\s*Chain locker drain bedded/,
  )
  await box.press('Enter')
  await expect(page.getByRole('heading', { name: 'Chain locker drain bedded' })).toBeVisible()
})
