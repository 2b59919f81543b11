/** Electrics by other ways: a cable as a chain of small resistors, a day minute by minute, a bank drawn until it is at its limit. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cableFor } from './cable'
import { bankAh, chemistries, costOfKwh, loadAh, solarAh } from './energy'

/** What reaches a load that draws so much: out and back in 500 pieces, solved from the far end. */
function lost(runM: number, loadA: number, mm2: number): number {
  const pieces = 500
  const ohm = (0.0195 * (runM / pieces)) / mm2
  let volts = 0
  for (let at = 0; at < pieces; at++) volts += 2 * ohm * loadA
  return volts
}
const sold = [0.75, 1, 1.5, 2.5, 4, 6, 10, 16, 25, 35, 50, 70, 95, 120]

describe('a cable, piece by piece', () => {
  it('loses no more than it may, and the next thinner one would lose more or not bear its fuse', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 25, noNaN: true }),
        fc.double({ min: 0.3, max: 60, noNaN: true }),
        fc.constantFrom(12, 24, 48),
        fc.constantFrom(3, 10),
        (runM, loadA, volts, dropPercent) => {
          const may = (volts * dropPercent) / 100
          fc.pre(lost(runM, loadA, 120) < may)
          const cable = cableFor({ runM, loadA, volts, dropPercent, derating: 1 })
          expect(lost(runM, loadA, cable.mm2)).toBeCloseTo(cable.dropV, 6)
          expect(cable.dropV).toBeLessThanOrEqual(may + 1e-9)
          expect(cable.fuseA).toBeGreaterThanOrEqual(1.25 * loadA - 1e-9)
          const thinner = sold[sold.indexOf(cable.mm2) - 1]
          if (cable.by === 'drop' && thinner !== undefined)
            expect(lost(runM, loadA, thinner)).toBeGreaterThan(may)
        },
      ),
    ))
})

const load = fc.record({
  watts: fc.integer({ min: 1, max: 500 }),
  many: fc.integer({ min: 1, max: 6 }),
  minutes: fc.integer({ min: 0, max: 1440 }),
  isByInverter: fc.boolean(),
})

describe('a day, minute by minute', () => {
  it('draws what the list of loads adds up to', () =>
    fc.assert(
      fc.property(fc.array(load, { maxLength: 6 }), fc.constantFrom(12, 24), (loads, volts) => {
        let joules = 0
        for (let minute = 0; minute < 1440; minute++)
          for (const one of loads)
            if (minute < one.minutes)
              joules += (one.watts * one.many * 60) / (one.isByInverter ? 0.85 : 1)
        const ah = joules / 3600 / volts
        const said = loads.reduce(
          (sum, one) =>
            sum + loadAh(one.watts, one.many, one.minutes / 60, volts, one.isByInverter),
          0,
        )
        expect(said).toBeCloseTo(ah, 6)
      }),
      { numRuns: 30 },
    ))
  it('leaves a bank that aged by a tenth at its limit when the days are over', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 300, noNaN: true }),
        fc.integer({ min: 1, max: 7 }),
        fc.constantFrom('lead' as const, 'agm' as const, 'lithium' as const),
        (ahADay, days, kind) => {
          const aged = bankAh(ahADay, days, kind) / 1.1
          let left = aged
          for (let hour = 0; hour < days * 24; hour++) left -= ahADay / 24
          expect(left / aged).toBeCloseTo(1 - chemistries[kind].usable, 6)
        },
      ),
    ))
  it('gives what the sun gives: panels under a half sine as long as the sun’s hours at full strength', () => {
    // A half sine of 12 h peaks at 1 and is worth 24/π = 7.64 h of full sun.
    let wattHours = 0
    for (let second = 0; second < 12 * 3600; second++)
      wattHours += (200 * 0.7 * Math.sin((Math.PI * second) / (12 * 3600))) / 3600
    expect(solarAh(200, 24 / Math.PI, 12)).toBeCloseTo(wattHours / 12, 2)
  })
  it('costs of a used kilowatt-hour what the bank cost, cycle by cycle', () => {
    let used = 0
    for (let cycle = 0; cycle < 600; cycle++) used += (200 * 12 * 0.5) / 1000
    expect(costOfKwh(480, 200, 12, 0.5, 600)).toBeCloseTo(480 / used, 9)
  })
})
