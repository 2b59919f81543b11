/** Shapes of the two records that are kept whole inside a row. */
import type { Binding } from '../plan/schedule/binding'
import type { RefitRows } from './refit'

/** What is planned because a bond window shuts before the next step; its hours fall on the step placed. */
export interface Mend {
  readonly kind: 'peelPly' | 'keying' | 'etching'
  readonly fromStepId: string
  readonly toStepId: string
  /** Person-hours. */
  readonly hours: number
}

export interface Placement {
  readonly stepId: string
  /** Working stretches, UTC ms, half open, in time order. Empty never: a step of no hours has one of no length. */
  readonly segments: readonly (readonly [number, number])[]
  /** When the wait after the step is over, UTC ms; equals the last segment's end without a wait. */
  readonly readyAt: number
  readonly personIds: readonly string[]
  readonly binding: Binding
  /** Absent: none. */
  readonly mends?: readonly Mend[]
}

export interface PlannedGate {
  readonly gateId: string
  /** UTC ms when all it needs is ready and, for a launch, the lift happens. */
  readonly at: number
  /** UTC ms when all it needs is ready; a launch may wait for its date or a lift day after that. */
  readonly readyAt: number
  readonly binding: Binding
}

/**
 * Kinds of trouble in a plan. `moved`: a job put into the next haul-out because the launch is fixed; `cold`: a step
 * in a month colder than it may be done in; `pin`: a step that does not begin on the day it is pinned to; `comeFor`: people who have to come on a day that is not theirs; `liftOut`: a lift-out whose
 * day is over and that nobody confirmed.
 */
export const remarkKinds = [
  'cycle',
  'noSkill',
  'noHours',
  'tooLong',
  'noWindow',
  'horizon',
  'maxWait',
  'deadline',
  'trade',
  'moved',
  'cold',
  'comeFor',
  'liftOut',
  'leftOpen',
  'pin',
] as const

export interface Remark {
  /** Sentence that names the jobs, steps or people. */
  readonly message: string
  readonly kind: (typeof remarkKinds)[number]
  readonly jobIds: readonly string[]
  readonly stepIds: readonly string[]
}

export interface StoredPlan {
  readonly status: 'feasible' | 'infeasible' | 'unknown'
  readonly now: number
  /** In the order in which they were placed: laid again in it, the plan comes out the same. */
  readonly placements: readonly Placement[]
  /** By job, what decided how early it was wanted. */
  readonly urgencies: Readonly<Record<string, string>>
  /** Gates that can be dated. One that waits for work without a place is not among them. */
  readonly gates: readonly PlannedGate[]
  /** Haul-outs round which the work is laid, their gates dated or not: ashore work from, and the launch. */
  readonly launches: readonly {
    readonly haulOutId: string
    readonly from: number
    readonly at: number
  }[]
  /** Why it is infeasible or unknown. */
  readonly reasons: readonly Remark[]
  /** Things that hold but want a look: bond windows that close, gates that are late. */
  readonly warnings: readonly Remark[]
}

/** The accepted plan; null: none yet, or one of an older make that is laid anew. */
export function acceptedPlan(rows: Pick<RefitRows, 'plan'>): StoredPlan | null {
  const stored: (Omit<StoredPlan, 'launches' | 'urgencies'> & Partial<StoredPlan>) | undefined =
    rows.plan[0]?.result
  const { launches, urgencies } = stored ?? {}
  if (!stored || !urgencies || !launches) return null
  const isWhole =
    launches.every((one) => Number.isFinite(one.from)) &&
    (stored.gates ?? []).every((one) => Number.isFinite(one.readyAt))
  if (!isWhole) return null
  return { ...stored, launches, urgencies }
}

/** Figures of one week's end, kept so that the next week can say what moved. */
export interface SnapshotFigures {
  readonly earnedIn: number
  readonly hoursOpen: number
  readonly hoursDonePlanned: number
  readonly hoursLogged: number
  readonly gateAt: Readonly<Record<string, number>>
  readonly jobHoursOpen: Readonly<Record<string, number>>
  readonly jobTitles: Readonly<Record<string, string>>
}
