import type { RefitRows } from '../model/refit'

/** Hours entries that no later one puts right. */
export function liveHours(rows: Pick<RefitRows, 'hoursEntry'>): RefitRows['hoursEntry'] {
  const corrected = new Set(rows.hoursEntry.flatMap((entry) => entry.correctsId ?? []))
  return rows.hoursEntry.filter((entry) => !corrected.has(entry.id))
}
