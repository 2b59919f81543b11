/** Discharge through a sharp-edged hole. */
const discharge = 0.62
const gravity = 9.81

/**
 * Litres a minute through a hole under water: Q = 0.62·A·√(2gh), the orifice formula.
 * @param boreMm diameter of the hole, mm. @param depthM its depth under the waterline, metres, 0 and over.
 */
export function inflowLMin(boreMm: number, depthM: number): number {
  const areaM2 = (Math.PI / 4) * (boreMm / 1000) ** 2
  return discharge * areaM2 * Math.sqrt(2 * gravity * depthM) * 1000 * 60
}

/** Minutes until water reaches the sole; null: the pumps hold it. */
export function minutesToSole(
  inLMin: number,
  pumpLMin: number,
  litresToSole: number,
): number | null {
  const net = inLMin - pumpLMin
  return net > 0 ? litresToSole / net : null
}
