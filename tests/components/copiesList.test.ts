/** Copies of the database where they can be put back: what there is of them, and what is missing. */
import { flushPromises, mount } from '@vue/test-utils'
import { emptyRefit } from '#core/testing/build'
import type { RefitRows } from '#core/model/refit'
import { expect, it } from 'vitest'
import CopiesList from '../../app/components/exchange/CopiesList.vue'
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
