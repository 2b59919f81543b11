/** What a change brings with it that only the server sets: inches earned, kept and taken back. */
import { earnedInches, inchesForClosing, loaInches, openHoursOf } from '../progress/inches'
import { plannedJobs } from '../plan/network'
import { calibrated } from '../forecast/calibration'
import { plannedHours } from '../plan/planned'
import type { RefitRow, Step } from './entities'
import type { RefitRows } from './refit'

/** The part of a step that the program itself sets. */
export interface Settled {
  readonly doneAt: number | null
  readonly earnedIn: number | null
}

/**
 * Settles a step on its way from `before` to `after`. Finishing stores the inches worked out from all
 * steps as they are just before; reopening takes back exactly what was stored; a finished step that is
 * dropped keeps them. Null: nothing to set.
 */
export function settleStep(
  before: Step | null,
  after: Step,
  rows: RefitRows,
  now: number,
): Settled | null {
  if (before?.state === after.state) return null
  if (after.state === 'dropped') return null
  const stored = before?.earnedIn ?? null
  if (after.state !== 'done')
    return stored === null && after.doneAt === null ? null : { doneAt: null, earnedIn: null }
  const doneAt = after.doneAt ?? now
  if (stored !== null) return { doneAt, earnedIn: stored }
  // As the plan sees its hours, this step among them: the inches are shared out by the same.
  const { step: steps } = calibrated({
    ...rows,
    step: [...rows.step.filter((step) => step.id !== after.id), { ...after, state: 'open' }],
  })
  const others = steps.slice(0, -1)
  const asOpen = steps.at(-1) ?? after
  const plannedIds = new Set(plannedJobs(rows).map((job) => job.id))
  return {
    doneAt,
    earnedIn: inchesForClosing(
      loaInches(rows.refit[0]?.loaM ?? 0),
      earnedInches(others, rows.refit[0]?.earnedKeptIn),
      plannedHours(asOpen),
      openHoursOf([...others, asOpen], new Set([...plannedIds, after.jobId])),
    ),
  }
}

/** What rows of a change mean for the inches of the whole refit. */
export interface InchesMoved {
  /** Inches of finished steps that are taken away, less those of finished steps that are put back. */
  readonly keptIn: number
  /** By what every stored inch is multiplied: the new length by the old. */
  readonly scale: number
}

/** Kept inches after a change; never below nothing. */
export const keptAfter = (refit: RefitRow, { keptIn, scale }: InchesMoved): number =>
  Math.max(0, refit.earnedKeptIn + keptIn) * scale
