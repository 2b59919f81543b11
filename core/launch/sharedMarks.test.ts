import { expect, it } from 'vitest'
import { sharedMarks } from './sharedMarks'

it('has marks that would lie over one another share one, the worst of them seen', () => {
  const marks = [
    { id: 'far', x: 100, y: 0, state: 'proven' },
    { id: 'c', x: 30, y: 0, state: 'stops' },
    { id: 'b', x: 15, y: 10, state: 'runs' },
    { id: 'a', x: 0, y: 0, state: 'proven' },
    { id: 'below', x: 0, y: 22, state: 'look' },
  ] as const
  // b is 18 px from a and 19 from the one below; c is 30 from a; 22 px is far enough.
  const shared = sharedMarks(marks, 22)
  expect(shared.map((one) => one.marks.map((mark) => mark.id))).toEqual([
    ['b', 'a'],
    ['below'],
    ['c'],
    ['far'],
  ])
  expect([shared[0]?.x, shared[0]?.y]).toEqual([0, 0])
})
