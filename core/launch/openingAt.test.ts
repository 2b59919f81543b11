import { expect, it } from 'vitest'
import { hullLines } from '../boatMap/hull'
import { add, emptyRefit } from '../testing/build'
import { openingAt } from './openingAt'

const sizes = {
  ...{ loaM: 12, lwlM: 10, beamM: 3.8, draughtM: 1.8 },
  ...({ boatType: 'sail', keel: 'fin', pilothouse: false } as const),
}
const rows = emptyRefit()
// A cabin behind the same skin, first in the list.
add(rows, 'zone', 'cabin', {
  name: 'Saloon',
  strake: 'below',
  shape: {
    view: 'side',
    corners: [
      [0.4, 0.05],
      [0.6, 0.05],
      [0.6, -0.05],
      [0.4, -0.05],
    ],
  },
})
add(rows, 'zone', 'under', {
  name: 'Hull amidships',
  belowWaterline: true,
  shape: {
    view: 'side',
    corners: [
      [0.4, -0.02],
      [0.6, -0.02],
      [0.6, -0.08],
      [0.4, -0.08],
    ],
  },
})
// Over the same spots, seen from above: nothing of it is pressed on her side.
add(rows, 'zone', 'deck', {
  name: 'Side deck',
  shape: {
    view: 'plan',
    corners: [
      [0, -0.5],
      [1, -0.5],
      [1, 0.5],
      [0, 0.5],
    ],
  },
})

it('takes a hole where her side is pressed: how far forward, how deep, in which place', () => {
  const lines = hullLines(sizes)
  // 3 % of twelve metres under the water: 36 cm, to five centimetres.
  expect(openingAt(lines, rows.zone, 12, [0.503, -0.03])).toEqual({
    along: 0.5,
    heightM: -0.35,
    zoneId: 'under',
  })
  expect(openingAt(lines, rows.zone, 12, [0.5, 0.02])).toMatchObject({
    heightM: 0.25,
    zoneId: 'cabin',
  })
  expect(openingAt(lines, rows.zone, 12, [0.5, -0.4])).toBeNull()
  expect(openingAt(lines, rows.zone, 12, [1.2, 0])).toBeNull()
})
