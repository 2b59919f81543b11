/** The first path with the keyboard alone: no pointer, no focus set from outside. */
import { expect, test } from '../test'
import type { Locator, Page } from '../test'
import { saturday, TestServer } from '../server'

const server = new TestServer()
test.beforeAll(() => server.start())
test.afterAll(() => server.end())

/** Presses Tab until the control has the focus; a control out of the tab order fails here. */
async function tabTo(page: Page, control: Locator): Promise<void> {
  // Found once: a page of this size takes its time to be searched by names.
  let found = await control.elementHandle()
  for (let presses = 0; presses < 150; presses++) {
    const [isDrawn, hasIt] = (await found?.evaluate((one) => [
      one.isConnected,
      one === document.activeElement,
    ])) ?? [false, false]
    if (hasIt) return
    // A list that was drawn anew has another one in its place.
    if (!isDrawn) found = await control.elementHandle()
    else await page.keyboard.press('Tab')
  }
  throw new Error(`Tab never reached ${String(control)}`)
}

async function write(page: Page, label: string | RegExp, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: typeof label === 'string' })
  await tabTo(page, field)
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type(text)
}

async function press(page: Page, control: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, control)
  await page.keyboard.press(key)
}

test('from five questions to inches moved, keys only', async ({ page }) => {
  await page.goto(server.url)
  await write(page, 'Name of the boat', 'Grey Plover')
  await write(page, 'Length overall', '40 ft')
  await write(page, 'Your name', 'Ida')
  await write(page, 'Lift-out', '1 April 2027')
  await write(page, 'Launch aimed', '21 May')
  // Read on leaving the field, and shown as it was understood.
  await expect(page.getByLabel('Lift-out', { exact: true })).toHaveValue('Thu 1 Apr 2027')
  await write(page, /^Time zone/, 'dublin')
  await expect(page.getByRole('option', { name: 'Europe/Dublin' })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await press(page, page.getByRole('button', { name: 'Begin' }))

  await press(page, page.getByRole('link', { name: 'Paste a list' }))
  await tabTo(page, page.getByLabel('Paste it here'))
  await page.keyboard.type('Bed the winch, 3h\nEngine service, 4h')
  await press(page, page.getByRole('button', { name: 'Read it' }))
  await press(page, page.getByRole('button', { name: 'Bring in 2 jobs' }))

  await press(page, page.getByRole('button', { name: /Bed the winch/ }).first())
  const panel = page.getByRole('region', { name: 'Bed the winch' })
  await tabTo(page, panel.getByLabel('Next step'))
  await page.keyboard.type('Check it again')
  await page.keyboard.press('Enter')
  await expect(panel.getByLabel('Step 2')).toHaveValue('Check it again')
  await tabTo(page, panel.getByLabel('Add a job that comes after'))
  await page.keyboard.type('eng')
  await expect(page.getByRole('option', { name: 'Engine service' })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(panel.getByRole('button', { name: 'Remove link with Engine service' })).toBeVisible()

  // The views by their digits, then a timer, a clock started by its key, and the step ticked off.
  await press(page, panel.getByRole('button', { name: 'Close the job' }))
  await page.keyboard.press('4')
  await expect(
    page.getByRole('heading', { name: 'Launch, 21 May: no work stands before it' }),
  ).toBeVisible()
  await page.keyboard.press('1')
  const day = page.getByRole('list', { name: 'The day' })
  await press(page, day.getByRole('link').first())
  await press(page, page.getByRole('button', { name: /^Log hours: / }))
  await press(page, page.getByRole('button', { name: 'Start the timer' }))
  await expect(page.getByRole('region', { name: 'Hours timer' })).toContainText('0 min')

  // The machine sleeps for forty minutes; the timer goes on.
  await server.kill()
  server.setClock(saturday + 40 * 60_000)
  await server.start()
  await page.reload()
  const timer = page.getByRole('region', { name: 'Hours timer' })
  await expect(timer).toContainText('40 min')
  await press(page, timer.getByRole('button', { name: 'Stop' }))
  await expect(page.getByRole('dialog').getByLabel('Hours', { exact: true })).toHaveValue('40 min')
  await press(page, page.getByRole('button', { name: 'Keep hours' }))
  await expect(page.getByText('Hours kept.')).toBeVisible()

  await page.keyboard.press('1')
  await press(page, day.getByRole('checkbox', { name: /^Done: / }).first(), 'Space')
  await expect(page.getByText(/^[1-9][\d.]* of 480 in/)).toBeVisible()
  await page.keyboard.press('n')
  await expect(page.getByRole('dialog')).toContainText('Found')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
