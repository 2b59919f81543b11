/** Walk with a thumb: found in six taps, mapped, joined, counted, and printed. */
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, goTo, test } from '../test'
import type { Page } from '../test'
import sharp from 'sharp'
import { TestServer } from '../server'

const server = new TestServer()
let base = ''
test.beforeAll(async () => {
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  base = `${server.url}/r/${await server.refitId()}`
})
test.afterAll(() => server.end())

const photo = async (background: string) => ({
  name: 'photo.jpg',
  mimeType: 'image/jpeg',
  buffer: await sharp({ create: { width: 400, height: 300, channels: 3, background } })
    .jpeg()
    .toBuffer(),
})
const ready = (page: Page) => expect(page.getByText(/launch planned \d/)).toBeVisible()

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true })

  test('three things found, six taps each, with their pictures', async ({ page }) => {
    await goTo(page, `${base}/walk`)
    await ready(page)
    const before = Number(
      (await page.getByRole('heading', { level: 1 }).innerText()).match(/of (\d+)/)?.[1],
    )
    // The place is chosen once and kept.
    await page.getByRole('button', { name: 'Found', exact: true }).tap()
    await page.getByLabel('Where, same as last').selectOption('Galley')
    await page.getByRole('button', { name: 'Close', exact: true }).first().tap()
    for (const [word, bad, when] of [
      ['Hose perished', 'fails', 'Before launch'],
      ['Wet', 'wears', 'Now'],
      ['Soft wood', 'danger', 'Before launch'],
    ] as const) {
      await page.getByRole('button', { name: 'Found', exact: true }).tap() // 1
      if (word === 'Hose perished')
        await page.getByLabel('Where, same as last').selectOption('Galley')
      await expect(page.getByLabel('Where, same as last')).toHaveValue('zone-galley')
      await page.getByLabel('Picture', { exact: true }).setInputFiles(await photo('#7a5')) // 2
      await page.getByRole('button', { name: word, exact: true }).tap() // 3
      await page.getByRole('radio', { name: bad }).check({ force: true }) // 4
      const plate = page.locator('label').filter({ has: page.getByText(when, { exact: true }) })
      await expect(plate).not.toContainText('Working it out')
      await plate.tap() // 5
      await page.getByRole('button', { name: 'Keep it' }).tap() // 6
      await expect(page.getByText('Kept, and a job in the plan.').first()).toBeVisible()
      await expect(page.getByRole('dialog')).toHaveCount(0)
    }
    await expect(page.getByRole('heading', { level: 1 })).toContainText(
      `of ${before + 3} stand open`,
    )
    await goTo(page, `${base}/walk?place=zone-galley`)
    await page.getByRole('button', { name: /Soft wood.*job in the plan/ }).tap()
    const panel = page.getByRole('region', { name: 'Soft wood' })
    await expect(panel.getByRole('img', { name: 'Soft wood, as found' })).toBeVisible()
    await panel.getByRole('link', { name: 'Soft wood' }).tap()
    await expect(page.getByLabel('Finished before')).toHaveValue('launch-two')
  })

  test('a panel is measured, painted, and its way becomes a job with its materials', async ({
    page,
  }) => {
    await goTo(page, `${base}/walk/core/new`)
    await ready(page)
    await page.getByRole('button', { name: 'Begin its map' }).tap()
    await expect(page.getByRole('alert')).toContainText('A panel needs a size')
    await page.getByLabel('Panel', { exact: true }).fill('Coachroof, forward')
    await page.getByLabel('Where', { exact: true }).selectOption('Coachroof')
    await page.getByLabel(/^Length along the datum/).fill('1.2')
    await page.getByLabel('Widths, one after the other').fill('0.6 0.6')
    await page.getByLabel(/^Core/).fill('16')
    await expect(page.getByText('0.72 m² in all.')).toBeVisible()
    await page.getByRole('button', { name: 'Begin its map' }).tap()
    await expect(
      page.getByRole('heading', { name: 'Coachroof, forward: nothing read yet' }),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Meter', exact: true }).tap()
    await page.getByLabel('Meter reads').fill('62')
    await page.getByLabel('Meter reads').press('Enter')
    await expect(page.getByRole('alert').first()).toContainText(
      'A reading of 62 is over this meter’s scale, 0 to 35.',
    )
    await page.getByLabel('Meter reads').fill('24')
    await page.getByLabel('Meter reads').press('Enter')
    // Two rows of four cells: 8 × 0.0144 = 0.12 m².
    for (const row of [2, 3])
      for (const column of [4, 5, 6, 7])
        await page
          .getByRole('gridcell', { name: new RegExp(`^column ${column}, row ${row}:`) })
          .tap()
    await expect(
      page.getByRole('heading', { name: 'Coachroof, forward wet: 0.12 of 0.72 m²' }),
    ).toBeVisible()
    const best = page.getByRole('listitem').filter({ hasText: '1 Re-core a deck panel from above' })
    await expect(best).toContainText('For a deck that carries load, over 0.1 m².')
    await expect(best).toContainText(/Before launch: .*(No gate moves|later|earlier)/)
    await best.getByRole('button', { name: 'Make the job: 0.12 m², before launch' }).tap()
    const panel = page.getByRole('region', { name: /Re-core a deck panel from above: Coachroof/ })
    await expect(panel.getByLabel('Finished before')).toHaveValue('launch-two')
    await expect(panel).toContainText('panel 0.12 m², edge 1.44 m, fittings on it 0, core 16 mm')
    // What it buys goes out with the job: 0.1152 m² rounded up, and a tenth for cutting.
    const file = await page.request.get(base.replace('/r/', '/api/refits/'))
    const { rows } = (await file.json()) as {
      rows: { part: { name: string; jobId: string; quantity: number; unit: string }[] }
    }
    const jobId = new URL(page.url()).searchParams.get('job')
    const core = rows.part.find((one) => one.jobId === jobId && one.name === 'Core 16 mm')
    expect(core).toMatchObject({ quantity: 0.132, unit: 'm²' })
  })

  test('three findings of one cause become one job', async ({ page }) => {
    await goTo(page, `${base}/walk?place=zone-side-deck-starboard`)
    await ready(page)
    await page.getByRole('button', { name: 'Make the other 3 one job' }).tap()
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByText('3 × 2 h 30 = 7 h 30')).toBeVisible()
    await expect(dialog.getByRole('status')).toContainText(/No gate moves|later|earlier/)
    await dialog.getByRole('button', { name: 'Make them one job, 3' }).tap()
    const panel = page.getByRole('region', { name: 'Rail bases leak' })
    await expect(panel.getByLabel('Step 1', { exact: true })).toHaveValue('Put right, 3 of them')
    await expect(panel.getByLabel('Step 2', { exact: true })).toHaveValue('Hose test, base by base')
    await goTo(page, `${base}/walk?place=zone-chart-table`)
    await expect(
      page.getByRole('button', { name: /Headlining stained.*job in the plan/ }),
    ).toBeVisible()
    // Hosed, and it still drips: the job has a step more before its test.
    await page.getByRole('button', { name: 'Its test failed: Rail bases leak' }).tap()
    await page.getByRole('button', { name: /Headlining stained/ }).tap()
    await page
      .getByRole('region', { name: /Headlining/ })
      .getByRole('link', { name: 'Rail bases leak' })
      .tap()
    await expect(panel.getByLabel('Step 2', { exact: true })).toHaveValue(
      'Once more: Rail bases leak',
    )
  })
})

