/** From an empty start to a finished, logged job, through a power cut. */
import { expect, test } from '../test'
import { firstRun } from '../firstRun'
import { TestServer } from '../server'

const server = new TestServer()
test.beforeAll(() => server.start())
test.afterAll(() => server.end())

const csv = `Job;Hours;Place;Purpose;How bad;After
Re-core the foredeck;1,5;Foredeck, starboard;Float;4;
Sea valve, galley;2h;Through-hulls;Float;3;
Antifoul;3;Underwater hull, port;Float;2;Sea valve, galley
Posts and rail;2h30;Side deck, port;Safe;3;Re-core the foredeck
Re-bed the forehatch;1;Coachroof;Float;2;Re-core the foredeck
Engine service;4;Engine space;Go;2;
Bilge pump wiring;90m;Bilge;Safe;3;
Saloon trim;6;Saloon;Shine;1;
Heads hoses;2;Heads;Live;2;
Anodes;1;Keel;Float;2;Antifoul
Shaft and gland;3;Stern gear;Go;3;
Mast wiring;2;Mast and rigging;Go;2;
`

test('empty start to a finished system that outlives a power cut', async ({ page }) => {
  // What cannot be is said before anything is made of it, and nothing typed is lost.
  await page.goto(server.url)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('alert')).toHaveText('What is the boat called?')
  await page.getByLabel('Name of the boat').fill('Grey Plover')
  await page.getByLabel('Length overall').fill('40 ells')
  await page.getByLabel('Your name').fill('Ida')
  await expect(page.getByText('“ells” is not a unit of length here.')).toBeVisible()
  await page.getByLabel('Length overall').fill('40 ft')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText('When was she lifted out? About will do.')).toBeVisible()
  await page.getByLabel('Lift-out', { exact: true }).fill('1 April 2027')
  await page.getByLabel('Minutes to the boat').fill('600')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText(/leaves no time on her/)).toBeVisible()
  await page.getByLabel('Minutes to the boat').fill('30')
  await page.getByLabel('Lift-out', { exact: true }).fill('2 May 2027')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText(/She is ashore, and the lift-out on Sun 2 May 2027/)).toBeVisible()
  await expect(page.getByLabel('Lift-out', { exact: true })).toHaveValue('Sun 2 May 2027')

  await firstRun(page, server.url)
  await expect(page.getByText('0 of 480 in')).toBeVisible()

  // A list of twelve jobs, one row broken and mended.
  await page.getByRole('link', { name: 'Paste a list' }).click()
  await page
    .getByLabel('Paste it here')
    .fill(csv.replace('Re-bed the forehatch;1;', 'Re-bed the forehatch;soon;'))
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText('“soon” is not a time. Try 1h30, 90m or 1.5.')).toBeVisible()
  await expect(page.getByRole('heading', { name: /^11 of 12 rows to bring in/ })).toBeVisible()
  const bad = page.getByRole('listitem').filter({ hasText: 'Row 6' })
  await bad.getByLabel('Hours').fill('1')
  await bad.getByLabel('Hours').press('Enter')
  await page.getByRole('button', { name: 'Bring in 12 jobs' }).click()
  await expect(page.getByRole('heading', { name: 'All work, 12 jobs' })).toBeVisible()

  // One job broken into steps, with a cure, linked by name, gated by the launch.
  await page
    .getByRole('button', { name: /Re-core the foredeck/ })
    .first()
    .click()
  const panel = page.getByRole('region', { name: 'Re-core the foredeck' })
  await panel.getByLabel('Step 1').fill('Lay the plies')
  await panel.getByLabel('Step 1').press('Enter')
  await panel.getByRole('button', { name: 'More of Lay the plies' }).click()
  await panel.getByLabel('Operation of Lay the plies').selectOption('Laminate')
  await panel.getByLabel('Wait after it').selectOption('Cure (warmth counts)')
  // Cured by Sunday: whatever else is planned, it pays to lay them on the Saturday.
  await panel.getByLabel('How long').fill('6')
  await panel.getByLabel('How long').press('Enter')
  await panel.getByLabel('What', { exact: true }).fill('Biaxial 450')
  await panel.getByLabel('How much').fill('2 m')
  await panel.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(panel.getByText('Biaxial 450, 2 m')).toBeVisible()
  await panel.getByLabel('Next step').fill('Fair it')
  await panel.getByRole('button', { name: 'Add step' }).click()
  await expect(panel.getByLabel('Step 2')).toHaveValue('Fair it')
  await panel.getByLabel('Finished before').selectOption('Launch')
  await panel.getByLabel('Add a job it waits for').fill('posts')
  await page.getByRole('option', { name: 'Posts and rail' }).click()
  await expect(panel.getByRole('alert')).toContainText('in a circle')
  await panel.getByLabel('Add a job that comes after').fill('anod')
  await page.getByRole('option', { name: 'Anodes' }).click()
  await expect(panel.getByRole('button', { name: 'Remove link with Anodes' })).toBeVisible()

  // The sequence has a launch date.
  await page.getByRole('link', { name: /Sequence/ }).click()
  await expect(page.getByRole('heading', { name: 'Launch keeps 21 May' })).toBeVisible()
  await expect(
    page.getByText('What is planned before it is done by then; the aimed date is kept.').first(),
  ).toBeVisible()

  // Today, a Saturday with two people.
  await page.getByRole('link', { name: /Today/ }).click()
  await expect(page.getByRole('button', { name: /^The boat, Ida and Tam/ })).toBeVisible()
  const plies = page
    .getByRole('list', { name: 'The day' })
    .getByRole('listitem')
    .filter({ hasText: 'Lay the plies' })
  await expect(plies).toContainText('waits until')
  const beside = page.getByRole('complementary', { name: 'For the day' })
  await expect(beside).toContainText('resin sensitises')
  await expect(beside.getByText('Biaxial 450, 2 m — in the shed').first()).toBeVisible()
  await beside.getByRole('button', { name: 'Seen: Biaxial 450' }).click()
  await expect(beside.getByText('0 of 1 not seen')).toBeVisible()

  // A clock on the cure, hours, done: inches move.
  await plies.getByRole('link', { name: 'Lay the plies' }).click()
  await page.getByRole('button', { name: 'Start a clock: Lay the plies' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('button', { name: /Lay the plies: .*Open the clock/ })).toBeVisible()
  await page.getByRole('button', { name: 'Log hours: Lay the plies' }).click()
  await page.getByLabel('Hours', { exact: true }).fill('25h')
  await page.getByRole('button', { name: 'Keep hours' }).click()
  await expect(page.getByText('25 h is more than 24 h.')).toBeVisible()
  await page.getByLabel('Hours', { exact: true }).fill('1h45')
  await page.getByRole('button', { name: 'Keep hours' }).click()
  await expect(page.getByText('Hours kept.')).toBeVisible()
  await page.getByRole('link', { name: 'Back to Today' }).click()
  // Not check(): the step leaves the list of what is to be done as soon as it is.
  await plies.getByLabel('Done: Lay the plies').press(' ')
  // 30.5 h were open with the new 1 h step; 1.5 h of them earn 480 × 1.5 / 30.5 = 23.6 in.
  await expect(page.getByText('23.6 of 480 in')).toBeVisible()

  // Finish the job and write it up.
  await page.getByRole('link', { name: /Jobs/ }).click()
  await page
    .getByRole('button', { name: /Re-core the foredeck/ })
    .first()
    .click()
  await panel.getByLabel('Done: Fair it').check()
  await expect(page.getByText('39.3 of 480 in')).toBeVisible()
  await panel.getByRole('button', { name: 'Write the as-built sheet' }).click()
  await expect(page.getByRole('heading', { name: 'Re-core the foredeck' })).toBeVisible()
  await expect(page.getByLabel('Hours', { exact: true })).toHaveValue('1 h 45')
  await page.getByLabel('New test').fill('Tap test')
  await page.getByRole('button', { name: 'Add test' }).click()
  await page.getByLabel('Measured of Tap test').fill('sharp <all> over')
  await page.getByLabel('Measured of Tap test').press('Enter')
  await page.getByLabel('How to take it apart again').fill('Grind, do not pry.')
  await page.getByLabel('Who', { exact: true }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Add test' })).toBeHidden()
  const pdf = await page.pdf({ format: 'A4' })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  await page.emulateMedia({ media: 'screen' })
  const sheetUrl = page.url()
  await expect(page.getByLabel('How to take it apart again')).toHaveValue('Grind, do not pry.')
  await page.waitForTimeout(300)

  // A power cut.
  await server.kill()
  await server.start()
  await page.goto(sheetUrl)
  await expect(page.getByLabel('How to take it apart again')).toHaveValue('Grind, do not pry.')
  await expect(page.getByLabel('Measured of Tap test')).toHaveValue('sharp <all> over')
  await expect(page.getByText('39.3 of 480 in')).toBeVisible()
  await expect(page.getByText('launch planned 21 May')).toBeVisible()
})
