import { expect } from '@playwright/test'
import type { Page } from '@playwright/test'

/** The five questions answered for a boat ashore since 1 April 2027, two people at weekends. */
export async function firstRun(page: Page, url: string): Promise<void> {
  await page.goto(url)
  await expect(page.getByRole('heading', { name: /Five questions/ })).toBeVisible()
  await page.getByLabel('Name of the boat').fill('Grey Plover')
  await page.getByLabel('Length overall').fill('40 ft')
  await page.getByLabel('Your name').fill('Ida')
  await page.getByLabel('Somebody with you').fill('Tam')
  await page.getByLabel('Minutes to the boat').fill('30')
  await page.getByLabel('From', { exact: true }).fill('07:30')
  await page.getByLabel('Lift-out', { exact: true }).fill('1 April 2027')
  await page.getByLabel('Launch aimed', { exact: true }).fill('21 May 2027')
  await page.getByLabel(/^Time zone/).fill('dublin')
  await page.getByRole('option', { name: 'Europe/Dublin' }).click()
  // Ten days of two people: nine hours and a half, less an hour each on the way and to set up, half an hour at noon.
  await expect(page.getByText('10 days and 140 h on her')).toBeVisible()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText('An empty list is where everybody starts')).toBeVisible()
}
