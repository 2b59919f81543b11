import { expect, it } from 'vitest'
import type { SupportFigures } from './pressure'
import { standsUnder } from './stands'

const pad = (side: string, along: number, pressure: number, marksHer = false): SupportFigures =>
  ({ support: { side, along }, pressure, timesOthers: null, marksHer }) as SupportFigures

it('has pads of both sides at one place stand as one, bow first, the keel by itself', () => {
  expect(
    standsUnder([
      pad('port', 0.2, 29),
      pad('port', 0.71, 60, true),
      pad('starboard', 0.72, 67),
      pad('centre', 0.7, 180),
      pad('starboard', 0.2, 32),
      pad('starboard', 0.66, 5),
    ]),
  ).toEqual([
    { along: 0.715, isKeel: false, pressures: [67, 60], marksHer: true },
    { along: 0.7, isKeel: true, pressures: [180], marksHer: false },
    { along: 0.66, isKeel: false, pressures: [5], marksHer: false },
    { along: 0.2, isKeel: false, pressures: [32, 29], marksHer: false },
  ])
})
