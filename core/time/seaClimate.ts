/** A first guess of a coast's air by month from where it lies. A start to be put right by hand, never a forecast. */
import { needRange } from '../guard'

/** Mean air of the coldest and the warmest month on a coast, °C. */
interface Coast {
  readonly latDeg: number
  readonly lonDeg: number
  readonly coldestC: number
  readonly warmestC: number
}

/**
 * Coasts round the world with their long-term means, rounded to a degree, from general knowledge of
 * climate normals. Between them the nearest ones are weighed by distance.
 */
const coasts: readonly Coast[] = [
  { latDeg: 52, lonDeg: -8, coldestC: 7, warmestC: 16 },
  { latDeg: 50, lonDeg: -4, coldestC: 7, warmestC: 17 },
  { latDeg: 56, lonDeg: -5, coldestC: 5, warmestC: 15 },
  { latDeg: 53, lonDeg: 5, coldestC: 3, warmestC: 18 },
  { latDeg: 55, lonDeg: 11, coldestC: 1, warmestC: 18 },
  { latDeg: 59, lonDeg: 18, coldestC: -2, warmestC: 18 },
  { latDeg: 60, lonDeg: 25, coldestC: -5, warmestC: 18 },
  { latDeg: 60, lonDeg: 5, coldestC: 2, warmestC: 15 },
  { latDeg: 69, lonDeg: 18, coldestC: -4, warmestC: 12 },
  { latDeg: 47, lonDeg: -2, coldestC: 7, warmestC: 20 },
  { latDeg: 43, lonDeg: -8, coldestC: 10, warmestC: 19 },
  { latDeg: 38, lonDeg: -9, coldestC: 12, warmestC: 23 },
  { latDeg: 36, lonDeg: -5, coldestC: 13, warmestC: 25 },
  { latDeg: 43, lonDeg: 6, coldestC: 9, warmestC: 24 },
  { latDeg: 40, lonDeg: 3, coldestC: 11, warmestC: 26 },
  { latDeg: 43, lonDeg: 16, coldestC: 9, warmestC: 26 },
  { latDeg: 37, lonDeg: 25, coldestC: 12, warmestC: 27 },
  { latDeg: 35, lonDeg: 34, coldestC: 13, warmestC: 28 },
  { latDeg: 41, lonDeg: 29, coldestC: 6, warmestC: 25 },
  { latDeg: 28, lonDeg: -15, coldestC: 18, warmestC: 25 },
  { latDeg: 64, lonDeg: -22, coldestC: 0, warmestC: 11 },
  { latDeg: 44, lonDeg: -64, coldestC: -4, warmestC: 19 },
  { latDeg: 44, lonDeg: -69, coldestC: -5, warmestC: 20 },
  { latDeg: 41, lonDeg: -71, coldestC: -1, warmestC: 22 },
  { latDeg: 38, lonDeg: -76, coldestC: 3, warmestC: 26 },
  { latDeg: 33, lonDeg: -80, coldestC: 10, warmestC: 28 },
  { latDeg: 26, lonDeg: -80, coldestC: 20, warmestC: 29 },
  { latDeg: 30, lonDeg: -88, coldestC: 11, warmestC: 28 },
  { latDeg: 45, lonDeg: -83, coldestC: -7, warmestC: 20 },
  { latDeg: 17, lonDeg: -62, coldestC: 25, warmestC: 28 },
  { latDeg: 9, lonDeg: -80, coldestC: 27, warmestC: 28 },
  { latDeg: 48, lonDeg: -123, coldestC: 4, warmestC: 17 },
  { latDeg: 58, lonDeg: -135, coldestC: -3, warmestC: 14 },
  { latDeg: 38, lonDeg: -123, coldestC: 10, warmestC: 18 },
  { latDeg: 33, lonDeg: -117, coldestC: 14, warmestC: 22 },
  { latDeg: 21, lonDeg: -158, coldestC: 23, warmestC: 28 },
  { latDeg: 35, lonDeg: 140, coldestC: 6, warmestC: 27 },
  { latDeg: 22, lonDeg: 114, coldestC: 16, warmestC: 29 },
  { latDeg: 1, lonDeg: 104, coldestC: 26, warmestC: 28 },
  { latDeg: 8, lonDeg: 98, coldestC: 27, warmestC: 29 },
  { latDeg: 19, lonDeg: 73, coldestC: 24, warmestC: 30 },
  { latDeg: 25, lonDeg: 55, coldestC: 19, warmestC: 36 },
  { latDeg: -34, lonDeg: 18, coldestC: 12, warmestC: 21 },
  { latDeg: -30, lonDeg: 31, coldestC: 17, warmestC: 25 },
  { latDeg: -4, lonDeg: 40, coldestC: 24, warmestC: 28 },
  { latDeg: -32, lonDeg: 116, coldestC: 13, warmestC: 25 },
  { latDeg: -38, lonDeg: 145, coldestC: 10, warmestC: 20 },
  { latDeg: -43, lonDeg: 147, coldestC: 8, warmestC: 17 },
  { latDeg: -34, lonDeg: 151, coldestC: 13, warmestC: 23 },
  { latDeg: -19, lonDeg: 147, coldestC: 20, warmestC: 28 },
  { latDeg: -36, lonDeg: 175, coldestC: 11, warmestC: 20 },
  { latDeg: -44, lonDeg: 173, coldestC: 6, warmestC: 17 },
  { latDeg: -17, lonDeg: -149, coldestC: 25, warmestC: 28 },
  { latDeg: -34, lonDeg: -58, coldestC: 11, warmestC: 25 },
  { latDeg: -23, lonDeg: -43, coldestC: 21, warmestC: 27 },
  { latDeg: -33, lonDeg: -71, coldestC: 12, warmestC: 18 },
  { latDeg: -42, lonDeg: -73, coldestC: 8, warmestC: 14 },
  { latDeg: 15, lonDeg: -17, coldestC: 21, warmestC: 28 },
]

