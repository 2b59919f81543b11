/** Who is at the device: somebody of the refit that is open, and still with it. */
import { flushPromises } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { useDevice } from '../../app/composables/useDevice'
import { useMe } from '../../app/composables/useMe'
import { openOn } from './fakeServer'

const boat = () => {
  const rows = emptyRefit()
  add(rows, 'person', 'ida', { name: 'Ida', order: 'a' })
  add(rows, 'person', 'ben', { name: 'Ben', order: 'b', gone: true })
  return rows
}

it('is kept for this refit, and is nobody of another one', async () => {
  const { server, store } = await openOn(boat())
  const me = useMe()
  expect(me.value).toBe('')
  me.value = 'ida'
  await flushPromises()
  expect(useDevice().whoAt.value).toEqual({ r: 'ida' })
  await store.submit('Name', [
    { op: 'patch', entity: 'refit', id: 'r', baseVersion: 1, patch: { name: 'New' } },
  ])
  expect(server.changes.at(-1)?.personId).toBe('ida')
  // Another boat on the same device: her people are others.
  useDevice().whoAt.value = { other: 'ida' }
  await flushPromises()
  expect(me.value).toBe('')
  await store.submit('Name', [
    { op: 'patch', entity: 'refit', id: 'r', baseVersion: 2, patch: { name: 'Newer' } },
  ])
  expect(server.changes.at(-1)?.personId).toBeNull()
})

it('is nobody who is not in it, or not with it any more', async () => {
  useDevice().whoAt.value = { r: 'stranger' }
  await flushPromises()
  await openOn(boat())
  const me = useMe()
  expect(me.value).toBe('')
  me.value = 'ben'
  await flushPromises()
  expect(me.value).toBe('')
})
