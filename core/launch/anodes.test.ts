/** Anodes by hand: 3 m² of metal, a fifth bare, 100 mA/m² is 0.06 A. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { dayNumber } from '../time/civil'
import { anodesWanted, anodeWear } from './anodes'

const want = {
  areaM2: 3,
  bareShare: 0.2,
  currentMaM2: 100,
  months: 12,
  metal: 'zinc',
  pieceKg: 0.5,
} as const

it('wants kilograms by current and time, pieces the same on both sides', () => {
  // 0.06 A × 8,766 h = 525.96 Ah; a kilogram of zinc gives 780 × 0.8 = 624.
  const zinc = anodesWanted(want)
  expect(zinc.ampere).toBeCloseTo(0.06)
  expect(zinc.kg).toBeCloseTo(0.8429, 3)
  expect(zinc.pieces).toBe(2)
  // Aluminium: 2,000 × 0.8 = 1,600.
  expect(anodesWanted({ ...want, metal: 'aluminium' }).kg).toBeCloseTo(0.3287, 3)
  expect(anodesWanted({ ...want, months: 24 }).pieces).toBe(4)
  expect(anodesWanted({ ...want, bareShare: 0 })).toEqual({ ampere: 0, kg: 0, pieces: 0 })
  expect(() => anodesWanted({ ...want, bareShare: 1.1 })).toThrow(RangeError)
})

it('never wants less for more metal or more months, and what is fitted is enough', () => {
  const number = fc.double({ min: 0.1, max: 20, noNaN: true })
  fc.assert(
    fc.property(number, number, number, (areaM2, more, months) => {
      const one = anodesWanted({ ...want, areaM2, months })
      expect(anodesWanted({ ...want, areaM2: areaM2 + more, months }).kg).toBeGreaterThan(one.kg)
      expect(anodesWanted({ ...want, areaM2, months: months + more }).kg).toBeGreaterThan(one.kg)
      expect(one.pieces * want.pieceKg).toBeGreaterThanOrEqual(one.kg - 1e-6)
      expect(one.pieces % 2).toBe(0)
    }),
  )
})

it('says how fast each goes, when half is gone, and which is the odd one', () => {
  const rows = emptyRefit()
  const fit = (id: string, ...weights: readonly (readonly [string, number])[]) => {
    add(rows, 'anode', id, { title: id, newG: 1000, fittedOn: '2026-05-01', order: id })
    for (const [on, weightG] of weights)
      add(rows, 'anodeWeighing', `${id} ${on}`, { anodeId: id, on, weightG })
  }
  // From 1 May to 1 October are 153 days, 5.027 months.
  fit('a', ['2026-10-01', 800], ['2026-07-01', 950], ['2026-04-01', 100])
  fit('b', ['2026-10-01', 780])
  fit('c', ['2026-10-01', 500])
  fit('d', ['2026-10-01', 1010])
  fit('e')
  const [a, b, c, d, e] = anodeWear(rows, () => true)
  expect(a).toMatchObject({ left: 0.8, odd: null })
  expect(a?.weighed.map((one) => one.g)).toEqual([1000, 950, 800])
  expect(a?.perMonth).toBeCloseTo(0.2 / 5.0267, 4)
  // Half is gone after 2.5 × 153 = 382.5 days.
  expect(a?.halfOn).toBe('2027-05-19')
  // Ashore from 1 October to 1 May: 229.5 of them run from 1 May on.
  const ashore = [dayNumber('2026-10-01'), dayNumber('2027-05-01')] as const
  const wintered = anodeWear(rows, (day) => day < ashore[0] || day >= ashore[1])[0]
  expect(wintered?.perMonth).toBeCloseTo(0.2 / 5.0267, 4)
  expect(wintered?.halfOn).toBe('2027-12-17')
  // Of two on one day the lighter is the later.
  fit('twice', ['2026-10-01', 760], ['2026-07-01', 950])
  add(rows, 'anodeWeighing', 'again', { anodeId: 'twice', on: '2026-10-01', weightG: 770 })
  const twice = anodeWear(rows, () => true).find((one) => one.anode.id === 'twice')
  expect(twice?.weighed.map((one) => one.g)).toEqual([1000, 950, 770, 760])
  expect(b?.odd).toBeNull()
  expect(c).toMatchObject({ left: 0.5, halfOn: '2026-10-01', odd: 'fast' })
  expect(d).toMatchObject({ left: 1.01, perMonth: null, halfOn: null })
  expect(e).toMatchObject({ left: null, perMonth: null, halfOn: null, odd: null })
})
