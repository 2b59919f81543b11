/** What was paid, the forecast and a month's report; the rest of Money is tried on its page (tests/components). */
import { printed } from './pdf'
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
/** The sums of a system's row: spent, owed, likely, plan. */
const sumsOf = async (page: Page, name: string) =>
  (
    await page
      .getByRole('region', { name: 'By system' })
      .getByRole('row', { name: new RegExp(`^${name}`) })
      .getByRole('cell')
      .allTextContents()
  )
    .map((one) => Number(one.replace(/, .*$/, '').replace(/[^\d]/g, '')))
    .slice(-4)

test('what was paid is shared out in another currency, and every total has it', async ({
  page,
}) => {
  await open(page, 'money')
  const [deckBefore = 0] = await sumsOf(page, 'Deck')
  const [rigBefore = 0] = await sumsOf(page, 'Rig')
  await page.getByRole('button', { name: 'What was paid' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What for').fill('Blocks and rope')
  await dialog.getByLabel('Sum', { exact: true }).fill('12.345')
  await dialog.getByLabel('Sum', { exact: true }).press('Tab')
  await expect(dialog.getByText(/Is 12.345 12345 or 12.345\?/)).toBeVisible()
  await dialog.getByLabel('Sum', { exact: true }).fill('300')
  await dialog.getByText('In another currency').click()
  await dialog.getByLabel('Currency').fill('gbp')
  await dialog.getByLabel('Currency').press('Tab')
  await dialog.getByRole('button', { name: 'For a job or system' }).click()
  await dialog.getByLabel('Share 1 for').selectOption({ label: 'System: Deck' })
  await dialog.getByLabel('Sum of share 1').fill('250')
  await dialog.getByRole('button', { name: 'Another share' }).click()
  await dialog.getByLabel('Share 2 for').selectOption({ label: 'System: Rig' })
  await dialog.getByLabel('Sum of share 2').fill('100')
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog.getByText(/come to £50 more than was paid/)).toBeVisible()
  await dialog.getByLabel('Sum of share 2').fill('')
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog.getByText(/What is one GBP in EUR\?/).first()).toBeVisible()
  await dialog.getByLabel('One GBP in EUR').fill('1.2')
  await dialog.getByRole('textbox', { name: 'Rate of' }).fill('16 Apr 2027')
  await dialog.getByRole('textbox', { name: 'Paid on' }).fill('20 Apr 2027')
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog.getByText(/That day is still to come/).first()).toBeVisible()
  await dialog.getByRole('textbox', { name: 'Paid on' }).fill('16 Apr 2027')
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog).toBeHidden()

  await expect.poll(async () => (await sumsOf(page, 'Deck'))[0]).toBe(deckBefore + 300)
  expect((await sumsOf(page, 'Rig'))[0]).toBe(rigBefore + 60)
  const [together] = await page
    .getByRole('row', { name: /^brass paid/ })
    .getByRole('cell')
    .filter({ hasText: '€' })
    .allTextContents()
  await page.getByRole('button', { name: 'Spends' }).click()
  const head = page.getByRole('heading', { level: 1, name: /[\d,]+ paid so far/ })
  const paid = /([\d,]+) paid so far/.exec((await head.textContent()) ?? '')?.[1]
  expect(together?.trim()).toBe(`€${paid}`)
  await expect(
    page.getByRole('region', { name: 'By month' }).getByText(`€${paid}`, { exact: true }),
  ).toBeVisible()

  // Its shares stay when it is opened, and it goes as a whole.
  await page.getByRole('button', { name: 'Blocks and rope' }).first().click()
  await expect(dialog.getByLabel('Sum of share 1')).toHaveValue('250.00')
  await expect(dialog.getByLabel('Sum of share 2')).toHaveValue('50.00')
  await dialog.getByLabel('Picture', { exact: true }).setInputFiles({
    name: 'receipt.png',
    mimeType: 'image/png',
    buffer: Buffer.from('MZ this is a program'),
  })
  await expect(dialog.getByText('This is not a picture that can be read')).toBeVisible()
  await dialog.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(dialog).toBeHidden()
  await page.getByRole('button', { name: 'Cost and date' }).click()
  await expect.poll(async () => (await sumsOf(page, 'Deck'))[0]).toBe(deckBefore)
})

