import { describe, expect, it } from 'vitest'
import { movedMarks } from './moved'

describe('marks of a list', () => {
  const marks = { volts: 1, 'runs.0.long': 2, 'runs.1.long': 3, 'runs.10.amps': 4, 'run.1.long': 5 }
  it('go with their lines, and away with those that are taken away', () => {
    // The first is taken away.
    const left = Array.from({ length: 10 }, (_, at) => at + 1)
    expect(movedMarks(marks, 'runs', left)).toEqual({
      volts: 1,
      'runs.0.long': 3,
      'runs.9.amps': 4,
      'run.1.long': 5,
    })
  })
  it('stay with theirs when one is added, and change places with it', () => {
    expect(movedMarks(marks, 'runs', [1, 0, null])).toEqual({
      volts: 1,
      'runs.1.long': 2,
      'runs.0.long': 3,
      'run.1.long': 5,
    })
  })
})
