/** Can she go in: signed for line by line, a window booked and kept to, the day hour by hour, the watch in the hand. */
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
const line = (page: Page, name: RegExp) => page.getByRole('button', { name })

test('lines are signed for, a window is booked, the plan keeps to it, and the day is counted from it', async ({
  page,
}) => {
  await open(page, 'launch')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Not yet: twelve things stop her',
  )
  await expect(
    line(page, /^Engine intake no work, no test, no signature stops, no plan/),
  ).toBeVisible()

  // Skipping asks why, and loses nothing; proven with what was seen closes the line.
  await line(page, /Engine intake/).click()
  const dialog = page.getByRole('dialog', { name: 'Engine intake' })
  await dialog.getByLabel('Signed by').selectOption({ label: 'Oona' })
  await dialog.getByLabel('Signed as').selectOption('skipped')
  await dialog.getByRole('button', { name: 'Sign', exact: true }).click()
  await expect(dialog.getByText(/Say why: it stays in the log with the name/).first()).toBeVisible()
  await dialog.getByLabel('Signed as').selectOption('proven')
  await dialog.getByLabel('What you saw, or why').fill('Worked ten times, hose firm')

  // Somebody else signs it meanwhile: the second is told whose name stands there.
  const other = await page.context().newPage()
  await open(other, 'launch')
  await line(other, /Engine intake/).click()
  const second = other.getByRole('dialog', { name: 'Engine intake' })
  await dialog.getByRole('button', { name: 'Sign', exact: true }).click()
  await expect(dialog).toBeHidden()
  await expect(
    line(page, /Engine intake Oona, 17 Apr: Worked ten times, hose firm proven/),
  ).toBeVisible()
  await expect(second.getByText(/Oona, Sat 17 Apr/)).toBeVisible()
  await second.getByRole('button', { name: 'Take the signature back' }).click()
  await expect(line(page, /Engine intake no work/)).toBeVisible()
  await other.close()

  // A day with water and people is booked; the plan goes to it, at that hour.
  await page.getByRole('option', { name: /^Sat 12 Jun, 11:20–16:00, two/ }).click()
  await expect(page.getByRole('button', { name: 'Ask for Sat 12 Jun, 10:50' })).toBeVisible()
  // Later in the same water: by keys, and the block with the hand.
  const slings = page.getByRole('slider', { name: /Slings on at/ })
  for (let at = 0; at < 6; at++) await slings.press('ArrowRight')
  await expect(page.getByText('In 11:55, away 12:35, 205 min in hand')).toBeVisible()
  const drawn = await page.getByRole('img', { name: /^Water at the slip/ }).boundingBox()
  const { x = 0, y = 0, width = 0, height = 0 } = drawn ?? {}
  // The drawing begins at six, behind its scale, and shows fourteen hours.
  const block = x + 26 + (6.25 / 14) * (width - 30)
  await page.mouse.move(block, y + height / 2)
  await page.mouse.down()
  await page.mouse.move(block + 40, y + height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByText('In 11:55, away 12:35')).toBeHidden()
  await slings.press('Home')
  await page.getByRole('button', { name: 'Ask for Sat 12 Jun, 10:50' }).click()
  const proposal = page.getByRole('dialog', { name: 'Book Sat 12 Jun, 10:50' })
  await proposal.getByRole('button', { name: 'Book it' }).click()
  await expect.poll(() => launch(page), { timeout: 60_000 }).toBe('12 Jun')
  await expect(page.getByText(/Booked for Sat 12 Jun/)).toBeVisible()
  await page.getByRole('link', { name: 'Launch day' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Sat 12 Jun: leave home at 07:55, in at 11:25, away by 12:05. 235 min in hand.',
  )
  // Nobody aboard while she hangs, and one looks at nine places with the slings slack.
  await expect(page.getByText('Looks: 9 places')).toBeVisible()
  await expect(page.getByText('Plugs: none for 38, 50 mm')).toBeVisible()
  await goTo(page, `${page.url().split('?')[0]}?day=2027-06-09`)
  await expect(page.getByText(/Nobody of the boat is there on Wed 9 Jun/)).toBeVisible()
  // Who is asked comes that day, and the day is counted.
  await page.getByRole('button', { name: 'Oona comes that day' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Wed 9 Jun: leave home at')
})

test('slings and depths that cannot be are refused at their place', async ({ page }) => {
  await open(page, 'launch/inputs')
  const centre = page.getByLabel('Centre of gravity from the stem')
  await centre.fill('3.2 m')
  await centre.press('Tab')
  await expect(page.getByText(/3\.20 m from the stem, is not between the slings/)).toBeVisible()
  // A slip that never has the depth says by how much, and dates go on without the tide.
  const depth = page.getByLabel('Charted depth at the slip')
  await depth.fill('-4 m')
  await depth.press('Tab')
  await expect(page.getByText(/She needs 6\.05 m over chart datum/)).toBeVisible()
  await expect(page.getByText('Not saved yet')).toBeHidden()
  await open(page, 'launch')
  await expect(
    page.getByText(/The slip never has her depth: the highest water of a year is 5\.\d\d m/),
  ).toBeVisible()
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })
  test('the watch is ticked, and what weeps is kept until it is dry', async ({ page }) => {
    await goTo(page, `${server.url}/r/${await server.refitId()}/launch/watch`)
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Slings slack: 1 of 9')
    const thing = () => page.getByRole('heading', { level: 2, name: /^\d+ / })
    await expect(thing()).toHaveText('1 Chain locker drain')
    await page.getByRole('button', { name: /^Dry/ }).click()
    await expect(thing()).toHaveText('2 Transducer hole')
    await expect(page.getByText(/lets in 250 L a minute/)).toBeVisible()
    await page.getByRole('button', { name: /^Weeps/ }).click()
    await page.getByLabel('Drops a minute').fill('6')
    await page.getByRole('button', { name: 'Weeps', exact: true }).click()
    await expect(page.getByText('Not dry yet: Transducer hole.')).toBeVisible()
    for (let at = 3; at <= 9; at++) {
      await expect(thing()).toHaveText(new RegExp(`^${at} `))
      await page.getByRole('button', { name: /^Dry/ }).click()
    }
    await expect(page.getByText('All looked at, and not all dry.')).toBeVisible()
    await expect(page.getByRole('button', { name: /^All dry/ })).toBeHidden()
    // Looked at again after a nip of the clip.
    await page.getByRole('button', { name: /Transducer hole weeps, 6 drops\/min/ }).click()
    await page.getByRole('button', { name: /^Dry/ }).click()
    await expect(page.getByRole('button', { name: 'All dry: let go, she is in' })).toBeVisible()
    // A reading is asked for, not a tick alone.
    await page.getByRole('button', { name: /^At once/ }).click()
    await page.getByRole('button', { name: 'Keep the reading' }).click()
    await expect(page.getByText('Say what you read, in mm.')).toBeVisible()
    await page.getByLabel('Water in the bilge, mm').fill('4')
    await page.getByRole('button', { name: 'Keep the reading' }).click()
    await expect(page.getByRole('button', { name: /^Water in the bilge 4 mm/ })).toBeVisible()
  })
})
