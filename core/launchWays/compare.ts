/** Ways to launch side by side: each laid for real, then costed over the same days. */
import { asShare } from '../inParts'
import type { InParts } from '../inParts'
import { supposing } from '../model/applyChange'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import type { Asking } from '../plan/whatIf'
import type { ZoneClock } from '../time/zone'
import { accessHours, wayMoney } from './cost'
import type { WayMoney } from './cost'
import type { LaunchWay, WayKey } from './ways'

export interface WayFigures {
  readonly key: WayKey
  /** UTC ms of the launch; null: it cannot be dated, for these reasons. */
  readonly launchAt: number | null
  readonly reasons: readonly string[]
  /** Last finish of what this way does before, afloat or in its own second lift; what a later haul-out takes is left out. */
  readonly finishAt: number | null
  /** UTC ms when she is back in the water for good by this way, and all is finished. */
  readonly overAt: number
  /** Over the days from now to the last finish of all ways; null: no yard price. */
  readonly money: WayMoney | null
  readonly accessHours: number
  /** Jobs before the launch with when each is ready, the last first. */
  readonly before: readonly { readonly jobId: string; readonly readyAt: number }[]
}

export interface WaysCompared {
  readonly ways: readonly WayFigures[]
  /** Up to when all are costed, UTC ms. */
  readonly until: number
}

/** Lays and costs each way. `now`: UTC ms. Ways whose launch has no date are not costed. */
export function* compareWays(
  rows: RefitRows,
  asking: Asking,
  ways: readonly LaunchWay[],
  gateId: string,
  now: number,
  clock: ZoneClock,
): InParts<WaysCompared> {
  const laid: { way: LaunchWay; rows: RefitRows; plan: StoredPlan }[] = []
  for (const [index, way] of ways.entries()) {
    const parts = asking.laidWith(way.items)
    const plan = yield* asShare(parts, index / ways.length, (index + 1) / ways.length)
    laid.push({ way, rows: supposing(rows, way.items), plan })
  }
  const read = laid.map((one) => figuresOf(one.way, one.rows, one.plan, gateId, clock))
  const until = Math.max(now, ...read.map((one) => one.overAt))
  return {
    until,
    ways: read.map((one, index) => {
      const { rows: own, plan } = laid[index] as (typeof laid)[number]
      return {
        ...one,
        money: one.launchAt === null ? null : wayMoney(own, plan, now, until, clock),
      }
    }),
  }
}

function figuresOf(
  way: LaunchWay,
  rows: RefitRows,
  plan: StoredPlan,
  gateId: string,
  clock: ZoneClock,
): WayFigures {
  const carried = new Set(way.key === 'again' ? [] : way.carried)
  const own = new Set(
    [...way.before, ...way.afloat, ...way.carried].filter((id) => !carried.has(id)),
  )
  const jobOf = new Map(rows.step.filter((one) => !one.afterGate).map((one) => [one.id, one.jobId]))
  const gate = plan.gates.find((one) => one.gateId === gateId)
  const ready = new Map<string, number>()
  const stepIds = new Set<string>()
  let finishAt: number | null = null
  for (const one of plan.placements) {
    const jobId = jobOf.get(one.stepId)
    if (jobId === undefined || !own.has(jobId)) continue
    stepIds.add(one.stepId)
    const end = one.segments.at(-1)?.[1] ?? 0
    // What of a job is done afloat, after the launch, did not hold it.
    if (end <= (gate?.at ?? 0)) ready.set(jobId, Math.max(ready.get(jobId) ?? 0, one.readyAt))
    finishAt = Math.max(finishAt ?? 0, end)
  }
  const made = new Set(way.items.flatMap((item) => (item.entity === 'haulOut' ? [item.id] : [])))
  const launches = plan.launches.filter((one) => made.has(one.haulOutId)).map((one) => one.at)
  return {
    key: way.key,
    launchAt: gate?.at ?? null,
    reasons: gate ? [] : plan.reasons.map((one) => one.message),
    finishAt,
    overAt: Math.max(finishAt ?? 0, gate?.at ?? 0, ...launches),
    money: null,
    accessHours: accessHours(rows, plan, stepIds, clock),
    before: way.before
      .flatMap((jobId) => {
        const readyAt = ready.get(jobId)
        return readyAt === undefined ? [] : [{ jobId, readyAt }]
      })
      .sort((a, b) => b.readyAt - a.readyAt),
  }
}
