/** What waits for a figure to stand still is done once, and not for a view that was left. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { watchSettled } from '../../app/composables/useSettled'
import { inSetup } from './inSetup'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

it('is done once for all that was typed, with what stands there by then', async () => {
  const typed = ref('1')
  const seen: string[] = []
  inSetup(() => watchSettled(typed, () => seen.push(typed.value), { ms: 300 }))
  await vi.advanceTimersByTimeAsync(400)
  expect(seen).toEqual([])
  typed.value = '12'
  await vi.advanceTimersByTimeAsync(299)
  typed.value = '125'
  await vi.advanceTimersByTimeAsync(299)
  expect(seen).toEqual([])
  await vi.advanceTimersByTimeAsync(1)
  expect(seen).toEqual(['125'])
})

it('is not done once its view is left, neither what it began with nor what was typed last', async () => {
  const typed = ref('1')
  const work = vi.fn()
  const page = inSetup(() => watchSettled([typed], work, { ms: 300, immediate: true }))
  await vi.advanceTimersByTimeAsync(300)
  expect(work).toHaveBeenCalledTimes(1)
  typed.value = '2'
  await nextTick()
  page.leave()
  await vi.advanceTimersByTimeAsync(1000)
  expect(work).toHaveBeenCalledTimes(1)
})
