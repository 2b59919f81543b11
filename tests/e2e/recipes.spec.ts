/** Work broken down without typing it: recipes, re-work, the tree of found work, bulk changes, prints. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, goTo, hasFocus, test } from './test'
import type { Page } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
let base = ''
const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-recipes-'))
test.beforeAll(async ({ sharedServer }) => {
  await server.begin(sharedServer)
  base = `${server.url}/r/${await server.refitId()}`
})
test.afterAll(() => rmSync(folder, { recursive: true, force: true }))

const panelOf = (page: Page, name: string) => page.getByRole('region', { name, exact: true })

test('own recipes: copied, edited, saved, refused with a sentence', async ({ page }) => {
  await goTo(page, `${base}/recipes/find-leak`)
  await page.getByRole('button', { name: 'Copy and edit' }).click()
  const hours = page.getByLabel('Hours of Hose low to high, ten minutes a fitting')
  await hours.fill('soak(fittings)')
  await hours.press('Tab')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await expect(page.getByRole('alert')).toContainText('There is no formula “soak”')
  await hours.fill('fittings / 3')
  await hours.press('Tab')
  await page.getByRole('button', { name: 'Save the recipe' }).click()
  await page.getByRole('link', { name: 'Use it' }).click()
  await expect(page.getByRole('list', { name: 'Steps it makes' })).toContainText('3 h')

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as file' }).click(),
  ])
  const file = join(folder, 'own.recipe.json')
  await download.saveAs(file)
  await goTo(page, `${base}/recipes`)
  await page.getByLabel('Bring in a recipe file').setInputFiles(file)
  await expect(page.getByRole('heading', { name: 'Find a leak, our way' })).toBeVisible()

  const broken = join(folder, 'broken.json')
  const bad = async (text: string, sentence: string) => {
    writeFileSync(broken, text)
    await goTo(page, `${base}/recipes`)
    await page.getByLabel('Bring in a recipe file').setInputFiles(broken)
    await expect(page.getByRole('alert')).toContainText(sentence)
  }
  await bad('{"format": "other"', 'cut off')
  await bad('{"format": "other"}', 'not a recipe of Inch Ahead')
})

test('found work three deep reads right, and many jobs change at once by keyboard', async ({
  page,
}) => {
  await goTo(page, `${base}/jobs`)
  await page.getByLabel('In which order').selectOption('By what found it')
  const rows = page.getByRole('list', { name: 'Jobs' }).getByRole('listitem')
  const row = (title: string) => rows.filter({ hasText: title }).first()
  // Strip out bred the bearers, they the tank, it the vent hose; and the wires under the sole.
  // Bearers 3 × 5.2 − … are read from the page, added up and set against what the parent says.
  const hoursOf = async (title: string): Promise<number> => {
    const text = (await row(title).getByRole('button').innerText()).split('\n').at(-1) ?? ''
    const [, h = '0', m = '0'] = /(?:(\d+) h)? ?(?:(\d+)(?: min)?)?$/.exec(text.trim()) ?? []
    return Number(h) + Number(m) / 60
  }
  const parts = await Promise.all(
    ['Sole bearers soft', 'Water tank weeps', 'Tank vent hose', 'Wires under the sole'].map(
      hoursOf,
    ),
  )
  const sum = parts.reduce((all, one) => all + one, 0)
  const said = await row('Strip out the saloon and forecabin').innerText()
  const [, jobs, h, m = '0'] = /bred (\d+) jobs, (\d+) h(?: (\d+))?/.exec(said) ?? []
  expect(jobs).toBe('4')
  expect(Math.abs(Number(h) + Number(m) / 60 - sum)).toBeLessThan(0.06)
  await expect(page.getByText(/Found work is .*, \d\d % of all planned hours/)).toBeVisible()

  // Two chosen with x, moved down with the arrow, given a purpose together.
  await page.getByLabel('In which order').selectOption('By rank')
  await rows.first().getByRole('button').focus()
  await page.keyboard.press('x')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('x')
  const bar = page.getByRole('region', { name: 'Change the chosen jobs' })
  await expect(bar).toContainText('2 jobs chosen')
  await page.keyboard.press('b')
  await hasFocus(bar.getByLabel('Gate of all'))
  await page.keyboard.press('Tab')
  await page.keyboard.type('Shine')
  await expect(bar.getByLabel('Purpose of all')).toHaveValue('shine')
  await bar.getByRole('button', { name: 'Apply to 2 jobs' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('2 jobs changed.')).toBeVisible()
  await page.keyboard.press('z')
  await expect(page.getByText(/Change 2 jobs/)).toBeVisible()
})

test('why one is above another, a split of nothing, documents, and the prints', async ({
  page,
}) => {
  await goTo(page, `${base}/jobs?job=shore-inlet`)
  const panel = panelOf(page, 'Shore inlet burnt at one pin')
  await panel.getByText('Why above or below another job?').click()
  await panel.getByLabel('Another job', { exact: true }).fill('coaming')
  await page.getByRole('option', { name: /Cockpit coaming varnish/ }).click()
  await expect(panel.getByRole('status').first()).toContainText(
    'mostly by purpose: Safe against Shine',
  )

  await panel.getByText('Can we do this?').click()
  await expect(panel).toContainText('Mains electricity: takes a licensed person where she lies.')

  await panel.getByText('Split, merge, copy').click()
  await panel.getByRole('button', { name: 'Split the job' }).click()
  await page.getByRole('dialog').getByLabel('Name of the new job').fill('Rest')
  await page.getByRole('button', { name: 'Split it' }).click()
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('Choose the steps')
  await page.keyboard.press('Escape')

  await panel.getByText('Documents and links').click()
  await panel.getByLabel('Keep a document').setInputFiles({
    name: 'manual.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from('MZ\u0090\u0000\u0003 a program'),
  })
  await expect(panel.getByRole('alert')).toContainText('manual.pdf: This is not a document')
  await panel.getByLabel('Keep a document').setInputFiles({
    name: 'sheet.pdf',
    mimeType: 'application/pdf',
    buffer: Buffer.from('%PDF-1.4\n%%EOF\n'),
  })
  await expect(panel.getByRole('link', { name: 'sheet' })).toBeVisible()

  await panel.getByRole('link', { name: 'Work order to print' }).click()
  await expect(page.getByRole('heading', { name: 'Shore inlet burnt at one pin' })).toBeVisible()
  await expect(page.getByText('licensed people only')).toBeVisible()
  const order = await page.pdf({ format: 'A4', printBackground: true })
  expect(order.subarray(0, 5).toString()).toBe('%PDF-')

  await goTo(page, `${base}/bags/labels`)
  await expect(page.getByRole('heading', { name: 'Labels for 29 bags' })).toBeVisible()
  await expect(page.getByRole('img', { name: 'QR of bag B01' })).toHaveAttribute(
    'src',
    /^data:image/,
  )
  const labels = await page.pdf({ format: 'A4' })
  // Sixteen on a page at most, two at least.
  const pages = labels.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0
  expect(pages).toBeGreaterThanOrEqual(2)
  expect(pages).toBeLessThanOrEqual(3)
  if (process.env.KEEP_PRINTS) {
    writeFileSync(join(process.env.KEEP_PRINTS, 'order.pdf'), order)
    writeFileSync(join(process.env.KEEP_PRINTS, 'labels.pdf'), labels)
  }
})

test('a bag that nobody can find is warned about until somebody says where it is', async ({
  page,
}) => {
  await goTo(page, `${base}/bags`)
  const soon = page.getByRole('status', { name: 'Bags to find' })
  await expect(soon).toContainText('B14 Chain locker drain flange')
  await soon.getByRole('button', { name: /B14/ }).click()
  const bag = page.getByRole('region', { name: 'Bag B14' })
  await bag.getByLabel('Where it is').fill('Home shed, behind the door')
  await bag.getByLabel('Where it is').press('Enter')
  await expect(soon).toHaveCount(0)
  await bag.getByLabel('New wire, from').fill('Breaker 6')
  await bag.getByLabel('New wire, from').press('Enter')
  await expect(bag.getByLabel('From', { exact: true })).toHaveValue('Breaker 6')
})
