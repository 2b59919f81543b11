/** Dimensions that begin with the boat's own sizes. */
import { describe, expect, it } from 'vitest'
import { recipeBook } from './book'
import { recipeProblems } from './check'
import { beginsWith, initialInputs } from './ofBoat'
import type { Recipe } from './recipe'

const boat = { loaM: 12.19, lwlM: 10.1, beamM: 3.7, draughtM: 1.75 }
const of = (key: string) => recipeBook.find((one) => one.key === key) as Recipe

describe('the first dimensions of a recipe', () => {
  it('are the underwater hull of this boat, by hand: 0.75 × 10.1 × (3.7 + 1.75) = 41.28', () => {
    expect(initialInputs(of('strip-barrier-antifoul'), boat).areaM2).toBe(41.28)
  })

  it('are the usual ones where a size is not said or the answer is out of range', () => {
    const recipe = of('strip-barrier-antifoul')
    const [area] = recipe.inputs
    const usual = area?.initial
    expect(initialInputs(recipe, { ...boat, draughtM: null }).areaM2).toBe(usual)
    expect(initialInputs(recipe).areaM2).toBe(usual)
    if (area) expect(beginsWith({ ...area, max: 30 }, boat)).toBe(usual)
    if (area) expect(beginsWith({ ...area, ofBoat: 'loaM / (beamM - 3.7)' }, boat)).toBe(usual)
  })

  it('are length and beam for the winter cover', () => {
    const { lengthM, beamM } = initialInputs(of('winter-lay-up'), boat)
    expect([lengthM, beamM]).toEqual([12.19, 3.7])
  })

  it('stand on sizes a boat has', () => {
    const recipe = of('winter-lay-up')
    const [first, ...rest] = recipe.inputs
    const bad = { ...recipe, inputs: [{ ...first, ofBoat: '2 * mastM' }, ...rest] } as Recipe
    expect(recipeProblems(bad).map((one) => one.message)).toEqual([
      expect.stringMatching(/“mastM” is no size of the boat/),
    ])
  })
})
