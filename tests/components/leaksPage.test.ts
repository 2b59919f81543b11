/** A leak hunt by its page: one hose at a time, what leaks kept once as a finding, and how fast water comes in. */
import { expect, it, vi } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { useTimeStore } from '../../app/stores/time'
import { press, typeIn, words } from './byName'
import { onPage } from './page'
import { sentTo } from './setup'

/** The fake server's clock. */
const now = Date.UTC(2027, 3, 17, 7, 30)

async function hunting() {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] ?? {}, { litresToSole: 90, pumpLMin: 30 })
  add(rows, 'zone', 'nav', { name: 'Chart table', order: 'a' })
  add(rows, 'finding', 'wet', { title: 'Wet locker', zoneId: 'nav', foundAt: now - 864e5 })
  for (const [at, title] of ['Toe rail', 'Base 3', 'Window'].entries())
    add(rows, 'hoseTest', `h${at}`, { title, findingId: 'wet', order: `a${at}` })
  const page = await onPage('walk/leaks', rows, {
    begin: () => {
      useTimeStore().now = now
    },
  })
  return { ...page, title: () => document.querySelector('h1')?.textContent }
}
const buttons = (name: string) =>
  [...document.querySelectorAll('button')].filter((one) => one.textContent?.trim() === name)

it('goes from the lowest up, one hose at a time', async () => {
  const { store, title } = await hunting()
  expect(title()).toBe('Hose next: toe rail')
  buttons('Hose on')[0]?.click()
  await vi.waitFor(() => expect(words()).toContain('hose on, 0:10 left'))
  expect(buttons('Hose on').every((one) => one.disabled)).toBe(true)
  useTimeStore().now = now + 11 * 60_000
  await vi.waitFor(() => expect(words()).toContain('time is up: look below'))
  buttons('Dry')[0]?.click()
  await vi.waitFor(() => expect(title()).toBe('Hose next: base 3'))
  expect(words()).toContain('stayed dry for 10 minutes')
  // Ended after three of its ten minutes it was dry for three; not timed, for none that is known.
  buttons('Hose on')[0]?.click()
  await vi.waitFor(() => expect(words()).toContain('hose on, 0:10 left'))
  useTimeStore().now += 3.5 * 60_000
  buttons('Dry')[0]?.click()
  await vi.waitFor(() => expect(words()).toContain('stayed dry for 3 minutes'))
  buttons('Dry')[0]?.click()
  await vi.waitFor(() => expect(words()).toContain('called dry, the hose was not timed'))
  expect(title()).toBe('Everything called dry, nothing let water in')
  await press('Begin the hunt again')
  await vi.waitFor(() => expect(title()).toBe('Hose next: toe rail'))
  expect(store.rows.hoseTest.map((one) => [one.startedAt, one.minutes])).toEqual([
    [null, 10],
    [null, 10],
    [null, 10],
  ])
})

it('keeps what leaks once, where the wet is, and leads to it afterwards', async () => {
  const { store, title } = await hunting()
  buttons('Leaks')[1]?.click()
  await vi.waitFor(() => expect(title()).toBe('It comes in at base 3'))
  await press('Keep as a finding')
  await vi.waitFor(() => expect(store.rows.finding).toHaveLength(2))
  const found = store.rows.finding.find((one) => one.id !== 'wet')
  expect(found).toMatchObject({ title: 'Base 3 lets water in', zoneId: 'nav', foundAt: now })
  expect(store.rows.evidence).toMatchObject([{ findingId: found?.id, kind: 'leak' }])
  expect(sentTo.at(-1)).toBe(`/r/r/walk?finding=${found?.id}`)
  // It is there: a second one of the same leak is not made.
  expect(buttons('Keep as a finding')).toHaveLength(0)
  const link = [...document.querySelectorAll('a')].find((one) =>
    one.textContent?.startsWith('Its finding'),
  )
  expect(link?.getAttribute('href')).toBe(`/r/r/walk?finding=${found?.id}`)
})

it('says how fast water comes in, from where it cannot, and how it came about', async () => {
  const { store } = await hunting()
  await typeIn('Litres, L', '21')
  await typeIn('Taste', 'salt')
  await press('Keep the reading')
  await vi.waitFor(() => expect(store.rows.waterIn).toHaveLength(1))
  // 21 L in the 7 days that stand there; 90 × 7 ÷ 21.
  expect(words()).toContain('3.0 L a day')
  expect(words()).toContain('30 days to the sole with nobody there.')
  await press('3.0 L a day: how')
  expect(words()).toContain('90 L × 7 ÷ 21 L = 30.0 days')
})

it('says what a hole lets in: 0.62 × 11.34 cm² × 3.13 m/s, less the pumps', async () => {
  await hunting()
  // π ÷ 4 × 38² mm² at √(2 × 9.81 × 0.5): 132 L a minute; 90 ÷ (132 − 30) is under a minute.
  expect(words()).toContain('132 L a minute.')
  expect(words()).toContain('The sole is wet in less than a minute, pumps 30 L a minute taken off.')
})
