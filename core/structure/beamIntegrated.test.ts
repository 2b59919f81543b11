/** Sag against the beam's own equation, integrated step by step: curvature is moment by stiffness. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { equallyStiffMm, equallyStrongMm, inertiaMm4, sagMm } from './stiffness'

/** Sag in the middle of a beam on two supports with a force there, mm, from 4,000 slices. */
function sagged(forceN: number, longMm: number, eMpa: number, inertia: number): number {
  const slices = 4000
  const dx = longMm / slices
  const moment = (x: number) => (forceN / 2) * Math.min(x, longMm - x)
  let slope = 0
  let down = 0
  const line = [0]
  for (let at = 0; at < slices; at++) {
    slope += (moment((at + 0.5) * dx) / (eMpa * inertia)) * dx
    down += slope * dx
    line.push(down)
  }
  // Turned about the first support until the last one is as high.
  const tilt = down / slices
  return tilt * (slices / 2) - (line[slices / 2] as number)
}
/** Second moment of a rectangle from strips. */
function inertiaOf(wide: number, high: number): number {
  const strips = 2000
  const dy = high / strips
  let sum = 0
  for (let at = 0; at < strips; at++) sum += wide * dy * ((at + 0.5) * dy - high / 2) ** 2
  return sum
}

const size = fc.integer({ min: 3, max: 120 })
const gpa = fc.integer({ min: 2, max: 210 })

describe('a beam, integrated', () => {
  it('sags as the formula says', () =>
    fc.assert(
      fc.property(
        size,
        size,
        gpa,
        fc.integer({ min: 100, max: 4000 }),
        fc.integer({ min: 1, max: 5000 }),
        (b, h, e, long, force) => {
          const inertia = inertiaOf(b, h)
          expect(inertiaMm4(b, h) / inertia).toBeCloseTo(1, 5)
          expect(
            sagMm(force, long, e, inertiaMm4(b, h)) / sagged(force, long, e * 1000, inertia),
          ).toBeCloseTo(1, 3)
        },
      ),
      { numRuns: 40 },
    ))
  it('of another stuff, as thick as is said, sags as much or is strained as much', () =>
    fc.assert(
      fc.property(size, gpa, gpa, (thick, from, to) => {
        const other = equallyStiffMm(thick, from, to)
        const [was, is] = [
          sagged(100, 1000, from * 1000, inertiaOf(50, thick)),
          sagged(100, 1000, to * 1000, inertiaOf(50, other)),
        ]
        expect(is / was).toBeCloseTo(1, 4)
        // Strain at the face: moment × half the thickness ÷ second moment, as a share of what it bears.
        const strong = equallyStrongMm(thick, from, to)
        const share = (t: number, bears: number) => (25_000 * (t / 2)) / inertiaOf(50, t) / bears
        expect(share(strong, to) / share(thick, from)).toBeCloseTo(1, 4)
      }),
      { numRuns: 40 },
    ))
})
