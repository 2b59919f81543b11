import { expect, it } from 'vitest'
import { Turns } from './turns'

/** A question of so many parts; what of it was done is counted. */
function question(parts: number, answer: string) {
  const done = { parts: 0 }
  const work = (function* () {
    for (let part = 0; part < parts; part++) {
      done.parts++
      yield part / parts
    }
    return answer
  })()
  return { done, work }
}

it('a newer question leaves the older one at its next part, and is answered', async () => {
  const turns = new Turns()
  const [long, short] = [question(1000, 'long'), question(3, 'short')]
  const first = turns.answered(long.work)
  const second = turns.answered(short.work)
  expect(await first).toBeNull()
  expect(await second).toBe('short')
  expect(long.done.parts).toBeLessThan(3)
})

it('called off, nothing is answered, and the next question is', async () => {
  const turns = new Turns()
  const long = question(1000, 'long')
  const asked = turns.answered(long.work)
  turns.callOff()
  expect(await asked).toBeNull()
  expect(await turns.answered(question(2, 'next').work)).toBe('next')
})

it('tells how far it is, not at every part, and throws what a part throws', async () => {
  const turns = new Turns()
  const shares: number[] = []
  const slow = (function* () {
    for (let part = 0; part < 5; part++) {
      const until = performance.now() + 45
      while (performance.now() < until);
      yield part / 5
    }
    return 'done'
  })()
  expect(await turns.answered(slow, (share) => shares.push(share))).toBe('done')
  expect(shares.length).toBeGreaterThan(0)
  expect(shares.length).toBeLessThan(4)
  const broken = (function* () {
    yield 0
    throw new Error('no such gate')
  })()
  await expect(turns.answered(broken)).rejects.toThrow('no such gate')
})
