/** What a change would do: the refit as it is and as it would be, laid at the same time by the same method. */
import { supposing } from '../model/applyChange'
import type { ChangeItem } from '../model/changes'
import type { Gate } from '../model/entities'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { zoneClock } from '../time/zone'
import type { ZoneClock } from '../time/zone'
import { effectSentence, gateEffects } from './effect'
import type { GatesOf } from './effect'
import { bestPlan } from './improve'
import type { PlanEffort } from './improve'
import { isOpen } from './planned'

/** What of two plans is compared. */
export interface WhatIf {
  readonly before: GatesOf
  readonly after: GatesOf
  /** Steps of today that would no longer be done today. */
  readonly pushed: readonly Pushed[]
}

/** A step that is put off from today. */
export interface Pushed {
  readonly stepId: string
  /** When it would begin instead, UTC ms; null: it has no place any more. */
  readonly to: number | null
}

/** Orders tried on either side, so that neither looks worse than it would come out; none for a large refit. */
const effortOf = (rows: RefitRows): PlanEffort => ({
  seed: 1,
  iterations: rows.step.filter(isOpen).length > mostSearched ? 0 : 4,
  stop: () => false,
})
/** Open steps above which nothing is searched: a question is answered in a second. */
const mostSearched = 600

const gatesOf = ({ gates, reasons }: StoredPlan): GatesOf => ({ gates, reasons })

/** A refit as it is, laid once for all questions about it. */
export function askingOf(
  rows: RefitRows,
  now: number,
  accepted: StoredPlan | null,
): (items: readonly ChangeItem[]) => WhatIf {
  const effort = effortOf(rows)
  const before = bestPlan(rows, now, effort, accepted).plan
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  return (items) => {
    const after = bestPlan(supposing(rows, items), now, effort, accepted).plan
    return {
      before: gatesOf(before),
      after: gatesOf(after),
      pushed: pushedFrom(clock.dateOf(now), before, after, clock),
    }
  }
}

function pushedFrom(
  today: string,
  before: StoredPlan,
  after: StoredPlan,
  clock: ZoneClock,
): Pushed[] {
  const begins = ({ placements }: StoredPlan) =>
    new Map(placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? null]))
  const next = begins(after)
  return [...begins(before)].flatMap(([stepId, at]) => {
    const to = next.get(stepId) ?? null
    const isToday = (when: number | null) => when !== null && clock.dateOf(when) === today
    return isToday(at) && !isToday(to) ? [{ stepId, to }] : []
  })
}

/** What a change does to every gate, and what it makes impossible. */
export function sayWhatIf(
  { before, after }: Pick<WhatIf, 'before' | 'after'>,
  gates: readonly Gate[],
  clock: ZoneClock,
): string {
  const said = effectSentence(gateEffects(gates, before, after, clock))
  const known = new Set(before.reasons.map((reason) => reason.message))
  const fresh = after.reasons.filter((reason) => !known.has(reason.message))
  const [first] = fresh
  if (!first) return said
  const more = fresh.length > 1 ? ` And ${fresh.length - 1} more.` : ''
  return `It cannot be planned: ${first.message}${more} ${said}`
}
