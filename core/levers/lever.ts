/** One thing that could be done about a link of a chain, as the changes it would take. */
import type { ChangeItem } from '../model/changes'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import type { ZoneClock } from '../time/zone'

export interface ChainLever {
  readonly key: string
  /** The link it stands at; null: it is about days as a whole. */
  readonly stepId: string | null
  /** "Ida comes on Thu 13 May". */
  readonly label: string
  /** What pressing it writes down. */
  readonly does: string
  readonly items: (newId: () => string) => readonly ChangeItem[]
}

/** What levers at a link are found from. */
export interface LeverFacts {
  readonly rows: RefitRows
  readonly plan: StoredPlan
  readonly clock: ZoneClock
}

/** The step's row, its job and where the plan has it; null: it is not open or has no place. */
export function linkOf({ rows, plan }: LeverFacts, stepId: string) {
  const step = rows.step.find((one) => one.id === stepId)
  const job = rows.job.find((one) => one.id === step?.jobId)
  const placed = plan.placements.find((one) => one.stepId === stepId)
  return step && job && placed ? { step, job, placed } : null
}
