/** A worker that is gone without a word is known to be gone, once, and only where nobody ended it on purpose. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { live, watchLife, workerName } from './life'

/** Locks as the platform describes them: one holder, others wait; a wait can be called off. */
class Locks {
  private holders = new Map<string, () => void>()
  private queues = new Map<string, (() => void)[]>()

  async request(name: string, ...rest: readonly unknown[]): Promise<void> {
    const work = rest.at(-1) as () => unknown
    const { signal } = (rest.length > 1 ? rest[0] : {}) as { signal?: AbortSignal }
    if (this.holders.has(name))
      await new Promise<void>((turn, refuse) => {
        signal?.addEventListener('abort', () => refuse(new Error('called off')))
        this.queues.set(name, [...(this.queues.get(name) ?? []), turn])
      })
    const gone = new Promise<void>((resolve) => this.holders.set(name, resolve))
    await Promise.race([Promise.resolve(work()), gone])
    this.holders.delete(name)
    this.queues.get(name)?.shift()?.()
  }
  /** The browser ends whoever holds it. */
  release(name: string): void {
    this.holders.get(name)?.()
  }
}

let locks = new Locks()
const wait = () => new Promise((resolve) => setTimeout(resolve))

/** A worker under its name, from inside and outside. */
function worker(name: string): Worker {
  const outside = new EventTarget()
  vi.stubGlobal('self', {
    name,
    postMessage: (data: unknown) => outside.dispatchEvent(new MessageEvent('message', { data })),
  })
  return outside as unknown as Worker
}

beforeEach(() => {
  locks = new Locks()
  vi.stubGlobal('navigator', { locks })
})
afterEach(() => vi.unstubAllGlobals())

it('tells that a worker is gone only when it is', async () => {
  const name = workerName('planner')
  const one = worker(name)
  const told = vi.fn()
  watchLife(one, name, 'The planner', told)
  live()
  await wait()
  expect(told).not.toHaveBeenCalled()
  locks.release(name)
  await wait()
  expect(told.mock.calls).toEqual([
    [new Error('The planner was ended by the browser, perhaps for want of memory.')],
  ])
})

it('says nothing of a worker that its page has ended', async () => {
  const name = workerName('planner')
  const one = worker(name)
  const told = vi.fn()
  const unwatch = watchLife(one, name, 'The planner', told)
  live()
  await wait()
  unwatch()
  locks.release(name)
  await wait()
  expect(told).not.toHaveBeenCalled()
})

it('tells a fault once, though the worker goes with it', async () => {
  const name = workerName('book')
  const one = worker(name)
  const told = vi.fn()
  watchLife(one, name, 'The book', told)
  live()
  await wait()
  one.dispatchEvent(Object.assign(new Event('error'), { message: 'no such font' }))
  locks.release(name)
  await wait()
  expect(told.mock.calls).toEqual([[new Error('no such font')]])
})

it('gives each worker a lock of its own', () => {
  expect(workerName('book')).not.toBe(workerName('book'))
})
