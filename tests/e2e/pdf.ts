import { execFileSync } from 'node:child_process'
import { expect } from './test'
import type { Page } from './test'

/** What is on the pages that a button saves, read by another program than the one that made them. */
export async function printed(page: Page, button: string, fileName: string): Promise<string[]> {
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: button, exact: true }).click()
  const file = await coming
  expect(file.suggestedFilename()).toBe(fileName)
  const text = execFileSync('pdftotext', ['-layout', await file.path(), '-'], { encoding: 'utf8' })
  return text.split('\f').slice(0, -1)
}
