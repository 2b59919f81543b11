/** Who is to be called by when, and what is sent out by when: the same window as a part has. Source: handbook-2 G1. */
import type { Row } from '../model/entities'
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { factsOf } from '../plan/facts'
import { dayMs, dayOnWeekday } from '../time/civil'
import { buyWindow } from './buyWindow'
import type { BuyWindow } from './buyWindow'
import type { StoreFacts } from './storeFacts'

/** Assumed where nobody asked them: ask. */
const assumedNoticeDays = 14

export interface TradeFacts {
  readonly step: Row<'step'>
  readonly job: Row<'job'>
  readonly booking: Row<'tradeBooking'> | null
  /** 'call': they come to the boat. 'send': it goes to them and comes back. */
  readonly kind: 'call' | 'send'
  readonly window: BuyWindow
  /** Local day on which they come, or by which it is back. */
  readonly on: number | null
  /** Local day on which the plan begins it, whoever comes when. */
  readonly begins: number
  /** True: the notice is assumed. */
  readonly isAssumed: boolean
  readonly priceMinor: number | null
}

/** When the work that follows a step in its job, or waits for it by a link, begins first; null: nothing does. */
function followsFrom(
  rows: Pick<RefitRows, 'link'>,
  ofJob: readonly Row<'step'>[],
  step: Row<'step'>,
  startOf: (stepId: string) => number | null,
  firstOf: (jobId: string) => number | null,
): number | null {
  const later = ofJob.slice(ofJob.indexOf(step) + 1).flatMap((one) => startOf(one.id) ?? [])
  const isLast = ofJob.at(-1) === step
  const linked = rows.link
    .filter((link) => link.fromStepId === step.id || (isLast && link.fromStepId === null))
    .filter((link) => link.fromJobId === step.jobId)
    .flatMap((link) => (link.toStepId ? startOf(link.toStepId) : firstOf(link.toJobId)) ?? [])
  const all = [...later, ...linked]
  return all.length === 0 ? null : Math.min(...all)
}

/** Open steps that a trade does, with their windows. A yard's own lifts are not called for here. */
export function tradesOf({ rows, plan, clock, today, tripBefore }: StoreFacts): TradeFacts[] {
  const jobs = byId(rows.job)
  const placed = new Map(plan?.placements.map((one) => [one.stepId, one]) ?? [])
  const startOf = (stepId: string) => placed.get(stepId)?.segments[0]?.[0] ?? null
  const stepsOf = groupBy(rows.step, (one) => one.jobId)
  const firstOf = (jobId: string): number | null => {
    const starts = (stepsOf.get(jobId) ?? []).flatMap((one) => startOf(one.id) ?? [])
    return starts.length === 0 ? null : Math.min(...starts)
  }
  const bookings = groupBy(
    rows.tradeBooking.filter((one) => one.state !== 'cancelled'),
    (one) => one.stepId,
  )
  return rows.step.flatMap((step): TradeFacts[] => {
    const job = jobs.get(step.jobId)
    const { byOthers, byYard } = factsOf(step)
    const booking = bookings.get(step.id)?.[0] ?? null
    const isTrade = (byOthers && step.operation !== 'buy' && !byYard) || booking !== null
    if (!isTrade || !job || job.decision !== 'plan' || step.state !== 'open') return []
    const own = placed.get(step.id)
    const start = own?.segments[0]?.[0]
    if (!own || start === undefined) return []
    if (step.placeNeed === 'away') {
      const needed = followsFrom(rows, inOrder(stepsOf.get(job.id) ?? []), step, startOf, firstOf)
      const leadDays = Math.ceil((own.readyAt - start) / dayMs)
      const window = buyWindow({
        today,
        opensOn: clock.dayOf(start),
        neededOn: needed === null ? null : tripBefore(needed),
        leadDays,
        // The plan has its way there and back in it: it is late only where that does not fit.
        spare: 0,
      })
      return [
        {
          step,
          job,
          booking,
          kind: 'send',
          window,
          on: window.neededOn,
          begins: clock.dayOf(start),
          isAssumed: step.waitHours === 0,
          priceMinor: booking?.priceMinor ?? job.tradePriceMinor,
        },
      ]
    }
    const on = dayOnWeekday(clock.dayOf(start), booking?.comesOn ?? [])
    const notice = booking?.noticeDays ?? null
    return [
      {
        step,
        job,
        booking,
        kind: 'call',
        window: buyWindow({
          today,
          opensOn: null,
          neededOn: on,
          leadDays: notice ?? assumedNoticeDays,
        }),
        on,
        begins: clock.dayOf(start),
        isAssumed: notice === null,
        priceMinor: booking?.priceMinor ?? job.tradePriceMinor,
      },
    ]
  })
}
