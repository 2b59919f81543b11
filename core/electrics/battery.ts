/** What the volts of a rested battery say. */

/** Rest volts of a 12 V lead battery by charge, at about 20 °C. Starting values, between flooded and AGM; the maker's sheet decides. */
const leadRest: readonly (readonly [volts: number, percent: number])[] = [
  [11.8, 0],
  [12.0, 25],
  [12.25, 50],
  [12.45, 75],
  [12.7, 100],
]
/** The same for four cells of lithium iron phosphate: flat in the middle, so that little is said by volts. */
const lithiumRest: readonly (readonly [volts: number, percent: number])[] = [
  [12.0, 5],
  [12.8, 17],
  [13.0, 30],
  [13.2, 70],
  [13.3, 90],
  [13.4, 99],
]
/** Under this at the posts with the charger on, nothing is charging it. */
export const chargingFromV = 13.2

/** Charge in per cent from rest volts of a nominal 12 V bank; between the points in a straight line. */
export function restCharge(volts: number, kind: 'lead' | 'lithium'): number {
  const points = kind === 'lead' ? leadRest : lithiumRest
  const [first, last] = [points[0], points.at(-1)] as const
  if (!first || !last) return 0
  if (volts <= first[0]) return first[1]
  if (volts >= last[0]) return last[1]
  const at = points.findIndex(([v]) => v >= volts)
  const [[v0, p0], [v1, p1]] = [points[at - 1] ?? first, points[at] ?? last]
  return p0 + ((volts - v0) / (v1 - v0)) * (p1 - p0)
}
