/** The day by keys; and a job’s own page: its layers, its hours, its measures. */
import { expect, goTo, hasFocus, test } from './test'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

test('the day by keys: along the strand, begun, hours, done, taken back, left', async ({
  page,
}) => {
  await goTo(page, `${server.url}/r/${await server.refitId()}/today`)
  const day = page.getByRole('list', { name: 'The day' })
  const links = day.getByRole('link')
  await expect(links.nth(1)).toBeVisible()
  await expect(page.getByText('Planning the day…')).toBeHidden()
  const first = await links.first().innerText()
  await links.first().focus()
  await page.keyboard.press('ArrowDown')
  await expect(links.first()).not.toBeFocused()
  await expect(day.locator('a:focus')).toHaveCount(1)
  await page.keyboard.press('ArrowUp')
  await hasFocus(day.getByRole('link', { name: first, exact: true }))
  // By hand: it comes after the next one, and back by undo.
  const order = () => links.allInnerTexts().then((all) => all.slice(0, 2))
  const asPlanned = await order()
  await day.getByRole('link', { name: first, exact: true }).press('Alt+ArrowDown')
  await expect.poll(order).toEqual([...asPlanned].reverse())
  await expect(page.getByText('In an order by hand.')).toBeVisible()
  await page.keyboard.press('z')
  await expect.poll(order).toEqual(asPlanned)
  await expect(page.getByText('In an order by hand.')).toBeHidden()
  // On its button the space bar presses the button, and ticks nothing.
  await page.getByRole('button', { name: `Start: ${first}` }).press(' ')
  await expect(page.getByRole('button', { name: `Done: ${first}` })).toBeVisible()
  await day.getByRole('link', { name: first, exact: true }).focus()
  await page.keyboard.press('h')
  await expect(page.getByLabel('Hours', { exact: true })).toBeVisible()
  await page.keyboard.press('Escape')
  await day.getByRole('link', { name: first, exact: true }).focus()
  await page.keyboard.press(' ')
  await expect(page.getByText(`Done: ${first}. z takes it back.`)).toBeVisible()
  await expect(day.getByRole('link', { name: first, exact: true })).toBeHidden()
  await page.keyboard.press('z')
  await expect(day.getByRole('link', { name: first, exact: true })).toBeVisible()
  await page.keyboard.press('l')
  await hasFocus(page.getByRole('button', { name: /^Leave her/ }))
})

test('a job grows on its own page: layers pressed, hours changed, a guess measured', async ({
  page,
}) => {
  const refit = `${server.url}/r/${await server.refitId()}`
  await goTo(page, `${refit}/jobs?job=foredeck`)
  await page.getByRole('link', { name: 'How it grows' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /Re-core the foredeck, starboard: five steps left/,
  )
  const stair = page.getByRole('list', { name: 'Steps, from the first' })
  await expect(stair.getByRole('button').first()).toHaveAccessibleName(/^9 steps done before: done/)
  await page.getByRole('button', { name: 'Unfold all 17' }).click()
  await expect(stair.getByRole('button')).toHaveCount(17)
  await stair.getByRole('button', { name: /^Fair, second pass/ }).press('Enter')
  const form = page.getByRole('region', { name: 'Fair, second pass' })
  await form.getByLabel('Hours').fill('4h')
  await form.getByLabel('Hours').press('Enter')
  await expect(stair.getByRole('button', { name: /^Fair, second pass.*4 h/ })).toBeVisible()

  await goTo(page, `${refit}/job/windlass-bolts`)
  const inputs = page.getByRole('complementary', { name: 'What it rests on' })
  await expect(inputs.getByText(/^Oona, 21 Nov/)).toHaveCount(2)
  const measure = inputs.getByRole('button', { name: /^Measure: / })
  const guesses = await measure.count()
  await measure.first().click()
  await page.getByRole('dialog').getByRole('textbox').fill('much')
  await page.getByRole('dialog').getByRole('button', { name: 'Measured' }).click()
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await measure.first().click()
  await page.getByRole('dialog').getByRole('button', { name: 'Measured' }).click()
  await expect(measure).toHaveCount(guesses - 1)
})
