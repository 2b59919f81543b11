/** What a lift puts on slings and crane. The crane firm's lift plan decides; this says what to ask them. */
import type { LiftSheet } from '../model/entities'
import type { CraneRow } from '../model/entities/launch'
import { accepted, refused } from '../result'
import type { Result } from '../result'

const rad = Math.PI / 180
/** Two cranes share a load unevenly: each is taken for so much of its chart. Source: handbook-2 H1. */
const sharedBy = 0.75

export interface SlingSplit {
  readonly foreT: number
  readonly aftT: number
  /** Each of the two legs of a sling. */
  readonly foreLegT: number
  readonly aftLegT: number
}

/**
 * Two supports: W1 = W (x2 − xg)/(x2 − x1), W2 = W − W1; leg = (Wi/2)/cos(angle). Source: handbook 6.
 * @param weightT over 0. @param x1, x2, xg metres from the stem, x1 < xg < x2. @param legDeg from the vertical, under 90.
 */
export function slingSplit(
  weightT: number,
  x1: number,
  x2: number,
  xg: number,
  legDeg: number,
): Result<SlingSplit> {
  if (x2 <= x1) return refused('The aft sling lies before the fore one: swap them.')
  if (xg <= x1 || xg >= x2)
    return refused(
      `The centre of gravity, ${xg.toFixed(2)} m from the stem, is not between the slings at ${x1.toFixed(2)} and ${x2.toFixed(2)} m: she would tip out of them.`,
    )
  const foreT = (weightT * (x2 - xg)) / (x2 - x1)
  const aftT = weightT - foreT
  const leg = (half: number) => half / 2 / Math.cos(legDeg * rad)
  return accepted({ foreT, aftT, foreLegT: leg(foreT), aftLegT: leg(aftT) })
}

export interface CraneUse {
  /** Boat and gear, on one hook; with two cranes the heavier end. */
  readonly hookT: number
  readonly radiusM: number
  /** The row of the chart that is read: the next one out. */
  readonly rowM: number
  readonly rowT: number
  /** Share of what that row allows. */
  readonly share: number
  /** The furthest the crane may be set back, by a straight line between the rows; null: already too far. */
  readonly mostSetBackM: number | null
}

/** Where a chart, taken as straight between its rows, still holds a load; null: not even at its first row. */
function furthestRadius(chart: readonly CraneRow[], loadT: number): number | null {
  let best: number | null = null
  for (const [index, [radius, load]] of chart.entries()) {
    if (load < loadT) {
      const before = chart[index - 1]
      if (!before) return null
      const [r0, l0] = before
      return r0 + ((l0 - loadT) / (l0 - load)) * (radius - r0)
    }
    best = radius
  }
  return best
}

/**
 * How much of its chart a crane is asked for: radius = set-back + fender + half her beam, read at the next row out and
 * never between rows. Source: handbook-2 H1.
 */
export function craneUse(
  sheet: Pick<LiftSheet, 'chart' | 'cranes' | 'setBackM' | 'fenderM' | 'gearT'>,
  weightT: number,
  beamM: number,
  split: SlingSplit | null,
): Result<CraneUse> {
  const chart = [...sheet.chart].sort((a, b) => a[0] - b[0])
  if (chart.length === 0) return refused('Type the rows of the crane’s chart: radius and load.')
  if (sheet.setBackM === null)
    return refused('Say how far the crane stands back from the edge of the quay.')
  const half = sheet.fenderM + beamM / 2
  const radiusM = sheet.setBackM + half
  const onOne =
    sheet.cranes === 1 || !split ? weightT / sheet.cranes : Math.max(split.foreT, split.aftT)
  const hookT = onOne + sheet.gearT
  const allowed = sheet.cranes === 1 ? 1 : sharedBy
  const row = chart.find(([radius]) => radius >= radiusM)
  if (!row)
    return refused(
      `The chart ends at ${chart.at(-1)?.[0]} m, and she hangs at ${radiusM.toFixed(2)} m: this crane does not reach.`,
    )
  const furthest = furthestRadius(chart, hookT / allowed)
  return accepted({
    hookT,
    radiusM,
    rowM: row[0],
    rowT: row[1],
    share: hookT / (row[1] * allowed),
    mostSetBackM: furthest === null || furthest < half ? null : furthest - half,
  })
}
