/** Launch on its page, with the demo's boat: a sling is moved by keys, an anode is weighed; and a meter is begun on the Log. */
import { flushPromises } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { knownDemo } from '../../demo/known'
import { useTimeStore } from '../../app/stores/time'
import { press, typeIn, words } from './byName'
import { onPage } from './page'

/** Saturday 17 April 2027. */
const begin = () => (useTimeStore().now = Date.UTC(2027, 3, 17, 7, 30))
const named = (label: string) =>
  document.querySelector<HTMLElement>(`[aria-label="${label}"]`) as HTMLElement

it('has a sling moved by keys, five centimetres or half a metre, and never past the middle of her weight', async () => {
  const { server } = await onPage('launch', knownDemo(), { begin })
  const at = () => Number(named('Fore sling from the stem').getAttribute('aria-valuenow'))
  const aft = Number(named('Aft sling from the stem').getAttribute('aria-valuenow'))
  const by = async (key: string) => {
    named('Fore sling from the stem').dispatchEvent(
      new KeyboardEvent('keydown', { key, bubbles: true }),
    )
    await flushPromises()
  }
  const before = at()
  await by('ArrowLeft')
  await vi.waitFor(() => expect(at()).toBeCloseTo(before - 0.05, 5))
  await vi.waitFor(() => expect(server.changes).toHaveLength(1))
  // Kept, not only drawn, and as one number.
  const kept = server.changes.at(-1)?.items[0]
  expect(kept && 'patch' in kept ? Object.values(kept.patch) : []).toEqual([
    Number((before - 0.05).toFixed(2)),
  ])
  await by('PageDown')
  await vi.waitFor(() => expect(at()).toBeCloseTo(before - 0.55, 5))
  for (let times = 0; times < 12; times++) await by('PageUp')
  expect(at()).toBeGreaterThan(before)
  expect(at()).toBeLessThan(aft)
  expect(words()).not.toContain('is not between the slings')
})

it('has an anode weighed, and judged beside the others', async () => {
  const { server } = await onPage('launch', knownDemo(), { begin })
  const before = server.rows.anodeWeighing.length
  // 50 of 900 g in a summer, where the others lost a third.
  expect(words()).toContain('Goes much slower than the others')
  named('Weigh Skeg').click()
  await flushPromises()
  await typeIn('Weighs, clean and dry, g', '610')
  await typeIn('On', '4 Oct 2026')
  await press('Keep it')
  await vi.waitFor(() => expect(server.rows.anodeWeighing).toHaveLength(before + 1))
  await flushPromises()
  // 290 of 900 g: as the others.
  expect(words()).not.toContain('Goes much slower')
})

it('has a meter begun on the Log, and read', async () => {
  const { server } = await onPage('log', knownDemo(), { begin })
  await press('Another meter')
  await typeIn('Meter', 'Bilge pump')
  await typeIn('Read in', 'starts')
  await press('Keep the meter')
  await vi.waitFor(() => expect(words()).toContain('Reads'))
  await typeIn('Reads', '12')
  await press('Keep')
  const meter = server.rows.meter.find((one) => one.title === 'Bilge pump')
  await vi.waitFor(() =>
    expect(server.rows.meterReading.filter((one) => one.meterId === meter?.id)).toMatchObject([
      { on: '2027-04-17', value: 12 },
    ]),
  )
  await flushPromises()
  expect(words()).toMatch(/Bilge pump: 12 starts on Sat 17 Apr/)
})
