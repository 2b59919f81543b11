/** Work that had to be done again, by why. */
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'

export interface DoneTwice {
  /** Hours of work, those done again among them. */
  readonly workHours: number
  readonly againHours: number
  /** Most first. */
  readonly causes: readonly { readonly cause: string; readonly hours: number }[]
}

/** Corrected entries counted once; causes that differ only in capitals are one. */
export function doneTwice(rows: Pick<RefitRows, 'hoursEntry'>): DoneTwice {
  const work = liveHours(rows).filter((one) => one.kind === 'work')
  const sums = new Map<string, { cause: string; hours: number }>()
  for (const { reworkCause, hours } of work) {
    const cause = reworkCause.trim()
    if (cause === '') continue
    const key = cause.toLowerCase()
    const was = sums.get(key)
    sums.set(key, { cause: was?.cause ?? cause, hours: hours + (was?.hours ?? 0) })
  }
  const causes = [...sums.values()].sort(
    (a, b) => b.hours - a.hours || (a.cause < b.cause ? -1 : 1),
  )
  return {
    workHours: work.reduce((sum, one) => sum + one.hours, 0),
    againHours: causes.reduce((sum, one) => sum + one.hours, 0),
    causes,
  }
}
