/** Worked by hand: M8, drilled 8 mm wider, dug back 6: 8 + 6 = 14 mm from the middle; a disc of 0.012 m² reaches 61.8 mm. */
import { describe, expect, it } from 'vitest'
import type { Shape } from '../bench/drawing'
import { onPaper } from '../book/onPaper'
import { fittingMakeOf } from './fittingMake'
import { fittingSection, halfShownMm, sayMake } from './fittingSection'

const sleeved = {
  recipeKey: 'sleeve-and-bed',
  recipeInputs: {
    holes: 4,
    bolt: 8,
    overDrill: 8,
    undercut: 6,
    skin: 8,
    core: 12,
    base: 6,
    plate: 5,
  },
}
const dried = (way: string) => ({
  recipeKey: 'dry-local-core',
  recipeInputs: { areaM2: 0.012, holes: 1, bolt: 20, skin: 9, core: 12, ring: 20, way },
})
const makeOf = (job: Parameters<typeof fittingMakeOf>[0]) => {
  const make = fittingMakeOf(job)
  if (!make) throw new Error('no make')
  return make
}
/** Nearest edge to the middle of what is drawn of a stuff right of the bolt, and its far edge. */
function reach(shapes: readonly Shape[], fill: string): [number, number] {
  const boxes = shapes.flatMap((one) =>
    one.is === 'box' && one.fill === fill && one.from[0] > 0 ? [one] : [],
  )
  return [
    Math.min(...boxes.map((one) => one.from[0])),
    Math.max(...boxes.map((one) => one.from[0] + one.size[0])),
  ]
}

describe('how a bolt passes through a deck', () => {
  it('is read off the dimensions of its job', () => {
    expect(fittingMakeOf(sleeved)).toEqual({
      ...{ boltMm: 8, holeMm: 9, skinsMm: 8, coreMm: 12, baseMm: 6, plateMm: 5 },
      solid: { drilledMm: 16, toMm: 14 },
    })
    expect(makeOf(dried('ring')).solid).toEqual({ drilledMm: 28, toMm: 34 })
    expect(makeOf(dried('dam')).solid?.toMm).toBeCloseTo(61.8, 1)
    // A quarter of it round each of four holes: a disc of 0.003 m² reaches 30.9 mm.
    const four = dried('dam')
    const each = makeOf({ ...four, recipeInputs: { ...four.recipeInputs, holes: 4, bolt: 8 } })
    expect(each.solid?.toMm).toBeCloseTo(30.9, 1)
  })

  it('is not known of a solid laminate, a bolt that is no thread, or a recipe about something else', () => {
    const { recipeInputs } = sleeved
    expect(fittingMakeOf({ ...sleeved, recipeInputs: { ...recipeInputs, core: 0 } })).toBeNull()
    expect(fittingMakeOf({ ...sleeved, recipeInputs: { ...recipeInputs, bolt: 9.3 } })).toBeNull()
    expect(fittingMakeOf({ recipeKey: 'tank', recipeInputs: { volume: 3 } })).toBeNull()
    expect(fittingMakeOf({ ...sleeved, recipeKey: null })).toBeNull()
  })
})

describe('the section through it', () => {
  const make = makeOf(dried('ring'))
  const bare = { ...make, solid: null }
  const half = halfShownMm(make, bare)

  it('has the core begin where the filling ends, and water in one that is bare', () => {
    expect(reach(fittingSection(make, half).shapes, 'core')).toEqual([34, half])
    expect(reach(fittingSection(make, half).shapes, 'resin')).toEqual([make.holeMm / 2, 34])
    // A ruler may be laid to it.
    expect(fittingSection(make, half).inMm).toBe(true)
    const wet = fittingSection(bare, half, true).shapes
    const [from, to] = reach(wet, 'waste')
    expect(from).toBe(make.holeMm / 2)
    expect(reach(wet, 'core')).toEqual([to, half])
    expect(to).toBeLessThan(half)
    expect(reach(fittingSection(make, half, true).shapes, 'waste')[0]).toBe(Infinity)
  })

  it('is said from the top', () => {
    expect(sayMake(makeOf(sleeved))).toBe(
      'base 6 mm; skins 8 mm together; core 12 mm, solid to 14 mm from the middle of the bolt; plate 5 mm; bolt M8',
    )
    expect(sayMake(bare)).toContain('core 12 mm, bare up to the hole')
  })

  it('is put on paper at the largest scale that has room, and never smaller than it says', () => {
    // 34 and 14 mm on both sides are 96 mm.
    const drawing = fittingSection(make, half)
    expect(onPaper(drawing, 100)).toMatchObject({ scale: 'full size', wideMm: 96.8 })
    expect(onPaper(drawing, 80)).toMatchObject({ scale: 'half size', wideMm: 48.8 })
    expect(onPaper(drawing, 40).scale).toBe('a quarter of its size')
    expect(onPaper(drawing, 5)).toMatchObject({ scale: 'not to a scale', wideMm: 5 })
  })
})
