import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'

/** Hours of one person or on one job, corrected ones counted once. */
export interface HoursTotal {
  /** Row id; '' for hours on no job. */
  readonly id: string
  readonly name: string
  readonly workHours: number
  /** Travel, set-up, pack-up and clean-up. */
  readonly otherHours: number
}

/** Person-hours written down, by person and by job, most first; both add up to all that is logged. */
export function hoursTotals(rows: RefitRows): {
  readonly byPerson: readonly HoursTotal[]
  readonly byJob: readonly HoursTotal[]
} {
  const people = byId(rows.person)
  const jobs = byId(rows.job)
  const steps = byId(rows.step)
  const sum = (
    keyOf: (entry: RefitRows['hoursEntry'][number]) => string,
    nameOf: (id: string) => string,
  ) => {
    const totals = new Map<string, HoursTotal>()
    for (const entry of liveHours(rows)) {
      const id = keyOf(entry)
      const was = totals.get(id) ?? { id, name: nameOf(id), workHours: 0, otherHours: 0 }
      const work = entry.kind === 'work'
      totals.set(id, {
        ...was,
        workHours: was.workHours + (work ? entry.hours : 0),
        otherHours: was.otherHours + (work ? 0 : entry.hours),
      })
    }
    return [...totals.values()].sort(
      (a, b) =>
        b.workHours + b.otherHours - a.workHours - a.otherHours || (a.name < b.name ? -1 : 1),
    )
  }
  return {
    byPerson: sum(
      (entry) => entry.personId,
      (id) => people.get(id)?.name ?? 'Somebody',
    ),
    byJob: sum(
      (entry) => steps.get(entry.stepId ?? '')?.jobId ?? entry.jobId ?? '',
      (id) => jobs.get(id)?.title ?? 'On no job',
    ),
  }
}
