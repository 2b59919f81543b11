/** A list as people have it, from a spreadsheet of an old machine, all the way to a launch that can be believed. */
import { expect, test } from '../test'
import type { Page } from '../test'
import { firstRun } from '../firstRun'
import { TestServer } from '../server'

const server = new TestServer()
test.beforeAll(() => server.start())
test.afterAll(() => server.end())

/** Forty lines under the headings: 36 jobs, one of them twice, a line of nothing, a total and a formula. */
const lines = `Job;Where;Time;Priority;Cost;Who;Status;Notes
Grind out blisters, rudder;Rudder and skeg;3,5;high;;Ida;;
New seacock, galley drain;Through hulls;2h;1;€ 85;;;bronze, “full bore”
New seacock, heads;Through hulls;2h;1;85;;;
Fair the keel joint;Keel;1½;2;;;;
Change shaft anode;Stern gear;30 mins;1;12,50;;;
Antifoul, first coat;Underwater hull, port;4;high;240;;;
Antifoul, second coat;Underwater hull, port;4;high;;;;
Cutless bearing;Stern gear;3 h;2;95;;;
Re-bed stanchion bases;Side deck port;5h;2;;Tam;;six of them
Re-bed the cleat;Foredeck, starboard;45 min.;3;;;;
Soft patch by the mast;Foredeck, starboard;one;1;;;;
Toe rail varnish;Side deck port;6;4;;;;
Replace galley hose, 3 m;Galley;1;2;18;;;
Gas hose out of date;Galley;0:30;1;35;;;licensed?
Bilge pump float switch;Bilge;1,5;1;42;;;
Battery cables;Bilge;2;2;60;;;
Navigation light, bow;Mast and rigging;1h30;2;;;;
Masthead light;Mast and rigging;1 1/2 h;2;;;;
Check the rig;Mast and rigging;2;1;;;;aloft
Mainsail cover;;3;4;;;;
Engine service;Engine space;4;2;110;Ida;;
Engine mounts;Engine space;3;2;180;;;
Clean the fuel tank;Engine space;2,5;3;;;;
Heads hoses;Heads;2h;3;70;;;smell
Berth cushions – new foam;Saloon;2;4;1.234,50;;;
Saloon table hinge;Saloon;20 mins;4;;;;
Cabin lamp rewire;Saloon;1;3;;;;
Hatch seal;Coachroof;1;2;22;;;
Window leak;Coachroof;2 to 3;2;;;;
Deck paint, coachroof;Coachroof;8;3;150;;;two coats
Windlass service;Foredeck, starboard;1,5;3;;;;
Anchor chain marks;Foredeck, starboard;45m;4;;;;
Life raft in date;;0,5;1;;;;
Flares out of date;;0,25;1;90;;;
Liferaft cradle bolts;Side deck port;1;2;;;done;
Hatch seal;Coachroof;1;2;22;;;
;;;;;;;
Total;;74,5;;2500;;;
=SUM(C2:C37);;;;;;;
New name on the stern;;2;5;;;;with an é
`
/** Windows-1252, as an old spreadsheet writes it. */
const marks: Readonly<Record<string, number>> = { '€': 0x80, '–': 0x96, '“': 0x93, '”': 0x94 }
const bytes = Buffer.from([...lines].map((mark) => marks[mark] ?? (mark.codePointAt(0) as number)))

/** What the Tape and the notes say of the launch, whatever view is open. */
const tape = async (page: Page): Promise<string> =>
  (await page.getByRole('link', { name: /^The Tape/ }).getAttribute('aria-label')) ?? ''

