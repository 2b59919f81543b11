import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boatOutline, zonePoints } from './boatOutline'

const sizes = { loaM: 10, lwlM: 8, beamM: 3, draughtM: 1.5, boatType: 'sail' } as const

describe('the drawing of the boat', () => {
  it('keeps her proportions: 31 units a metre on 330 with ten at each end', () => {
    const boat = boatOutline(sizes, 330)
    expect(boat.fore - boat.aft).toBeCloseTo(8 * 31)
    expect(boat.draught).toBeCloseTo(1.5 * 31)
    expect(boat.half).toBeCloseTo(1.5 * 31)
    expect(boat.water - boat.sheer).toBeCloseTo(10 * 0.105 * 31)
    expect(boatOutline({ ...sizes, beamM: null, loaM: 20 }, 330).half).toBeCloseTo(
      (20 * 0.31 * 15.5) / 2,
    )
  })

  it('puts places by their side, level and distance, whatever they are called', () => {
    const boat = boatOutline(sizes, 330)
    const place = (
      side: 'port' | 'starboard' | 'centre' | 'both',
      strake: 'deck' | 'rig' | 'below' | 'underwater',
      along: number,
    ) => ({ side, strake, along, belowWaterline: strake === 'underwater' })
    const zones = {
      port: place('port', 'deck', 0.5),
      starboard: place('starboard', 'deck', 0.5),
      keel: place('centre', 'underwater', 0.5),
      saloon: place('centre', 'below', 0.6),
      mast: place('centre', 'rig', 0.6),
    }
    const points = zonePoints(Object.values(zones), boat)
    const at = (zone: (typeof zones)[keyof typeof zones]) => points.get(zone) ?? { x: 0, y: 0 }
    expect(at(zones.port).y).toBeLessThan(boat.mid)
    expect(at(zones.starboard).y).toBeGreaterThan(boat.mid)
    expect(at(zones.keel).y).toBeGreaterThan(boat.water)
    expect(at(zones.saloon).y).toBeLessThan(boat.water)
    expect(at(zones.mast).y).toBeLessThan(boat.sheer)
    expect(at(zones.mast).x).toBeCloseTo(10 + 0.6 * 310)
  })

  it('never covers one mark with another while there is room, nor leaves the drawing', () => {
    const zone = fc.record({
      side: fc.constantFrom('port', 'starboard', 'both', 'centre'),
      strake: fc.constantFrom('underwater', 'deck', 'rig', 'below'),
      along: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: null }),
      belowWaterline: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(zone, { maxLength: 8 }), (zones) => {
        const points = [...zonePoints(zones, boatOutline(sizes, 330)).values()]
        points.forEach((a, i) => {
          expect(a.x).toBeGreaterThanOrEqual(10)
          expect(a.x).toBeLessThanOrEqual(320)
          for (const b of points.slice(i + 1))
            expect(Math.max(Math.abs(a.x - b.x), Math.abs(a.y - b.y))).toBeGreaterThanOrEqual(23.99)
        })
      }),
    )
  })
})
