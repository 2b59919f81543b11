/**
 * The tests of one worker share a browser that knows the program's code already, as an owner's does after the first
 * evening; what the program keeps in it is wiped between files. What is about a browser without the code says
 * `test.use({ knowsTheCode: false })`. The tests of one file go on in one open page, as an owner does; what is about
 * opening and closing it says `test.use({ staysOpen: false })`.
 */
import { expect, test as base } from '@playwright/test'
import type {
  Browser,
  BrowserContext,
  BrowserContextOptions,
  Locator,
  Page,
} from '@playwright/test'
import { workerAddress } from './server'
import { SharedServer } from './sharedDemo'

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

/** The page the tests of one file go on in, and the browser it is in. */
const standing: {
  file: string
  context: BrowserContext | null
  page: Page | null
  runsByItself: boolean
} = { file: '', context: null, page: null, runsByItself: false }

/**
 * Goes to a place of the program: where a page of the same refit stands open, as by a link of its own, else by its
 * address. What stands there already is opened anew.
 */
export async function goTo(page: Page, address: string): Promise<void> {
  const from = new URL(page.url())
  const to = new URL(address)
  const refitOf = (one: URL) =>
    /^\/r\/[^/]+\//.exec(one.origin === to.origin ? one.pathname : '')?.[0]
  const isThere = from.pathname + from.search === to.pathname + to.search
  if (refitOf(from) === undefined || refitOf(from) !== refitOf(to) || isThere) {
    await page.goto(address)
    return
  }
  // Asked of the page until it is so: where a way is never gone to its end, what stands there then is seen.
  const place = to.pathname + to.search
  await page.evaluate((address) => {
    const own = window as unknown as Going
    own.cameTo = null
    void own
      .useNuxtApp()
      .$router.push(address)
      .then(() => (own.cameTo = address))
  }, place)
  await page.waitForFunction((address) => (window as unknown as Going).cameTo === address, place, {
    timeout: 45_000,
  })
}

/** The page's own names for going somewhere, and where it came to. */
interface Going {
  readonly useNuxtApp: () => { $router: { push: (to: string) => Promise<unknown> } }
  cameTo: string | null
}

/** As an owner on a battery has it: likely dates are worked out when they are asked for, and not after every change. */
async function savingBattery(context: BrowserContext): Promise<BrowserContext> {
  await context.addInitScript(() => {
    // Pages without an address have no storage.
    const setting = 'inch-ahead.runsByItself'
    if (location.protocol === 'http:' && localStorage.getItem(setting) === null)
      localStorage.setItem(setting, 'false')
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
  { knowsTheCode: boolean; runsByItself: boolean; staysOpen: boolean },
  { homeFor: HomeFor; sharedServer: SharedServer }
>({
  knowsTheCode: [true, { option: true }],
  staysOpen: [true, { option: true }],
  runsByItself: [false, { option: true }],
  sharedServer: [
    // oxlint-disable-next-line no-empty-pattern -- what a fixture needs is read off its pattern: nothing
    async ({}, use) => {
      const shared = new SharedServer()
      await use(shared)
      await shared.end()
    },
    { scope: 'worker' },
  ],
  homeFor: [
    async ({ browser }, use) => {
      const homes = new Map<string, BrowserContext>()
      await use(async (shape) => {
        const known = homes.get(shape)
        if (known) return known
        const context = await savingBattery(await browser.newContext())
        homes.set(shape, context)
        return context
      })
      for (const context of homes.values()) await context.close()
    },
    { scope: 'worker' },
  ],
  context: async (
    { browser, homeFor, knowsTheCode, runsByItself, staysOpen, viewport, hasTouch, isMobile },
    use,
    { file },
  ) => {
    const context = knowsTheCode
      ? await homeFor(JSON.stringify([viewport, hasTouch, isMobile]))
      : await browser.newContext()
    const goesOn =
      standing.context === context &&
      standing.file === file &&
      standing.runsByItself === runsByItself
    if (standing.context && !goesOn) {
      await wipe(standing.context)
      Object.assign(standing, { context: null, page: null })
    }
    await use(context)
    if (!knowsTheCode) await context.close()
    else if (staysOpen) Object.assign(standing, { file, context, runsByItself })
    else {
      await wipe(context)
      Object.assign(standing, { context: null, page: null })
    }
  },
  page: async ({ context, knowsTheCode, runsByItself, staysOpen, viewport }, use) => {
    const page = standing.page ?? (await context.newPage())
    if (runsByItself)
      await page.addInitScript(() => {
        if (location.protocol === 'http:') localStorage.setItem('inch-ahead.runsByItself', 'true')
      })
    // The test before may have gone on on a phone.
    if (standing.page && viewport) await page.setViewportSize(viewport)
    // Those of the test before may still be closing, and would take the focus with them.
    await page.bringToFront()
    await use(page)
    if (knowsTheCode && staysOpen) standing.page = page
  },
})