test('a messy list of forty rows comes in, is mended and placed, and the launch is honest throughout', async ({
  page,
}) => {
  await firstRun(page, server.url)
  await expect.poll(() => tape(page)).toContain('with no work before it')

  await page.getByRole('link', { name: 'Paste a list' }).click()
  await page.getByLabel(/file/i).setInputFiles({
    name: 'jobs.csv',
    mimeType: 'text/csv',
    buffer: bytes,
  })
  await expect(page.getByText('Berth cushions – new foam')).toBeVisible()
  await expect(page.getByText('Windows')).toBeVisible()

  // What cannot be read is said at its row, and mended there.
  const row = (n: number) => page.getByRole('listitem').filter({ hasText: `Row ${n} ` })
  await expect(row(12)).toContainText('“one” is not a time')
  await row(12).getByLabel('Hours').fill('6')
  await row(12).getByLabel('Hours').press('Enter')
  // A span may be a guess or two times of day: asked, not guessed.
  await expect(row(30)).toContainText('From 2 to 3 hours? Write one number, such as 2.5')
  await row(30).getByLabel('Hours').fill('2,5')
  await row(30).getByLabel('Hours').press('Enter')
  // "Side deck port" is like a place that is there.
  await expect(row(10)).toContainText('Side deck, port')
  // The total, the formula and the second hatch seal are proposed to be left out; each may come in all the same.
  for (const n of [37, 39, 40]) await expect(row(n)).toContainText('Left out')
  await expect(page.getByText(/need(s)? mending/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Bring in 36 jobs' }).click()
  // Eight hours of paint fit in no day of theirs.
  await expect(
    page.getByText(/1 usually done in one go is longer than any day of this fortnight/),
  ).toBeVisible()
  await expect(page.getByRole('heading', { name: 'All work, 36 jobs' })).toBeVisible()

  // Work under water holds the launch by itself; that all else is not placed is said beside its day.
  await expect(page.getByText(/^35 jobs are not placed yet and count before no gate/)).toBeVisible()

  // All before the launch, and nobody who goes aloft: no date at all, in no view.
  await page.getByRole('checkbox', { name: 'Choose Check the rig' }).check()
  await page.getByLabel('Skill of all open steps').selectOption('Aloft')
  await page.getByRole('button', { name: /^Apply to/ }).click()
  await page.getByRole('button', { name: 'Choose all shown' }).click()
  await page.getByLabel('Gate of all').selectOption('Launch')
  await page.getByRole('button', { name: /^Apply to/ }).click()
  await expect.poll(() => tape(page)).toContain('cannot be launched as it stands')
  for (const view of ['Today', 'Jobs', 'Sequence']) {
    await page
      .getByRole('link', { name: new RegExp(`${view}$`) })
      .first()
      .click()
    await expect(page.getByText('She cannot be launched as it stands').first()).toBeVisible()
    await expect(page.getByText(/launch (planned|keeps)|All is ready/i)).toHaveCount(0)
  }

  // Somebody learns it: a date, late, with what it leaves out; each step before it is work by place.
  await page.getByRole('button', { name: 'More' }).first().click()
  await page.getByRole('link', { name: 'Settings, people, places' }).click()
  for (const name of ['Ida', 'Tam'])
    await page
      .getByRole('group', { name: `Skills of ${name}` })
      .getByLabel('Aloft')
      .check()
  await expect.poll(() => tape(page), { timeout: 20_000 }).toMatch(/launch planned \d+ \w+/)
  const said = await tape(page)
  await page
    .getByRole('link', { name: /Sequence$/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: /^Launch (keeps|is planned for)/ })).toBeVisible()
  expect(said).not.toContain('no work')

  // Every job kept its name, its length and its place; work under water is planned ashore.
  await page.getByRole('link', { name: /Jobs$/ }).first().click()
  await page
    .getByRole('button', { name: /Replace galley hose, 3 m/ })
    .first()
    .click()
  const panel = page.getByRole('region', { name: 'Replace galley hose, 3 m' })
  await expect(panel.getByLabel('Step 1')).toHaveValue('Replace galley hose, 3 m')
  await expect(panel.getByLabel('Operation of Replace galley hose, 3 m')).toHaveValue('plumb')
  await panel.press('Escape')
  await page
    .getByRole('button', { name: /New seacock, heads/ })
    .first()
    .click()
  const cock = page.getByRole('region', { name: 'New seacock, heads' })
  await expect(cock.getByLabel('Where')).toHaveValue(/.+/)
  await cock.getByRole('button', { name: 'More of New seacock, heads' }).click()
  await expect(cock.getByLabel('Hull')).toContainText('By place and work: ashore')
})
