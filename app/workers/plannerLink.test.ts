/** One planner and many who ask: who is answered, who is left, and which worker lives on. */
import { expose } from 'comlink'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Remote } from 'comlink'
import { emptyRows } from '#core/model/refit'
import type { Planner } from './plannerWork'
import { PlannerLink, Superseded } from './plannerLink'
import { Turns } from './turns'

const workers: FakeWorker[] = []
/** So many parts of questions were worked through. */
let worked = 0

/** A worker in this very process: it answers in parts, or in one go for a while. */
class FakeWorker {
  private readonly channel = new MessageChannel()
  isOver = false

  constructor() {
    const turns = new Turns()
    const planner = {
      take: () => undefined,
      callOff: () => turns.callOff(),
      standing: (parts: number) =>
        turns.answered(
          (function* () {
            for (let part = 0; part < parts; part++, worked++) yield part / parts
            return `${parts} parts`
          })(),
        ),
      plan: (ms: number) => new Promise((resolve) => setTimeout(() => resolve('whole'), ms)),
    }
    expose(planner, this.channel.port2)
    this.channel.port1.start()
    workers.push(this)
  }
  postMessage = (message: unknown, transfer: Transferable[]) =>
    this.channel.port1.postMessage(message, transfer)
  addEventListener = (type: string, listener: EventListener) =>
    type === 'message' ? this.channel.port1.addEventListener(type, listener) : undefined
  removeEventListener = (type: string, listener: EventListener) =>
    this.channel.port1.removeEventListener(type, listener)
  terminate() {
    this.isOver = true
    this.channel.port1.close()
  }
}
beforeEach(() => {
  workers.length = 0
  worked = 0
  vi.stubGlobal('Worker', FakeWorker)
})
afterEach(() => {
  workers.forEach((one) => one.terminate())
  vi.unstubAllGlobals()
})

const rows = emptyRows()
const inParts = (parts: number) => (remote: Remote<Planner>) =>
  remote.standing(parts) as unknown as Promise<string>
const inOneGo = (ms: number) => (remote: Remote<Planner>) =>
  remote.plan(ms, null, null) as unknown as Promise<string>

it('a newer question is answered by the same worker, the older one is left', async () => {
  const link = new PlannerLink()
  const first = link.question(rows, inParts(100_000))
  const left = expect(first).rejects.toBeInstanceOf(Superseded)
  expect(await link.question(rows, inParts(3))).toBe('3 parts')
  await left
  expect(workers).toHaveLength(1)
  expect(link.isBusy).toBe(false)
})

it('work in one go hears nothing: a question after it gets a worker of its own, and is answered', async () => {
  const link = new PlannerLink()
  const whole = link.work(rows, inOneGo(60_000))
  const left = expect(whole).rejects.toBeInstanceOf(Superseded)
  expect(await link.question(rows, inParts(3))).toBe('3 parts')
  await left
  expect(workers.map((one) => one.isOver)).toEqual([true, false])
})

it('who waits for quiet is let on once everybody has an answer', async () => {
  const link = new PlannerLink()
  const order: string[] = []
  const quiet = link.idle().then(() => order.push('nobody asks'))
  await quiet
  const asked = link.question(rows, inParts(50)).then((answer) => order.push(answer))
  const later = link.idle().then(() => order.push('quiet'))
  await Promise.all([asked, later])
  expect(order).toEqual(['nobody asks', '50 parts', 'quiet'])
})

it('stopped, its caller is told, no more is worked, and it can be asked again', async () => {
  const link = new PlannerLink()
  const asked = link.question(rows, inParts(100_000_000))
  const left = expect(asked).rejects.toBeInstanceOf(Superseded)
  await vi.waitFor(() => expect(worked).toBeGreaterThan(0))
  link.stop()
  await left
  // The word to leave it goes over a channel.
  await new Promise((resolve) => setTimeout(resolve, 100))
  const then = worked
  await new Promise((resolve) => setTimeout(resolve, 100))
  expect(worked).toBe(then)
  expect(await link.question(rows, inParts(2))).toBe('2 parts')
})
