/** Links that place and facts of two jobs suggest. They are offered with their reason, never added. */
import { reachable } from '../graph'
import type { Job, Step, Zone } from '../model/entities'
import type { Operation } from '../model/words'
import { byId, groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { factsOf } from '../plan/facts'
import { findCycle, plannedJobs, stepsByJob } from '../plan/network'
import { isOpen } from '../plan/planned'

export interface SuggestedLink {
  readonly fromJobId: string
  readonly toJobId: string
  /** Null: all of the first job. */
  readonly fromStepId: string | null
  /** Null: all that is open of the second. */
  readonly toStepId: string | null
  readonly why: string
}

interface Seen {
  readonly job: Job
  readonly zone: Zone | undefined
  readonly operations: ReadonlySet<Operation>
  /** Open steps in their order. */
  readonly steps: readonly Step[]
}

const has = (seen: Seen, ...operations: readonly Operation[]): boolean =>
  operations.some((one) => seen.operations.has(one))
const dusty = (seen: Seen): boolean => seen.steps.some((one) => factsOf(one).dusty)
const opens = (seen: Seen): boolean => has(seen, 'cut', 'drill', 'weld')

/** Rules in the order of their weight: what `first` does had better come before what `then` does. Source: handbook 7. */
const rules: readonly {
  readonly holds: (first: Seen, then: Seen) => boolean
  readonly why: string
  /** Operations with which the first job is far enough, the last of them; absent: all of it. */
  readonly ends?: readonly Operation[]
  /** Operations of the second job that wait, from the first of them on; absent: all of it. */
  readonly begins?: readonly Operation[]
}[] = [
  {
    holds: (first, then) =>
      Boolean(first.zone?.belowWaterline) && opens(first) && has(then, 'barrier', 'antifoul'),
    why: 'Holes and cuts below the waterline come before the coats there.',
    // Also what stands in the hole is bedded before; what is wired or plumbed to it is no matter.
    ends: ['cut', 'drill', 'weld', 'laminate', 'fair', 'bed'],
    begins: ['barrier', 'antifoul'],
  },
  {
    holds: (first, then) => has(first, 'test') && has(then, 'close') && !has(first, 'close'),
    why: 'What a lining or panel hides is tested before it is closed.',
    begins: ['close'],
  },
  {
    holds: (first, then) =>
      has(first, 'plumb', 'wire') && has(then, 'close') && !has(first, 'close'),
    why: 'Hoses and wires go in before the panel over them.',
    ends: ['plumb', 'wire'],
    begins: ['close'],
  },
  {
    holds: (first, then) =>
      has(first, 'laminate', 'fair') && has(then, 'bed') && !has(first, 'bed'),
    why: 'Fittings are bedded on a finished surface.',
    begins: ['drill', 'bed'],
  },
  {
    holds: (first, then) => has(first, 'paint') && has(then, 'bed') && !has(first, 'bed'),
    why: 'Hardware is bedded after the surface under it has its paint.',
    ends: ['paint'],
    begins: ['bed'],
  },
  {
    holds: (first, then) => dusty(first) && has(then, 'varnish', 'finish', 'paint') && !dusty(then),
    why: 'Dust of the one would lie in the finish of the other.',
    begins: ['varnish', 'finish', 'paint'],
  },
]

/** Same place, or both below the waterline: coats go round the whole hull. */
const together = (a: Seen, b: Seen): boolean =>
  a.zone !== undefined &&
  b.zone !== undefined &&
  (a.zone.id === b.zone.id || (a.zone.belowWaterline && b.zone.belowWaterline))

/** Links offered for one job, with the others it meets in its place. Pairs already in order are left out. */
export function suggestedLinks(rows: RefitRows, job: Job): SuggestedLink[] {
  const zones = byId(rows.zone)
  const steps = stepsByJob(rows)
  const look = (one: Job): Seen => {
    const open = inOrder((steps.get(one.id) ?? []).filter(isOpen))
    return {
      job: one,
      zone: zones.get(one.zoneId ?? ''),
      operations: new Set(open.map((step) => step.operation)),
      steps: open,
    }
  }
  const mine = look(job)
  if (!mine.zone || mine.operations.size === 0) return []
  const reaches = reachability(rows)
  return plannedJobs(rows)
    .filter((other) => other.id !== job.id)
    .map(look)
    .filter((other) => together(mine, other))
    .flatMap((other): SuggestedLink[] => {
      for (const { holds, why, ends, begins } of rules)
        for (const [first, then] of [
          [mine, other],
          [other, mine],
        ] as const) {
          if (!holds(first, then) || holds(then, first)) continue
          const [fromJobId, toJobId] = [first.job.id, then.job.id]
          if (reaches(fromJobId, toJobId) || reaches(toJobId, fromJobId)) return []
          const circle = findCycle([...rows.link, { fromJobId, toJobId }])
          const last = ends && first.steps.filter((one) => ends.includes(one.operation)).at(-1)
          const next = begins && then.steps.find((one) => begins.includes(one.operation))
          // Where that is the whole job the link need not name it.
          const fromStepId = last && last !== first.steps.at(-1) ? last.id : null
          const toStepId = next && next !== then.steps[0] ? next.id : null
          return circle ? [] : [{ fromJobId, toJobId, fromStepId, toStepId, why }]
        }
      return []
    })
}

/** Whether links lead from one job to another, however many between. */
function reachability(rows: Pick<RefitRows, 'link'>): (from: string, to: string) => boolean {
  const linksFrom = groupBy(rows.link, (link) => link.fromJobId)
  const next = (id: string) => (linksFrom.get(id) ?? []).map((link) => link.toJobId)
  const known = new Map<string, ReadonlySet<string>>()
  return (from, to) => {
    const found = known.get(from) ?? reachable(next(from), next)
    known.set(from, found)
    return found.has(to)
  }
}
