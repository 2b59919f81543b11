/** How soon the bench and one of its sums stand on a machine four times slower, from the view before. */
import { onDemo } from './demoServer.mjs'

const port = 4197
const slower = 4
const times = 3

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

async function timed(press, until) {
  const began = Date.now()
  await press()
  await until()
  return Date.now() - began
}

/** The way in for the first time and again, and a sum. */
export const benchSums = () =>
  onDemo(port, async ({ browser, url, id }) => {
    const tries = []
    for (let n = 0; n < times; n++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
      const page = await context.newPage()
      await page.goto(`${url}/r/${id}/today`)
      await page
        .getByText(/launch planned \d/)
        .first()
        .waitFor()
      await page.waitForTimeout(3000)
      const client = await context.newCDPSession(page)
      await client.send('Emulation.setCPUThrottlingRate', { rate: slower })
      const nav = page.getByRole('link', { name: /Bench$/ }).first()
      const wanted = () => page.getByRole('list', { name: 'Wanted next' }).waitFor()
      const first = await timed(() => nav.click(), wanted)
      const sum = await timed(
        () =>
          page
            .getByRole('link', { name: /^Mix by weight/ })
            .last()
            .click(),
        () => page.getByRole('heading', { level: 1, name: /^Mix by weight:/ }).waitFor(),
      )
      const again = await timed(() => nav.click(), wanted)
      tries.push({ first, again, sum })
      await context.close()
    }
    return Object.fromEntries(
      ['first', 'again', 'sum'].map((key) => [
        `${key}, ms at CPU ${slower}× slower`,
        median(tries.map((one) => one[key])),
      ]),
    )
  })
