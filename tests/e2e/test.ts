/**
 * The tests of one worker share a browser that knows the program's code already, as an owner's does after the first
 * evening; what the program keeps in it is wiped between them. What is about a browser without the code says
 * `test.use({ knowsTheCode: false })`.
 */
import { expect, test as base } from '@playwright/test'
import type { Browser, BrowserContext, BrowserContextOptions, Locator } from '@playwright/test'
import { workerAddress } from './server'

export { expect }
export type { BrowserContext, Locator, Page } from '@playwright/test'

/** Everything the program could have kept: its code stays. */
const kept = 'local_storage,indexeddb,cookies,cache_storage,file_systems'

async function wipe(context: BrowserContext): Promise<void> {
  await context.unrouteAll({ behavior: 'ignoreErrors' })
  const pages = context.pages()
  const blank = await context.newPage()
  await Promise.all(pages.map((page) => page.close()))
  const origin = workerAddress()
  if (origin !== null) {
    const devtools = await context.newCDPSession(blank)
    await devtools.send('Storage.clearDataForOrigin', { origin, storageTypes: kept })
  }
  await blank.close()
}

type HomeFor = (shape: string) => Promise<BrowserContext>

/** As an owner on a battery has it: likely dates are worked out when they are asked for, and not after every change. */
async function savingBattery(context: BrowserContext): Promise<BrowserContext> {
  await context.addInitScript(() => {
    // Pages without an address have no storage.
    if (location.protocol === 'http:') localStorage.setItem('inch-ahead.runsByItself', 'false')
  })
  return context
}

/** The page's focus is there. Whether the window itself is in front is no matter of the page. */
export const hasFocus = (one: Locator): Promise<void> =>
  expect.poll(() => one.evaluate((element) => element === document.activeElement)).toBe(true)

/** A browser of its own, as of another person or a phone. */
export const anotherBrowser = async (
  browser: Browser,
  options: BrowserContextOptions = {},
): Promise<BrowserContext> => savingBattery(await browser.newContext(options))

export const test = base.extend<
  { knowsTheCode: boolean; runsByItself: boolean },
  { homeFor: HomeFor }
>({
  knowsTheCode: [true, { option: true }],
  runsByItself: [false, { option: true }],
  homeFor: [
    async ({ browser }, use) => {
      const homes = new Map<string, BrowserContext>()
      await use(async (shape) => {
        const known = homes.get(shape)
        if (known) return known
        const context = await browser.newContext()
        homes.set(shape, context)
        return shape.startsWith('saves') ? savingBattery(context) : context
      })
      for (const context of homes.values()) await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, homeFor, knowsTheCode, runsByItself, viewport, hasTouch }, use) => {
    if (!knowsTheCode) {
      const stranger = await browser.newContext()
      await use(stranger)
      return stranger.close()
    }
    const context = await homeFor(
      `${runsByItself ? 'runs' : 'saves'} ${JSON.stringify([viewport, hasTouch])}`,
    )
    await use(context)
    await wipe(context)
  },
  page: async ({ context }, use) => {
    const page = await context.newPage()
    // Those of the test before may still be closing, and would take the focus with them.
    await page.bringToFront()
    await use(page)
  },
})
