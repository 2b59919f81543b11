/** What was paid, what trades ask for, and hours as they really go: every total moves, and what cannot be is said at its place. */
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
const launch = async (page: Page) =>
  /launch planned (\d+ \w+)/.exec(
    (await page.getByText(/launch planned \d/).textContent()) ?? '',
  )?.[1]
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

test('a sum planned for a system moves what is likely, and its lines add up to what was spent', async ({
  page,
}) => {
  await open(page, 'money')
  const [, , before = 0] = await sumsOf(page, 'Rig')
  await page.getByRole('button', { name: 'Rig', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Planned for it').fill('9000')
  await dialog.getByLabel('Planned for it').press('Tab')
  await expect(dialog.getByText('Together €405.00')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect.poll(async () => (await sumsOf(page, 'Rig'))[3]).toBe(9000)
  expect((await sumsOf(page, 'Rig'))[2]).toBeGreaterThan(before + 1000)
  await page.getByRole('row', { name: /^Rig/ }).getByRole('button', { name: /how$/ }).click()
  await expect(page.getByRole('dialog')).toContainText('44 closed lines')
})

test('a bill over what was agreed is kept and asked about, and only the agreed part is paid', async ({
  page,
}) => {
  await open(page, 'money?show=hours')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Brannock Stainless bills €212 more than was agreed',
  )
  const smith = page.getByRole('article', { name: /^Brannock Stainless/ })
  await expect(smith).toContainText(
    '€167 is asked for “A visit to measure”, and nobody agreed to it',
  )
  await expect(smith).toContainText('€1,184 in the quote, and €1,229 is asked')
  await smith.getByRole('button', { name: 'Paid as agreed: €714' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Sum', { exact: true })).toHaveValue('714.00')
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog).toBeHidden()
  await expect(smith).toContainText('paid so far €1,314; held until checked, 10 %: €146')
  await expect(smith.getByRole('button', { name: /^Paid as agreed/ })).toBeHidden()

  await page.getByRole('button', { name: 'A bill came from Hartsel Rigging' }).click()
  await dialog.getByLabel('Sum of the bill').fill('2000')
  await dialog.getByLabel('Sum of the bill').press('Tab')
  await expect(dialog.getByText('That is €840 more than was agreed')).toBeVisible()
  await dialog.getByRole('button', { name: 'Write it down' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Hartsel Rigging bills €840 more',
  )
})

/** The day of moving aboard in the plan that the server keeps. */
async function movesAboard(): Promise<string> {
  const answer = await fetch(`${server.url}/api/refits/${await server.refitId()}`)
  const { rows } = (await answer.json()) as {
    rows: { plan: { result: { gates: { gateId: string; at: number }[] } }[] }
  }
  const gate = rows.plan[0]?.result.gates.find((one) => one.gateId === 'move-aboard')
  return gate ? new Date(gate.at).toISOString().slice(0, 10) : ''
}

test('hours as they really go move the plan by what was said, and back', async ({ page }) => {
  test.setTimeout(120_000)
  await open(page, 'money?show=hours')
  expect(await launch(page)).toBe('5 Jun')
  const asGuessed = await movesAboard()
  expect(asGuessed).toMatch(/^2027-0[78]-/)
  const hours = page.getByRole('group', { name: 'Hours in the plan' })
  await expect(page.getByText(/^Yours adds 272 h/)).toBeVisible()
  await hours.getByRole('button', { name: 'Use mine' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('272 h')
  // The lift of 5 June is kept even so; what comes after it is not.
  const promise = async (said: RegExp) => {
    const row = dialog.getByRole('row', { name: /^Move aboard/ })
    await expect(row).toContainText(said, { timeout: 60_000 })
    const dates = [...((await row.textContent()) ?? '').matchAll(/[A-Z]\w{2} (\d+ \w{3})/g)]
    return dates.map(([, on]) => new Date(`${on} 2027 UTC`).toISOString().slice(0, 10))
  }
  const [before, promisedOn = ''] = await promise(/\d+ days later/)
  expect(before).toBe(asGuessed)
  expect(promisedOn > '2027-09-01').toBe(true)
  await dialog.getByRole('button', { name: /^(Do it|Take|Yes)/ }).click()
  await expect(hours.getByRole('button', { name: 'Use mine' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await expect.poll(movesAboard, { timeout: 60_000 }).toBe(promisedOn)
  await hours.getByRole('button', { name: 'As guessed' }).click()
  const [, backOn = ''] = await promise(/\d+ days earlier/)
  // People keep the order they have: back is sooner than with the true hours, not always the day it was.
  expect(backOn < promisedOn).toBe(true)
  await dialog.getByRole('button', { name: /^(Do it|Take|Yes)/ }).click()
  await expect.poll(movesAboard, { timeout: 60_000 }).toBe(backOn)
  expect(await launch(page)).toBe('5 Jun')
})

test('work done again is logged with why, and counted', async ({ page }) => {
  await open(page, 'money?show=hours')
  const twice = page.getByRole('region', { name: /^Done twice/ })
  await expect(twice).toContainText('15 h 30')
  await page.keyboard.press('h')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('On which step').fill('deadrise')
  await dialog.getByRole('option').first().click()
  await dialog.getByLabel('Hours', { exact: true }).fill('23')
  await dialog.getByText('It had to be done again').click()
  await dialog.getByLabel('Done again because').fill('Cured too cold')
  await dialog.getByRole('button', { name: 'Keep hours' }).click()
  await expect(twice).toContainText('38 h 30')
  await expect(twice).toContainText('30 h 30')
  await page.keyboard.press('h')
  await dialog.getByLabel('On which step').fill('deadrise')
  await dialog.getByRole('option').first().click()
  await dialog.getByLabel('Hours', { exact: true }).fill('7')
  await dialog.getByRole('button', { name: 'Keep hours' }).click()
  await expect(dialog.getByText(/That makes 30 h for one person/).first()).toBeVisible()
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

test('a week is promised, what that is worth is said, and a promise can be taken back', async ({
  page,
}) => {
  await open(page, 'week')
  const section = page.getByRole('region', { name: /The promise/ })
  const first = section.getByRole('button', { name: /^Promise/ }).first()
  const name = ((await first.textContent()) ?? '').trim().replace(/^Promise\s*/, '')
  await first.click()
  await expect(section.getByText('Nothing is promised yet')).toBeHidden()
  await expect(section.getByRole('heading', { name: /in 100 to keep it/ })).toBeVisible({
    timeout: 60_000,
  })
  await section.getByRole('button', { name: `Take back ${name}` }).click()
  await expect(section.getByText(/Nothing is promised yet/)).toBeVisible()
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

test('a berth has a price of its own, and the days afloat to come are reckoned by it', async ({
  page,
}) => {
  await open(page, 'money')
  const before = await sumsOf(page, 'Yard, lift, berth')
  const afloat = page.getByRole('region', { name: 'Days afloat to come' })
  const days = Number(/(\d+) days at €9\.20/.exec((await afloat.textContent()) ?? '')?.[1])
  await page.getByRole('button', { name: 'More' }).first().click()
  await page.getByRole('link', { name: 'Settings, people, places' }).click()
  await page.getByRole('textbox', { name: 'A day at the berth' }).fill('12')
  await page.getByRole('textbox', { name: 'A day at the berth' }).press('Enter')
  await page.getByRole('link', { name: 'Money' }).click()
  await expect(afloat).toContainText(`${days} days at €12`)
  const after = await sumsOf(page, 'Yard, lift, berth')
  // 2.80 more a day; sums of the row are whole.
  expect(Math.abs((after[2] ?? 0) - (before[2] ?? 0) - days * 2.8)).toBeLessThan(1)
})