test('a count sheet counts on, and says what to expect', async ({ page }) => {
  await goTo(page, `${base}/walk/members/sheet-sole`)
  await ready(page)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    '6 of 14 bearers seen are bad: expect 9 of 22. Mend one by one',
  )
  const row = page.getByRole('row', { name: /^Bearers/i })
  await expect(row).toHaveText(/22\s*14\s*6\s*8\s*3\.5.*7 to 12 in all/)
  // Two more looked at, both soft: 8 of 16, and the six unseen are as likely bad as not.
  for (const side of ['starboard', 'port']) {
    const member = page.getByRole('button', { name: `bearer 8, ${side}: not seen` })
    await member.click()
    await page.getByRole('checkbox', { name: 'Soft' }).check()
    await expect(page.getByRole('button', { name: `bearer 8, ${side}: soft` })).toBeVisible()
  }
  await expect(row).toHaveText(/22\s*16\s*8\s*6\s*3\.0/)
  await page.getByRole('link', { name: 'Make the job: 11 bearers' }).click()
  await expect(page.getByLabel(/^Frames/)).toHaveValue('11')
})

test('the map and its list say the same, by pointer and by key', async ({ page }) => {
  await goTo(page, `${base}/walk`)
  await ready(page)
  const place = page
    .getByRole('group', { name: 'The boat, by place' })
    .getByRole('button', { name: /^Heads:/ })
  await expect(place).toHaveAccessibleName('Heads: danger, job in the plan; fails, mended')
  await place.click()
  await expect(place).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: /Heads sea valve is pink inside/ }).click()
  await expect(page.getByRole('region', { name: 'Heads sea valve is pink inside' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('u')
  await expect(page).toHaveURL(/place=zone-mast-and-rigging/)
  await page.keyboard.press('ArrowDown')
  await expect(page).not.toHaveURL(/place=zone-mast-and-rigging/)

  // Pressed twice on the deck: found there, with its point.
  const deck = page
    .getByRole('group', { name: 'The boat, by place' })
    .getByRole('button', { name: /^Cockpit:/ })
  await deck.dblclick()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByText('At the point you pressed on the boat.')).toBeVisible()
  await expect(dialog.getByLabel('Where, same as last')).toHaveValue('zone-cockpit')
  await page.keyboard.press('Escape')

  // An outline by its corners, by keyboard; undone in one press.
  await goTo(page, `${base}/walk?about=zone-cockpit`)
  await page.getByRole('button', { name: 'Draw its outline' }).click()
  await page.getByRole('button', { name: /^Corner 1 of Cockpit/ }).press('ArrowLeft')
  await expect(page.getByRole('button', { name: 'Let it be drawn by itself' })).toBeVisible()
  // A way in that leads through itself.
  await goTo(page, `${base}/walk?about=zone-bilge`)
  await page.getByLabel('Leads through').selectOption('Lining out')
  await goTo(page, `${base}/walk?about=zone-foredeck-port`)
  await page.getByLabel('Leads through').selectOption('Sole up')
  await expect(page.getByText('A way in cannot lead through itself.')).toBeVisible()
})

