/**
 * The demo is seeded once for all files, and opened once, so that its plan and its forecast are there: each server of theirs begins
 * on a copy.
 */
import { chromium } from '@playwright/test'
import type { FullConfig } from '@playwright/test'
import { rmSync } from 'node:fs'
import { TestServer } from './server'

interface Stored {
  readonly rows: { readonly odds: readonly unknown[] }
}

export default async function demoOnce(config: FullConfig): Promise<() => void> {
  const server = new TestServer()
  await server.start({ INCH_AHEAD_SEED: 'demo' })
  const browser = await chromium.launch(config.projects[0]?.use.launchOptions)
  try {
    const page = await browser.newPage()
    const refitId = await server.refitId()
    await page.goto(`${server.url}/r/${refitId}/settings`)
    for (let tries = 0; ; tries++) {
      const answer = await fetch(`${server.url}/api/refits/${refitId}`)
      if (((await answer.json()) as Stored).rows.odds.length > 0) break
      if (tries > 240) throw new Error('the demo was not planned and forecast')
      await page.waitForTimeout(500)
    }
  } finally {
    await browser.close()
    await server.stop()
  }
  process.env.DEMO_FOLDER = server.folder
  return () => rmSync(server.folder, { recursive: true, force: true })
}
