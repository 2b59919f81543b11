/** What must still be done ashore, against a lift: what is ready by it, and what could be done about the rest. */
import type { ChangeItem } from '../model/changes'
import type { Gate, Job, Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { StoredPlan } from '../model/stored'
import { accessKinds } from '../model/words'
import { scopeOf } from '../launchWays/ways'
import { plannedHours } from '../plan/planned'
import type { Waits } from '../plan/waits'
import type { ZoneClock } from '../time/zone'

export interface AshoreJob {
  readonly job: Job
  /** Its open steps that hold the launch. */
  readonly steps: readonly Step[]
  readonly hours: number
  /** When the last of them takes water, UTC ms; Infinity: one has no place in the plan. */
  readonly readyAt: number
  /** True where the work could be done afloat: nothing of it opens her under water. */
  readonly mayFloat: boolean
}

export interface AshoreLeft {
  /** The last to be ready first. */
  readonly jobs: readonly AshoreJob[]
  /** The launch after this one, to which a job can be put off; null: there is none. */
  readonly nextGate: Gate | null
}

/** Open jobs that hold the launch of a haul-out; null: it has no launch to come. */
export function ashoreLeft(
  rows: RefitRows,
  plan: StoredPlan,
  haulOutId: string,
  clock: ZoneClock,
  waits: Waits,
): AshoreLeft | null {
  const scope = scopeOf(rows, plan, haulOutId, clock)
  if (!scope) return null
  const zones = byId(rows.zone)
  const placed = byId(plan.placements.map((one) => ({ ...one, id: one.stepId })))
  const readyAt = (step: Step): number => {
    const one = placed.get(step.id)
    const finish = one?.segments.at(-1)?.[1]
    return one && finish !== undefined
      ? Math.max(one.readyAt, waits.forWater(step, finish))
      : Infinity
  }
  const jobs = scope.jobs
    .filter((one) => one.holds)
    .flatMap(({ job, steps }): AshoreJob[] => {
      const holding = steps.filter(
        (one) => !one.afterGate && one.hullNeed !== 'slings' && one.hullNeed !== 'afloat',
      )
      if (holding.length === 0) return []
      return [
        {
          job,
          steps: holding,
          hours: holding.reduce((sum, one) => sum + plannedHours(one), 0),
          readyAt: Math.max(...holding.map(readyAt)),
          mayFloat: !zones.get(job.zoneId ?? '')?.belowWaterline,
        },
      ]
    })
    .sort((a, b) => (a.readyAt === b.readyAt ? 0 : b.readyAt - a.readyAt))
  return { jobs, nextGate: scope.next?.gate ?? null }
}

/** Puts a job off to the launch after this one. */
export const putOff = ({ job }: AshoreJob, next: Gate): ChangeItem[] => [
  patchOf('job', job, { gateId: next.id, haulOutId: null }),
]

/** Does a job afloat instead: from a dinghy and round corners everything is harder to get at. Source: handbook 6. */
export function doAfloat({ job, steps }: AshoreJob): ChangeItem[] {
  const harder = (access: Step['access']): Step['access'] =>
    accessKinds[Math.min(accessKinds.indexOf(access) + 1, accessKinds.length - 1)] ?? access
  return [
    patchOf('job', job, { gateId: null, placed: true }),
    ...steps
      .filter((one) => one.placeNeed === 'boat')
      .map((one) => patchOf('step', one, { hullNeed: 'afloat', access: harder(one.access) })),
  ]
}
