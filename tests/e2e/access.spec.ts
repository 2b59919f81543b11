/** Axe with the strict contrast rule on every view and panel, by day and in low light. */
import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import type { Page } from '@playwright/test'
import { TestServer } from './server'

const server = new TestServer()
test.beforeAll(() => server.start({ INCH_AHEAD_SEED: 'demo' }))
test.afterAll(() => server.end())

async function clean(page: Page, what: string, contrastOnly = false): Promise<void> {
  const axe = new AxeBuilder({ page })
  if (contrastOnly) axe.withRules(['color-contrast-enhanced'])
  else axe.options({ rules: { 'color-contrast-enhanced': { enabled: true } } })
  const { violations } = await axe.analyze()
  const said = violations.flatMap((one) =>
    one.nodes.map(
      (node) => `${what}: ${one.id} ${node.html.slice(0, 160)} ${node.any[0]?.message ?? ''}`,
    ),
  )
  expect(said).toEqual([])
}

const views = [
  'today',
  'jobs',
  'jobs?job=foredeck',
  'jobs?show=found',
  'sequence',
  'log',
  'log/sheet-side-deck',
  'week',
  'hours',
  'settings',
  'import',
  'recipes',
  'recipes/posts-and-rail',
  'triage',
  'starter',
  'bags?bag=b17',
  'bags/labels',
  'work-order/shore-inlet',
  'history',
]
for (const light of ['day', 'low'] as const)
  test(`views in ${light} light`, async ({ page }) => {
    test.slow()
    await page.addInitScript((said) => localStorage.setItem('inch-ahead.light', said), light)
    const refitId = await server.refitId()
    for (const view of views) {
      await page.goto(`${server.url}/r/${refitId}/${view}`)
      await expect(page.getByText(/launch planned \d/)).toBeVisible()
      await expect(page.getByText(/^(Planning|Ranking)/)).toHaveCount(0)
      // Low light changes colours only.
      await clean(page, view, light === 'low')
    }
  })

test('panels, first run and files', async ({ page }) => {
  const refitId = await server.refitId()
  await page.goto(`${server.url}/r/${refitId}/today`)
  await expect(page.getByText(/launch planned \d/)).toBeVisible()
  for (const [key, title] of [
    ['n', 'Found something'],
    ['h', 'Log hours'],
    ['k', 'Start a clock'],
    ['/', 'Find anything'],
    ['?', 'Keys'],
  ] as const) {
    await page.locator('body').press(key)
    await expect(page.getByRole('dialog', { name: title })).toBeVisible()
    await clean(page, title)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  for (const path of ['/start', '/bring', '/?all']) {
    await page.goto(server.url + path)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await clean(page, path)
  }
})
