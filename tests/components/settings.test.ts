/** A long page whose first lines do not wait for its last. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, h, Suspense } from 'vue'
import { emptyRefit } from '#core/testing/build'
import Settings from '../../app/pages/r/[refit]/settings.vue'
import { openOn } from './fakeServer'
import { route } from './setup'

async function shown(hash: string) {
  await openOn(emptyRefit())
  Object.assign(route, { path: '/r/r/settings', hash })
  const page = mount(
    defineComponent({ setup: () => () => h(Suspense, null, { default: () => h(Settings) }) }),
    { attachTo: document.body },
  )
  await flushPromises()
  const has = (id: string) => page.find(`#${id}`).exists()
  return { page, has }
}

it('has its first sections at once, and one more a frame until it is whole', async () => {
  const frames: (() => void)[] = []
  vi.stubGlobal('requestAnimationFrame', (next: () => void) => frames.push(next))
  const { page, has } = await shown('')
  expect([has('set-people'), has('set-hauls'), has('set-places')]).toEqual([true, true, false])
  const passFrame = async () => {
    frames.splice(0).forEach((next) => next())
    await flushPromises()
  }
  await passFrame()
  expect([has('set-places'), has('set-files')]).toEqual([true, false])
  for (let n = 0; n < 8; n++) await passFrame()
  expect(has('set-files')).toBe(true)
  expect(frames).toEqual([])
  page.unmount()
})

it('is whole at once where one of its sections was asked for', async () => {
  const { page, has } = await shown('#set-places')
  expect(has('set-files')).toBe(true)
  page.unmount()
})