const rad = Math.PI / 180
/** Great-circle distance as an angle, degrees. */
function awayDeg(latA: number, lonA: number, latB: number, lonB: number): number {
  const cosine =
    Math.sin(latA * rad) * Math.sin(latB * rad) +
    Math.cos(latA * rad) * Math.cos(latB * rad) * Math.cos((lonA - lonB) * rad)
  return Math.acos(Math.min(1, Math.max(-1, cosine))) / rad
}

/** Coasts weighed together, and the nearest distance that is still set apart, degrees. */
const nearest = 3
const leastDeg = 0.5
/** Month of the warmest air, from 0: the sea lags the sun by five weeks. */
const warmestMonth = { north: 6.7, south: 0.7 } as const

/**
 * Mean air by month on the coast at a place, °C, January first, to half a degree: a wave between the means
 * of the coldest and the warmest month of the nearest coasts. Latitude −90 to 90, longitude −180 to 180;
 * throws RangeError outside.
 */
export function monthMeansAt(latitudeDeg: number, longitudeDeg: number): number[] {
  needRange('monthMeansAt', 'latitude', latitudeDeg, -90, 90)
  needRange('monthMeansAt', 'longitude', longitudeDeg, -180, 180)
  const near = coasts
    .map((coast) => ({
      coast,
      deg: Math.max(leastDeg, awayDeg(latitudeDeg, longitudeDeg, coast.latDeg, coast.lonDeg)),
    }))
    .sort((a, b) => a.deg - b.deg)
    .slice(0, nearest)
  const weight = (deg: number) => 1 / deg ** 2
  const sum = near.reduce((all, one) => all + weight(one.deg), 0)
  const mean = (of: (coast: Coast) => number) =>
    near.reduce((all, one) => all + of(one.coast) * weight(one.deg), 0) / sum
  const [cold, warm] = [mean((coast) => coast.coldestC), mean((coast) => coast.warmestC)]
  const peak = latitudeDeg >= 0 ? warmestMonth.north : warmestMonth.south
  return Array.from({ length: 12 }, (_, month) => {
    const wave = Math.cos((2 * Math.PI * (month - peak)) / 12)
    return Math.round(((cold + warm) / 2 + ((warm - cold) / 2) * wave) * 2) / 2
  })
}
