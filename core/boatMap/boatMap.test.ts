import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { isInside } from '../geometry/polygon'
import { placeBoxes } from './boxes'
import { mapFrame, pathOf } from './frame'
import { aloft, hullLines } from './hull'
import type { BoatSizes } from './hull'
import { middleOf, zoneRegions } from './regions'

const ketch: BoatSizes = {
  loaM: 12,
  lwlM: 10,
  beamM: 3.6,
  draughtM: 1.8,
  boatType: 'ketch',
  keel: 'fin',
  pilothouse: true,
}
const lines = hullLines(ketch)

describe('her lines', () => {
  it('keep her proportions', () => {
    expect(lines.fore - lines.aft).toBeCloseTo(10 / 12)
    expect([lines.draught, lines.half]).toEqual([0.15, 0.15])
    expect(Math.min(...lines.keels.flat().map(([, y]) => y))).toBeCloseTo(-0.15)
    // Widest amidships, pointed at the bow, and the deck is above the water all along.
    expect(lines.breadth(0.45)).toBeCloseTo(0.15)
    expect(lines.breadth(1)).toBe(0)
    for (let x = 0; x <= 1; x += 0.1) expect(lines.sheer(x)).toBeGreaterThan(0.05)
  })
  it('are of her kind', () => {
    const of = (more: Partial<BoatSizes>) => hullLines({ ...ketch, ...more })
    const masts = (more: Partial<BoatSizes>) =>
      of(more).masts.filter(([a, b]) => a?.[0] === b?.[0]).length
    expect([masts({}), masts({ boatType: 'sail' }), masts({ boatType: 'motor' })]).toEqual([
      2, 1, 0,
    ])
    expect(of({ boatType: 'cutter' }).stays.length).toBe(of({ boatType: 'sail' }).stays.length + 1)
    expect([of({ keel: 'twin' }).keels.length, of({ boatType: 'motor' }).keels.length]).toEqual([
      2, 0,
    ])
    expect([of({ boatType: 'catamaran' }).decks.length, of({}).decks.length]).toEqual([3, 1])
    const long = (of({ keel: 'long' }).keels[0] ?? []).map(([x]) => x)
    const fin = (of({}).keels[0] ?? []).map(([x]) => x)
    expect(Math.max(...long) - Math.min(...long)).toBeGreaterThan(
      2 * (Math.max(...fin) - Math.min(...fin)),
    )
    const high = (more: Partial<BoatSizes>) =>
      Math.max(
        ...of(more)
          .houses.flat()
          .map(([, y]) => y),
      )
    expect(high({})).toBeGreaterThan(high({ pilothouse: false }) + 0.04)
  })
  it('lie where they are: keels and rudders under her, houses on deck, everything along her', () => {
    for (const boatType of ['sail', 'ketch', 'motor', 'catamaran'] as const)
      for (const keel of ['fin', 'long', 'twin'] as const) {
        const made = hullLines({ ...ketch, boatType, keel })
        const under = [...made.keels, ...made.rudders].flat()
        for (const [x, y] of under) {
          expect(x).toBeGreaterThan(0)
          expect(x).toBeLessThan(0.9)
          expect(y).toBeLessThanOrEqual(0.001)
          expect(y).toBeGreaterThanOrEqual(-0.15001)
        }
        // A rudder is a narrow thing at the stern.
        const rudder = (made.rudders[0] ?? []).map(([x]) => x)
        expect(Math.max(...rudder)).toBeLessThan(0.2)
        expect(Math.max(...rudder) - Math.min(...rudder)).toBeLessThan(0.1)
        for (const [x, y] of [...made.houses, ...made.windows].flat()) {
          expect(y).toBeGreaterThanOrEqual(made.sheer(x) - 0.02)
          expect(y).toBeLessThan(0.25)
        }
        for (const [x, y] of made.deckLines.flat())
          expect(Math.abs(y)).toBeLessThanOrEqual(Math.max(made.breadth(x), made.half * 0.65))
      }
  })
  it('are drawn for any boat that may be put in', () => {
    const size = (min: number, max: number) =>
      fc.option(fc.double({ min, max, noNaN: true }), { nil: null })
    fc.assert(
      fc.property(
        fc.record({
          loaM: fc.double({ min: 2, max: 60, noNaN: true }),
          lwlM: size(1, 60),
          beamM: size(0.5, 20),
          draughtM: size(0.1, 10),
          boatType: fc.constantFrom('sail', 'cutter', 'ketch', 'motor', 'catamaran'),
          keel: fc.constantFrom('fin', 'long', 'twin'),
          pilothouse: fc.boolean(),
        }),
        (sizes) => {
          const made = hullLines(sizes as BoatSizes)
          const frame = mapFrame(made, 700)
          const all = [
            made.body,
            ...made.keels,
            ...made.rudders,
            ...made.houses,
            ...made.decks,
            ...made.masts,
            ...made.stays,
          ]
          for (const line of all) expect(pathOf(frame, 'side', line)).not.toMatch(/NaN|Infinity/)
          expect(frame.height).toBeLessThan(1000)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('a motor boat and two hulls', () => {
  it('have the breadth of their kind, from end to end', () => {
    const motor = hullLines({ ...ketch, boatType: 'motor' })
    // A motor boat carries her beam aft: 0.92 of it at the stern, a sailing boat 0.62.
    expect(motor.breadth(0) / motor.half).toBeCloseTo(0.92)
    expect(lines.breadth(0) / lines.half).toBeCloseTo(0.62)
    for (const made of [motor, lines])
      for (let x = 0; x <= 1; x += 0.02) {
        expect(made.breadth(x)).toBeLessThanOrEqual(made.half + 1e-9)
        expect(made.breadth(x)).toBeGreaterThanOrEqual(0)
      }
    const [bridge, one, other] = hullLines({ ...ketch, boatType: 'catamaran' }).decks
    for (const [x, y] of [...(bridge ?? []), ...(one ?? []), ...(other ?? [])]) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(1)
      expect(Math.abs(y)).toBeLessThanOrEqual(0.15 + 1e-9)
    }
    // The hulls lie on either side of the middle and do not touch it.
    expect(Math.min(...(one ?? []).map(([, y]) => y))).toBeGreaterThan(0)
    expect(Math.max(...(other ?? []).map(([, y]) => y))).toBeLessThan(0)
  })
})

describe('the frame', () => {
  const frame = mapFrame(lines, 700)
  it('has the bow to the left, starboard above, and finds its way back', () => {
    expect(frame.at('side', [1, 0])[0]).toBeLessThan(frame.at('side', [0, 0])[0])
    expect(frame.at('plan', [0.5, 0.1])[1]).toBeLessThan(frame.mid)
    for (const view of ['side', 'plan'] as const) {
      const [x, y] = frame.at(view, [0.3, 0.06])
      const back = frame.back(x, y)
      expect(back.view).toBe(view)
      expect(back.spot[0]).toBeCloseTo(0.3)
      expect(back.spot[1]).toBeCloseTo(0.06)
    }
  })
})

describe('places', () => {
  const rows = emptyRefit()
  const place = (
    id: string,
    along: number | null,
    strake: 'deck' | 'below' | 'underwater' | 'rig' | 'shed',
    side: 'port' | 'starboard' | 'centre' | 'both' = 'centre',
  ) =>
    add(rows, 'zone', id, {
      name: id,
      along,
      strake,
      side,
      belowWaterline: strake === 'underwater',
      order: id,
    })
  place('port', 0.5, 'deck', 'port')
  place('starboard', 0.5, 'deck', 'starboard')
  place('topsides', 0.9, 'deck', 'both')
  place('keel', 0.45, 'underwater')
  place('saloon', 0.6, 'below')
  place('galley', 0.55, 'below', 'port')
  place('mast', 0.6, 'rig')
  place('shed', 0.5, 'shed')
  place('all', null, 'below')
  const regions = zoneRegions(rows.zone, lines)
  const of = (id: string) => [...regions].find(([zone]) => zone.id === id)?.[1]
  const middle = (id: string) => middleOf(of(id) as NonNullable<ReturnType<typeof of>>)
  it('lie by side, level and distance, whatever they are called', () => {
    expect([of('port')?.view, of('saloon')?.view, of('topsides')?.view]).toEqual([
      'plan',
      'side',
      'side',
    ])
    expect(middle('port')[1]).toBeLessThan(0)
    expect(middle('starboard')[1]).toBeGreaterThan(0)
    expect(middle('keel')[1]).toBeLessThan(0)
    expect(middle('mast')[1]).toBeGreaterThan(lines.sheer(0.6))
    expect(middle('topsides')[1]).toBeGreaterThan(0)
    expect([of('shed'), of('all')]).toEqual([undefined, undefined])
  })
  it('lie on deck where she has one, and inside her below', () => {
    for (const id of ['port', 'starboard'])
      for (const [x, y] of of(id)?.corners ?? []) {
        expect(Math.abs(y)).toBeLessThanOrEqual(lines.breadth(x) + 1e-9)
        expect(Math.abs(y)).toBeGreaterThan(0.03)
      }
    for (const [x, y] of of('saloon')?.corners ?? []) {
      expect(y).toBeLessThan(lines.sheer(x) + 0.01)
      expect(y).toBeGreaterThan(-lines.draught)
    }
  })
  it('hold where they are, end where the next begins, and lie in the part of her that they are of', () => {
    const at = fc.uniqueArray(fc.integer({ min: 3, max: 97 }), {
      minLength: 1,
      maxLength: 9,
      size: 'max',
    })
    const lanes = [
      ['deck', 'both', (x: number, y: number) => y >= 0 && y <= lines.sheer(x) + 0.01],
      ['deck', 'port', (x: number, y: number) => y <= 1e-9 && -y <= lines.breadth(x) + 1e-9],
      ['deck', 'starboard', (x: number, y: number) => y >= -1e-9 && y <= lines.breadth(x) + 1e-9],
      [
        'deck',
        'centre',
        (x: number, y: number) => Math.abs(y) <= Math.max(0.011, lines.breadth(x) * 0.63),
      ],
      ['rig', 'centre', (x: number, y: number) => y > lines.sheer(x) && y <= aloft],
      ['underwater', 'centre', (_: number, y: number) => y < 0 && y >= -lines.draught],
    ] as const
    fc.assert(
      fc.property(at, fc.constantFrom(...lanes), (places, [strake, side, within]) => {
        const rows = emptyRefit()
        places.forEach((one, index) =>
          add(rows, 'zone', String(index), {
            name: String(index),
            along: one / 100,
            strake,
            side,
            order: 'a',
          }),
        )
        const shapes = [...zoneRegions(rows.zone, lines)].map(([zone, { corners }]) => {
          const xs = corners.map(([x]) => x)
          for (const [x, y] of corners) expect(within(x, y)).toBe(true)
          return {
            zone,
            from: Math.min(...xs),
            to: Math.max(...xs),
            low: Math.min(...corners.map(([, y]) => y)),
          }
        })
        for (const { zone, from, to } of shapes) {
          expect(zone.along).toBeGreaterThanOrEqual(from)
          expect(zone.along).toBeLessThanOrEqual(to)
          expect(to - from).toBeGreaterThan(0.01)
          expect(to - from).toBeLessThanOrEqual(0.401)
        }
        // In one row nobody reaches into another's half, beyond the least a place has.
        if (strake !== 'underwater')
          for (const one of shapes)
            for (const other of shapes)
              if ((one.zone.along ?? 0) < (other.zone.along ?? 0))
                expect(one.to - other.from).toBeLessThanOrEqual(0.0301)
      }),
      { numRuns: 150 },
    )
  })
  it('that would lie on each other go into two rows', () => {
    expect(isInside(middle('galley'), of('saloon')?.corners ?? [])).toBe(false)
    expect(Math.abs(middle('galley')[1] - middle('saloon')[1])).toBeGreaterThan(0.02)
  })
  it('keep an outline of their own', () => {
    const shape = {
      view: 'side',
      corners: [
        [0, 0],
        [1, 0],
        [1, 1],
      ],
    } as const
    const own = { ...(rows.zone[0] as (typeof rows.zone)[0]), shape }
    expect(zoneRegions([own], lines).get(own)).toBe(shape)
  })
})

describe('labels', () => {
  it('never lie on each other while there is room, and stay on the drawing', () => {
    const box = fc.record({
      width: fc.integer({ min: 20, max: 120 }),
      height: fc.integer({ min: 16, max: 46 }),
      x: fc.integer({ min: -50, max: 800 }),
      y: fc.integer({ min: -50, max: 400 }),
    })
    fc.assert(
      fc.property(fc.array(box, { maxLength: 12, size: 'max' }), (list) => {
        const boxes = list.map((one, at) => ({ ...one, id: String(at), top: 0, bottom: 330 }))
        const placed = placeBoxes(boxes, 750)
        placed.forEach((one, at) => {
          const { width, height } = boxes[at] as (typeof boxes)[0]
          expect(one.x - width / 2).toBeGreaterThanOrEqual(0)
          expect(one.x + width / 2).toBeLessThanOrEqual(750)
          expect(one.y - height / 2).toBeGreaterThanOrEqual(0)
          expect(one.y + height / 2).toBeLessThanOrEqual(330)
          placed.slice(at + 1).forEach((other, more) => {
            const next = boxes[at + 1 + more] as (typeof boxes)[0]
            const apart =
              Math.abs(one.x - other.x) >= (width + next.width) / 2 ||
              Math.abs(one.y - other.y) >= (height + next.height) / 2
            expect(apart).toBe(true)
          })
        })
      }),
      { numRuns: 60 },
    )
  })
  it('that have to move go no farther than they must: beside the one that lies there', () => {
    const box = { width: 60, height: 20, x: 200, y: 60, top: 0, bottom: 120 }
    const [, second] = placeBoxes(
      [
        { ...box, id: 'a' },
        { ...box, id: 'b' },
      ],
      400,
    )
    // Over or under it is 23 off, taken half again for leaving its height: 34.5; beside it would be 63.
    expect(Math.abs((second?.y ?? 0) - 60)).toBeGreaterThanOrEqual(23)
    expect(second?.moved).toBeLessThanOrEqual(30)
    const flat = { ...box, bottom: 40, top: 0, y: 20, height: 30 }
    const [, beside] = placeBoxes(
      [
        { ...flat, id: 'a' },
        { ...flat, id: 'b' },
      ],
      400,
    )
    expect(beside?.moved).toBeGreaterThanOrEqual(63)
    expect(beside?.moved).toBeLessThanOrEqual(70)
  })
  it('lie where they would best be when nothing is in the way', () => {
    const [one] = placeBoxes(
      [{ id: 'a', width: 50, height: 20, x: 100, y: 60, top: 0, bottom: 200 }],
      400,
    )
    expect(one).toEqual({ id: 'a', x: 100, y: 60, moved: 0 })
  })
})
