/** One planner and many who ask: who is answered, who is left, and which worker lives on. */
import { expose } from 'comlink'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Remote } from 'comlink'
import { emptyRefit, job } from '#core/testing/build'
import type { Planner } from './plannerWork'
import { PlannerLink, Superseded } from './plannerLink'
import { Turns } from './turns'

const workers: FakeWorker[] = []
/** So many parts of questions were worked through. */
let worked = 0
/** How many changes of rows crossed over before each question. */
const taken: number[] = []

/** A worker in this very process: it answers in parts, short ones or such as nothing is heard in for a while. */
class FakeWorker {
  private readonly channel = new MessageChannel()
  isOver = false

  constructor() {
    const turns = new Turns()
    const planner = {
      take: (changes: readonly unknown[]) => void taken.push(changes.length),
      callOff: () => turns.callOff(),
      standing: (parts: number) =>
        turns.answered(
          (function* () {
            for (let part = 0; part < parts; part++, worked++) yield part / parts
            return `${parts} parts`
          })(),
        ),
      plan: (partMs: number) =>
        turns.answered(
          (function* () {
            for (;;) {
              for (const begun = performance.now(); performance.now() - begun < partMs;);
              worked++
              yield 0
            }
          })(),
        ),
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
  taken.length = 0
  vi.stubGlobal('Worker', FakeWorker)
})
afterEach(() => {
  workers.forEach((one) => one.terminate())
  vi.unstubAllGlobals()
})

const rows = emptyRefit()
const inParts = (parts: number) => (remote: Remote<Planner>) =>
  remote.standing(parts) as unknown as Promise<string>
const inLongParts = (partMs: number) => (remote: Remote<Planner>) =>
  remote.plan(partMs, null, null) as unknown as Promise<string>

it('a newer question is answered by the same worker, the older one is left', async () => {
  const link = new PlannerLink()
  const first = link.question(rows, inParts(100_000))
  const left = expect(first).rejects.toBeInstanceOf(Superseded)
  expect(await link.question(rows, inParts(3))).toBe('3 parts')
  await left
  expect(workers).toHaveLength(1)
  expect(link.isBusy).toBe(false)
})

it('a plan is left at the end of its part: its worker goes on with what was asked, and is sent only what changed', async () => {
  const link = new PlannerLink()
  const whole = link.question(rows, inLongParts(150))
  const left = expect(whole).rejects.toBeInstanceOf(Superseded)
  await vi.waitFor(() => expect(worked).toBeGreaterThan(0))
  const changed = { ...rows, job: [...rows.job] }
  job(changed, 'One more')
  expect(await link.question(changed, inParts(3))).toBe('3 parts')
  await left
  expect(workers.map((one) => one.isOver)).toEqual([false])
  const [all = 0, ...then] = taken
  expect(all).toBeGreaterThan(0)
  expect(then).toEqual([1])
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
