/** Axe on every view and panel, and each view on a narrow phone. Colours are judged as a palette (tests/look), in both lights; here once more on the views that mix most of them. */
import { expect, goTo, test } from './test'
import type { Page } from './test'
import axe from 'axe-core'
import { SharedDemo } from './sharedDemo'

const server = new SharedDemo()
test.beforeAll(({ sharedServer }) => server.begin(sharedServer))

/** Faults that the rules find on the page as it stands. Its own window runs them: a second one takes four times as long. */
async function clean(page: Page, what: string, colours = false): Promise<void> {
  const isThere = await page.evaluate(() => 'axe' in window)
  if (!isThere) await page.evaluate(axe.source)
  const said = await page.evaluate(async (isColoured) => {
    const { axe: rules } = window as unknown as { readonly axe: typeof axe }
    const { violations } = await rules.run(document, {
      resultTypes: ['violations'],
      selectors: false,
      rules: {
        'color-contrast': { enabled: false },
        'link-in-text-block': { enabled: isColoured },
        'color-contrast-enhanced': { enabled: isColoured },
      },
    })
    return violations.flatMap((one) =>
      one.nodes.map((node) => `${one.id} ${node.html.slice(0, 160)} ${node.any[0]?.message ?? ''}`),
    )
  }, colours)
  expect(said, what).toEqual([])
}

/** Nothing has to be pushed aside to be seen. */
const fits = (page: Page, what: string): Promise<void> =>
  expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - innerWidth), {
      message: `${what} is wider than the page`,
    })
    .toBe(0)

/** Views on which nearly every pair of colours stands. */
const coloured = ['launch', 'today', 'sequence', 'walk/core/panel-port']
const views = [
  'launch',
  'launch/day?day=2027-06-05',
  'launch/watch',
  'launch/card',
  'launch/inputs',
  'today',
  'step/bitt-3',
  'jobs',
  'jobs?job=foredeck',
  'walk',
  'walk?place=zone-side-deck-starboard',
  'walk?finding=found-12',
  'walk?about=zone-bilge',
  'walk/round',
  'walk/core/panel-port',
  'walk/core/new',
  'walk/members',
  'walk/members/sheet-sole',
  'walk/leaks',
  'walk/limits',
  'walk/summary',
  'sequence',
  'stores',
  'stores?show=run',
  'stores?show=kits',
  'stores?show=orders',
  'stores?show=shelf',
  'maker/sheet-3',
  'trade/asked-rig-1',
  'prices',
  'bins',
  'parts',
  'money',
  'money?show=hours',
  'money?show=spends',
  'report?of=2027-03',
  'log',
  'bench',
  'bench/bolt-in-a-stack?job=windlass-bolts',
  'bench/loads-to-bank?job=panel',
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
  'no/such/page',
]
/** Views that stand otherwise where there is room. */
const broad = [
  'launch',
  'launch/day?day=2027-06-05',
  'today',
  'jobs?job=foredeck',
  'walk?finding=found-12',
  'walk/core/panel-port',
  'sequence',
  'stores',
  'log',
]
const share = 14
for (const [what, list, viewport] of [
  ['on a small phone', views, { width: 320, height: 640 }],
  ['where there is room', broad, { width: 1280, height: 800 }],
] as const)
  test.describe(what, () => {
    test.use({ viewport })
    // In parts: each view is looked at by the rules one after the other.
    for (let from = 0; from < list.length; from += share)
      test(`views from ${list[from] ?? ''} on`, async ({ page }) => {
        test.slow()
        const refitId = await server.refitId()
        await goTo(page, `${server.url}/r/${refitId}/settings`)
        await expect(page.getByText(/launch planned \d/)).toBeVisible()
        for (const view of list.slice(from, from + share)) {
          await goTo(page, `${server.url}/r/${refitId}/${view}`)
          await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible()
          await expect(page.getByText(/^(Planning|Ranking)/)).toHaveCount(0)
          await clean(page, view, list === broad && coloured.includes(view))
          await fits(page, view)
        }
      })
  })

test.describe('with a browser of its own', () => {
  test.use({ staysOpen: false })
  test('low light is kept, and reaches the charts', async ({ page }) => {
    await page.addInitScript(() => localStorage.setItem('inch-ahead.light', 'low'))
    await page.goto(`${server.url}/r/${await server.refitId()}/today`)
    await expect(page.getByText(/launch planned \d/)).toBeVisible()
    await expect(page.locator('html')).toHaveAttribute('data-light', 'low')
    await expect(page.getByRole('img', { name: /^Plies: 08:30 to/ })).toBeVisible()
    await clean(page, 'today in low light', true)
  })
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
