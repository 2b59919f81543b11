/** Ranges by length, from the table of the rules: 50, 20 and 12 m are where they change. */
import { expect, it } from 'vitest'
import { lightsWanted, sayLights } from './lights'

it('asks for more miles from 12, 20 and 50 m on', () => {
  const miles = (loaM: number) => lightsWanted({ loaM, boatType: 'sail' }).map((one) => one.miles)
  expect(miles(11.99)).toEqual([1, 2, 2, 2])
  expect(miles(12)).toEqual([2, 2, 3, 2])
  expect(miles(20)).toEqual([2, 2, 5, 2])
  expect(miles(50)).toEqual([3, 3, 6, 3])
  expect(sayLights(lightsWanted({ loaM: 9, boatType: 'motor' }))).toBe(
    'sides 112.5°, 1 mile; stern 135°, 2 miles; masthead 225°, 2 miles; anchor all round, 2 miles',
  )
})
