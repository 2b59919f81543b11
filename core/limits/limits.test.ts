import { expect, it } from 'vitest'
import { add, emptyRefit, job } from '../testing/build'
import { binding, limitFigures, sayMargin, sizesOf } from './limits'

const rows = emptyRefit()
const limit = (id: string, given: object) =>
  add(rows, 'limit', id, { title: id, order: id, ...given })
limit('berth', { beamM: 4, draughtM: 2 })
limit('bridge', { kind: 'bridge', heightM: 16 })
limit('slings', { kind: 'slings', weightT: 12, beamM: 4.5 })
job(rows, 'arch', { addsKg: 85, addsHeightM: 0 })
job(rows, 'engine', { addsKg: 900 })
job(rows, 'mast', { addsHeightM: 0.4 })

const boat = { beamM: 3.7, airDraughtM: 15.7, draughtM: 1.75, weightT: 11.2 }

it('holds her sizes, with what the jobs add, against each limit', () => {
  const now = limitFigures(rows.limit, sizesOf(boat, []))
  expect(
    now.map((one) =>
      one.margins.map(({ measure, left }) => [measure, Math.round(left * 100) / 100]),
    ),
  ).toEqual([
    [
      ['beam', 0.3],
      ['draught', 0.25],
    ],
    [['height', 0.3]],
    [
      ['weight', 0.8],
      ['beam', 0.8],
    ],
  ])
  // 0.3 of 16 is the least share: the bridge binds.
  expect(binding(now)?.limitOf.id).toBe('bridge')
  const after = limitFigures(rows.limit, sizesOf(boat, rows.job))
  // 11.2 + 0.985 t, 15.7 + 0.4 m.
  expect(after[2]?.margins[0]?.measure).toBe('weight')
  expect(after[2]?.margins[0]?.size).toBeCloseTo(12.185)
  expect(after[1]?.margins[0]?.left).toBeCloseTo(-0.1)
  expect(binding(after)?.limitOf.id).toBe('slings')
})

it('asks for a size it does not have', () => {
  const [berth, bridge] = limitFigures(
    rows.limit,
    sizesOf({ ...boat, airDraughtM: null }, rows.job),
  )
  expect([berth?.unknown, bridge?.unknown, bridge?.margins]).toEqual([[], ['height'], []])
  expect(binding([])).toBeNull()
})

it('is said as room or as lack of it', () => {
  const margin = { measure: 'weight', size: 12.3, limit: 12, left: -0.3 } as const
  expect(sayMargin(margin, 'metric')).toBe('0.3 t too heavy')
  expect(sayMargin({ ...margin, measure: 'height', left: 0.1 }, 'metric')).toBe(
    '100 mm to spare, high',
  )
})
