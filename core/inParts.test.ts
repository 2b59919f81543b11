import { expect, it } from 'vitest'
import { asShare, atOnce } from './inParts'
import type { InParts } from './inParts'

function* counted(parts: number): InParts<string> {
  for (let at = 1; at <= parts; at++) yield at / parts
  return `${parts} parts`
}

it('parts tell their share of the larger work, and give what they come to', () => {
  function* whole(): InParts<string[]> {
    const one = yield* asShare(counted(2), 0, 0.5)
    const other = yield* asShare(counted(4), 0.5, 1)
    return [one, other]
  }
  const told: number[] = []
  const parts = whole()
  let part = parts.next()
  for (; !part.done; part = parts.next()) told.push(part.value)
  expect(told).toEqual([0.25, 0.5, 0.625, 0.75, 0.875, 1])
  expect(part.value).toEqual(['2 parts', '4 parts'])
  expect(atOnce(whole())).toEqual(['2 parts', '4 parts'])
})

it('parts that are left do no more, and what they throw is thrown on', () => {
  let worked = 0
  function* work(): InParts<null> {
    for (;;) {
      if (worked === 3) throw new Error('No room.')
      worked++
      yield 0
    }
  }
  const left = asShare(work(), 0, 1)
  left.next()
  left.return(null)
  expect(worked).toBe(1)
  expect(() => atOnce(asShare(work(), 0, 1))).toThrow('No room.')
  expect(worked).toBe(3)
})
