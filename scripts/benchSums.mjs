/** How soon the bench and one of its sums stand on a machine four times slower, from the view before. */
import { onDemo } from './demoServer.mjs'

const port = 4197
const slower = 4
const times = 5

const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]

/** Milliseconds in the page from the press until each wanted thing is painted: a selector and the words it begins with. */
async function timed(page, press, wanted) {
  await page.evaluate((wanted) => {
    window.took = wanted.map(() => 0)
    const isThere = ({ selector, words = '' }) =>
      [...document.querySelectorAll(selector)].some((one) =>
        one.textContent.trim().startsWith(words),
      )
    const began = (event) => {
      const look = () =>
        requestAnimationFrame(() => {
          const came = wanted.flatMap((one, at) => (!window.took[at] && isThere(one) ? [at] : []))
          setTimeout(() => {
            for (const at of came) window.took[at] = Math.round(performance.now() - event.timeStamp)
            if (window.took.includes(0)) look()
          })
        })
      look()
    }
    addEventListener('click', began, { capture: true, once: true })
  }, wanted)
  await press()
  const took = await page.waitForFunction(() => !window.took.includes(0) && window.took)
  return took.jsonValue()
}

const planned = async (page, url, id) => {
  await page.goto(`${url}/r/${id}/today`)
  await page
    .getByText(/launch planned \d/)
    .first()
    .waitFor()
}

/** Plan and forecast are made once and kept, so that no worker has the machine while the views are timed. */
async function forecast(browser, url, id) {
  const page = await browser.newPage()
  await planned(page, url, id)
  const rows = async () => (await (await fetch(`${url}/api/refits/${id}`)).json()).rows
  for (let tries = 0; (await rows()).odds.length === 0; tries++) {
    if (tries > 120) throw new Error('no forecast was made in two minutes')
    await new Promise((wait) => setTimeout(wait, 1000))
  }
  await page.close()
}

/** The way in for the first time and again, and a sum. */
export const benchSums = () =>
  onDemo(port, async ({ browser, url, id }) => {
    await forecast(browser, url, id)
    const tries = []
    for (let n = 0; n < times; n++) {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
      const page = await context.newPage()
      await planned(page, url, id)
      await page.waitForTimeout(3000)
      const client = await context.newCDPSession(page)
      await client.send('Emulation.setCPUThrottlingRate', { rate: slower })
      const nav = page.getByRole('link', { name: /Bench$/ }).first()
      const view = [{ selector: 'ul[aria-label="Wanted next"]' }, { selector: '#tool-roll a' }]
      const [first, whole] = await timed(page, () => nav.click(), view)
      const mix = page.getByRole('link', { name: /^Mix by weight/ }).last()
      const heading = { selector: 'h1', words: 'Mix by weight:' }
      const [sum] = await timed(page, () => mix.click(), [heading])
      const [, again] = await timed(page, () => nav.click(), view)
      tries.push({ first, 'first, with every tool': whole, again, sum })
      await context.close()
    }
    return Object.fromEntries(
      Object.keys(tries[0]).map((key) => [
        `${key}, ms at CPU ${slower}× slower`,
        median(tries.map((one) => one[key])),
      ]),
    )
  })
