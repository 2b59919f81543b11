/** Messages come and go; what is bad or in hand stays. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { useToastStore } from '../../app/stores/toasts'
import { ownPinia } from './fakeServer'

beforeEach(() => {
  vi.useFakeTimers()
  ownPinia()
})
afterEach(() => void vi.useRealTimers())
const shown = () => useToastStore().toasts.map((one) => one.text)

it('go after six seconds, those with something to do after fifteen, bad ones when closed', () => {
  const store = useToastStore()
  store.say('Kept.')
  store.say('Removed.', false, { label: 'Undo', run: () => undefined })
  store.complain(new Error('Not saved.'))
  vi.advanceTimersByTime(5999)
  expect(shown()).toEqual(['Kept.', 'Removed.', 'Not saved.'])
  vi.advanceTimersByTime(1)
  expect(shown()).toEqual(['Removed.', 'Not saved.'])
  vi.advanceTimersByTime(9000)
  expect(shown()).toEqual(['Not saved.'])
  vi.advanceTimersByTime(1e6)
  expect(shown()).toEqual(['Not saved.'])
  store.close(store.toasts[0]?.id ?? 0)
  expect(shown()).toEqual([])
})

it('stay while they are held, whole time again once let go, and three at most', () => {
  const store = useToastStore()
  store.say('One')
  const [one] = store.toasts
  vi.advanceTimersByTime(5000)
  store.hold(one?.id ?? 0)
  vi.advanceTimersByTime(60_000)
  expect(shown()).toEqual(['One'])
  store.letGo(one?.id ?? 0)
  vi.advanceTimersByTime(5999)
  expect(shown()).toEqual(['One'])
  vi.advanceTimersByTime(1)
  expect(shown()).toEqual([])
  for (const text of ['1', '2', '3', '4']) store.say(text)
  expect(shown()).toEqual(['2', '3', '4'])
})