/** Whole units of a sum in words. */
const minorOf = (text: string | null | undefined) => Number((text ?? '').replace(/[^\d]/g, ''))
const headline = async (page: Page) =>
  /Likely €([\d,]+).* on .+, safe €([\d,]+) on/.exec(
    (await page.getByRole('heading', { level: 1 }).textContent()) ?? '',
  )

test.describe('where the plan is run after every change', () => {
  test.use({ runsByItself: true })
  test('the forecast comes by itself, is said by the Tape, and moves with what is paid', async ({
    page,
  }) => {
    await open(page, 'money')
    await expect(page.getByText(/; likely .+, safe /)).toBeVisible({ timeout: 60_000 })
    await expect(page.getByText('These are 200 runs.')).toBeVisible()
    const before = await headline(page)
    const [likely, safe] = [minorOf(before?.[1]), minorOf(before?.[2])]
    expect(safe).toBeGreaterThan(likely)
    const launchRow = page
      .getByRole('region', { name: 'When she is done' })
      .getByRole('row', { name: /^Launch \d/ })
    await expect(launchRow).toContainText('Sat 22 May')
    // The accounts and what the runs add close to the headline.
    const total = await page
      .getByRole('table', { name: /Money by system/ })
      .locator('tfoot td')
      .allTextContents()
    expect(total.map(minorOf)).toContain(likely)
    // Left half-way, nothing of it is kept.
    await page.getByRole('button', { name: 'Run the plan 1,000 times' }).click()
    await page.getByRole('button', { name: 'Stop' }).click()
    await expect(page.getByRole('button', { name: 'Stop' })).toBeHidden()
    await expect(page.getByText('These are 200 runs.')).toBeVisible()
    // Money that no plan had comes on top.
    await page.getByRole('button', { name: 'What was paid' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('What for').fill('Salvage')
    await dialog.getByLabel('Sum', { exact: true }).fill('9000')
    await dialog.getByRole('button', { name: 'Write it down' }).click()
    await expect(dialog).toBeHidden()
    await expect
      .poll(async () => minorOf((await headline(page))?.[1]))
      .toBeGreaterThan(likely + 7000)
  })
})

test('a month is a page and a table of the same sum', async ({ page }) => {
  await open(page, 'report?of=2027-03')
  const heading = await page.getByRole('heading', { level: 1 }).textContent()
  expect(heading).toMatch(/^March 2027: €[\d,.]+ paid$/)
  const link = page.getByRole('link', { name: 'As a table' })
  const csv = await page.request.get(`${server.url}${(await link.getAttribute('href')) ?? ''}`)
  const [, ...rows] = (await csv.text()).trim().split('\r\n')
  // The sum is the third column from the end.
  const sum = rows.reduce((all, row) => all + Number(row.split(',').at(-3)), 0)
  const shown = await page.getByText(/^Together €/).textContent()
  expect(`Together €${sum.toFixed(2)}`).toBe(shown?.trim())
  const [first] = await printed(page, 'As a PDF', 'sable-wren-march-2027.pdf')
  expect(first).toContain(heading)
  expect(first).toMatch(
    new RegExp(`Together\\s+.*€${sum.toFixed(2).replace(/\B(?=(\d{3})+\b\.)/g, ',')}`),
  )
  const refused = await page.request.get(
    `${server.url}/api/refits/${await server.refitId()}/money.csv?from=2027-02-30&to=2027-03-01`,
  )
  expect(refused.status()).toBe(422)
})
