import { expect, it } from 'vitest'
import { sagTests, saySagTest } from './sag'

const sag = (at: number, value: number | null, meter: string) =>
  ({ kind: 'sag', value, meter, at }) as const
const date = (at: number) => `day ${at}`
const told = (...all: Parameters<typeof sagTests>[0][number][]) =>
  sagTests(all).map((one) => saySagTest(one, date))

it('is one weight at one point, the first time against the last: 6 to 1.5 mm are three quarters less', () => {
  expect(
    told(
      sag(9, 1.5, '80 kg, mid-panel '),
      sag(1, 6, '80 kg, mid-panel'),
      sag(5, 4, '80 KG, mid-panel'),
      sag(2, 3, '80 kg, at the step'),
      { kind: 'crack', value: 9, meter: '80 kg, mid-panel', at: 10 },
      sag(3, null, '80 kg, mid-panel'),
    ),
  ).toEqual([
    'Under 80 kg, mid-panel: 6 mm on day 1, 1.5 mm on day 9, 75 % less.',
    'Under 80 kg, at the step: 3 mm on day 2. Measure again after the mend, the same weight at the same point.',
  ])
})

it('says what gave way further, and no share of nothing', () => {
  expect(told(sag(1, 2, '80 kg'), sag(2, 3, '80 kg'))).toEqual([
    'Under 80 kg: 2 mm on day 1, 3 mm on day 2, 50 % more: it gives way further.',
  ])
  expect(told(sag(1, 0, '80 kg'), sag(2, 3, '80 kg'))).toEqual([
    'Under 80 kg: 0 mm on day 1, 3 mm on day 2.',
  ])
  expect(told(sag(1, 2, ''), sag(2, 2, ''))).toEqual([
    'Under a weight nobody wrote down: 2 mm on day 1, 2 mm on day 2.',
  ])
})
