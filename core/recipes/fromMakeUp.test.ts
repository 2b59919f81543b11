import { expect, it } from 'vitest'
import { add, emptyRefit } from '../testing/build'
import { recipeBook } from './book'
import { fromMakeUp } from './fromMakeUp'

const rows = emptyRefit()
const recipe = (key: string) => {
  const found = recipeBook.find((one) => one.key === key)
  if (!found) throw new Error(key)
  return found
}
const of = (key: string, given: object) =>
  fromMakeUp(
    recipe(key),
    add(rows, 'zone', 'z', { name: 'Deck', order: 'a', ...given }),
    () => 'Ida',
    (date) => date,
  )

it('takes skin and core from the place, and says who measured them where', () => {
  const made = of('dry-local-core', {
    outerMm: 4,
    innerMm: 3,
    coreMm: 16,
    measuredBy: 'ida',
    measuredOn: '2026-10-04',
    measuredAt: 'hole of the cleat',
  })
  expect(made).toEqual({
    values: { skin: 7, core: 16 },
    said: 'measured by Ida, on 2026-10-04, hole of the cleat',
    unknown: [],
  })
  // No thicker than the recipe works with.
  expect(of('dry-local-core', { coreMm: 200 }).values.core).toBe(80)
})

it('asks for what nobody measured, and guesses nothing', () => {
  const made = of('dry-local-core', { coreMm: 16 })
  expect(made.values).toEqual({ core: 16 })
  expect(made.said).toBe('measured by somebody, not said who')
  expect(made.unknown).toEqual(['both skins together'])
  expect(of('winter-lay-up', {}).unknown).toEqual([])
})
