import { expect, it } from 'vitest'
import { wayPrice } from './wayPrice'

const part = (name: string, unit: string, priceMinor: number | null, state = 'arrived') =>
  ({ name, unit, priceMinor, state }) as Parameters<typeof wayPrice>[1][number]
const material = (what: string, unit: string, quantity: number) =>
  ({ what, unit, quantity }) as Parameters<typeof wayPrice>[0][number]

it('is the newest price of each material by name and unit, and says how many have none', () => {
  const parts = [
    part('Epoxy, mixed', 'kg', 2000),
    part('epoxy, mixed ', 'kg', 2400),
    part('Epoxy, mixed', 'kg', 900, 'returned'),
    part('Core 16 mm', 'pieces', 500),
    part('Peel ply', 'm²', null),
  ]
  const materials = [
    material('Epoxy, mixed', 'kg', 0.5),
    material('Core 16 mm', 'm²', 0.3),
    material('Peel ply', 'm²', 1),
  ]
  // Half a kilogram at 24: 12.00; core is sold by the piece only, and peel ply has no price.
  expect(wayPrice(materials.slice(0, 2), parts)).toEqual({ minor: 1200, unknown: 1 })
  expect(wayPrice(materials, parts)).toBeNull()
  expect(wayPrice([], parts)).toBeNull()
})
