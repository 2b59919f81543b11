/** Copies of the database where they can be put back: what there is of them, and what is missing. */
import { flushPromises, mount } from '@vue/test-utils'
import { emptyRefit } from '#core/testing/build'
import type { RefitRows } from '#core/model/refit'
import { expect, it, vi } from 'vitest'
import CopiesList from '../../app/components/exchange/CopiesList.vue'
import CopyTrouble from '../../app/components/frame/CopyTrouble.vue'
import { words } from './byName'
import { openOn } from './fakeServer'

const at = Date.UTC(2027, 3, 17, 7)

async function shown(copies: object) {
  const { server } = await openOn(emptyRefit() as RefitRows)
  server.copies = copies
  const list = mount(CopiesList, { attachTo: document.body })
  await flushPromises()
  const said = words()
  list.unmount()
  return said
}

it('says which there are, that none was due yet, and which could not be taken, with why', async () => {
  const none = /There is no copy yet/
  expect(await shown({ copies: [], missed: null })).toMatch(none)
  const copies = [{ name: 'a', at, why: 'daily', bytes: 1_720_000 }]
  const whole = await shown({ copies, missed: null })
  expect(whole).toMatch(/Sat,? 17 Apr 2027.* of the day\s+1\.7 MB\s*Put back/)
  expect(whole).not.toMatch(/could not be taken|no copy yet/)
  const missed = { at: at + 86_400_000, message: 'The disk is full.' }
  for (const those of [copies, []]) {
    const said = await shown({ copies: those, missed })
    expect(said).toMatch(/due on Sun,? 18 Apr 2027.* could not be taken\.\s+The disk is full\./)
    expect(said).not.toMatch(none)
    expect(said.includes('1.7 MB')).toBe(those.length > 0)
  }
})

it('says in every view that none was taken for more than a day, as long as that is so', async () => {
  const { server } = await openOn(emptyRefit() as RefitRows)
  vi.useFakeTimers({ toFake: ['setTimeout', 'setInterval', 'clearTimeout', 'clearInterval'] })
  try {
    const strip = mount(CopyTrouble, { attachTo: document.body })
    const hour = 3_600_000
    const after = async (ms: number, copies: readonly number[], missed: number | null) => {
      server.copies = {
        copies: copies.map((one) => ({ name: `${one}`, at: one, why: 'daily', bytes: 1 })),
        missed: missed === null ? null : { at: missed, message: 'The disk is full.' },
      }
      await vi.advanceTimersByTimeAsync(ms)
      return words()
    }
    // That of the day was taken; one at a start was not.
    expect(await after(10_000, [at], at + 3 * hour)).toBe('')
    const late = await after(hour, [at, at - 48 * hour], at + 27 * hour)
    expect(late).toMatch(/newest copy of your data is of Sat,? 17 Apr 2027.*The disk is full\./)
    expect(await after(hour, [], at)).toContain('There is no copy of your data yet')
    // Where nobody answers, what was so stays said.
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
    expect(await after(hour, [at], null)).toContain('There is no copy of your data yet')
    vi.stubGlobal('fetch', server.fetch)
    expect(await after(hour, [at], null)).toBe('')
    strip.unmount()
  } finally {
    vi.useRealTimers()
  }
})