test('readings and pictures that cannot be are refused where they stand', async ({ page }) => {
  await goTo(page, `${base}/walk?finding=found-12`)
  await ready(page)
  const panel = page.getByRole('region', { name: 'Stanchion 4 base moves' })
  await panel.getByText('Add a reading').click()
  await panel.getByLabel('Kind of reading').selectOption('Moisture')
  await panel.getByLabel('Reading', { exact: true }).fill('62')
  await panel.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(
    panel.getByText('A reading of 62 is over this meter’s scale, 0 to 35.').first(),
  ).toBeVisible()
  await panel.getByLabel('Reading', { exact: true }).fill('21')
  await panel.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(panel.getByText(/^Moisture 21 of 0 to 35, pin meter/)).toBeVisible()
  for (const [name, bytes, sentence] of [
    ['hose.jpg', '%PDF-1.4 not a picture', /This is a PDF, whatever it is called/],
    ['hose.jpg', '\0\0\0\x18ftypheic\0\0\0\0heicmif1', /This is a HEIC picture/],
  ] as const) {
    await panel
      .getByLabel('Picture', { exact: true })
      .setInputFiles({ name, mimeType: 'image/jpeg', buffer: Buffer.from(bytes, 'latin1') })
    await expect(panel.getByRole('alert')).toContainText(sentence)
  }
  // Nobody answers: the picture is kept here, and goes when the program is back.
  const pictures = panel.getByRole('img', { name: /^Stanchion 4/ })
  const many = await pictures.count()
  await server.kill()
  await panel.getByLabel('Picture', { exact: true }).setInputFiles(await photo('#a33'))
  await expect(
    panel.getByText('One picture is kept here until the program can take it.'),
  ).toBeVisible()
  await server.start()
  await expect(pictures).toHaveCount(many + 1)
  await expect(panel.getByText('kept here until')).toHaveCount(0)
  // A finding that goes leaves its job.
  await goTo(page, `${base}/walk?finding=found-5`)
  await page.getByRole('button', { name: 'Remove the finding' }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).last().click()
  await expect(page.getByRole('region', { name: 'Windlass switch crumbles' })).toHaveCount(0)
})

test('the way round goes on where it stopped, and the summary says what nobody saw', async ({
  page,
}) => {
  await goTo(page, `${base}/walk/round`)
  await ready(page)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Season two: three places to go')
  const stop = page.getByRole('region', { name: 'Mast and rigging' })
  await expect(stop).toContainText('Aloft: two lines and somebody who tails.')
  await stop.getByLabel('Note').fill('Both masts, by binoculars')
  await stop.getByRole('button', { name: 'Looked at, nothing new' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Season two: two places to go')
  await page.getByRole('button', { name: 'Could not get at it' }).click()
  await page.reload()
  await ready(page)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Season two: two places to go')
  await expect(page.getByRole('region', { name: 'Through-hulls' })).toBeVisible()

  await goTo(page, `${base}/walk/summary`)
  await expect(page.getByText('Not looked at: keel; through-hulls.')).toBeVisible()
  const paper = await page.pdf({ preferCSSPageSize: true })
  expect(paper.length).toBeGreaterThan(20_000)
  if (process.env.KEEP_PRINTS) writeFileSync(join(process.env.KEEP_PRINTS, 'walk.pdf'), paper)
})
