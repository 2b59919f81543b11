import type { ChangeItem } from '../model/changes'
import type { Finding } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { deletion, patchOf, removal } from '../model/removal'

/** A finding and its readings. Its job stays, and takes its pictures; without a job they go with it. */
export function findingRemoval(rows: RefitRows, finding: Finding): ChangeItem[] {
  const pictures = rows.picture.filter((one) => one.findingId === finding.id)
  const own = new Set(pictures.map((one) => one.id))
  return [
    ...removal(rows, 'finding', [finding.id]).filter((item) => !own.has(item.id)),
    ...pictures.map((one) =>
      finding.jobId === null && one.jobId === null && one.sheetId === null && one.bagId === null
        ? deletion('picture', one)
        : patchOf('picture', one, { findingId: null, jobId: one.jobId ?? finding.jobId }),
    ),
  ]
}
