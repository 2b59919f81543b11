/**
 * The tests of one worker share a browser that knows the program's code already, as an owner's does after the first
 * evening; what the program keeps in it is wiped between them. A file that is about a browser without the code takes
 * `test` from the library instead.
 */
import { test as base } from '@playwright/test'
import type { BrowserContext } from '@playwright/test'
import { workerAddress } from './server'

export { expect } from '@playwright/test'
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

export const test = base.extend<object, { homeFor: HomeFor }>({
  homeFor: [
    async ({ browser }, use) => {
      const homes = new Map<string, BrowserContext>()
      await use(async (shape) => {
        const context = homes.get(shape) ?? (await browser.newContext())
        homes.set(shape, context)
        return context
      })
      for (const context of homes.values()) await context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ homeFor, viewport, hasTouch }, use) => {
    const context = await homeFor(JSON.stringify([viewport, hasTouch]))
    await use(context)
    await wipe(context)
  },
})
