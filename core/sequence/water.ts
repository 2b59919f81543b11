import { gateDate } from '../plan/haulOutOf'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { xAt } from './scale'
import type { TimeScale } from './scale'

/** A stretch ashore, from the strops going on to the launch, UTC ms. */
export interface AshoreSpan {
  readonly from: number
  readonly to: number
}

/** Ten in the morning, for launches of which only the date is known. */
const launchMinutes = 600

/** When she is ashore: launched when she was, else when the plan says, else when it is aimed at. */
export function ashoreSpans(
  rows: Pick<RefitRows, 'haulOut' | 'place'>,
  plan: StoredPlan | null,
  clock: ZoneClock,
): AshoreSpan[] {
  return haulOutsAsPlanned(rows, plan, clock).map(({ haulOut, from, launchAt }) => {
    const aimed = gateDate(rows, { kind: 'launch', haulOutId: haulOut.id, on: null }) as string
    return {
      from: from - slingMs,
      to: launchAt === Infinity ? clock.at(dayNumber(aimed), launchMinutes) : launchAt,
    }
  })
}

/** Half the width over which the water rises or falls, drawing units. */
const slope = 14

/** The waterline as a path: high while she floats, low while she is ashore. */
export function waterPath(
  spans: readonly AshoreSpan[],
  scale: TimeScale,
  high: number,
  low: number,
): string {
  const levelAt = (at: number) => (spans.some((one) => at >= one.from && at < one.to) ? low : high)
  const edges = spans
    .flatMap((one) => [one.from, one.to])
    .filter((at) => at > scale.from && at < scale.to)
    .sort((a, b) => a - b)
  let level = levelAt(scale.from)
  const points = [`M${scale.left} ${level}`]
  for (const edge of edges) {
    const next = levelAt(edge)
    if (next === level) continue
    const at = xAt(scale, edge)
    points.push(
      `L${Math.max(scale.left, at - slope)} ${level} C${at} ${level} ${at} ${next} ${at + slope} ${next}`,
    )
    level = next
  }
  return [...points, `L${scale.right} ${level}`].join(' ')
}
