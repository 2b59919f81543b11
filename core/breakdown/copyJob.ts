import type { ChangeItem } from '../model/changes'
import { copyOf } from '../model/copy'
import type { Job } from '../model/entities'
import { keyBetween } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'

/**
 * A job once more, all open, with its steps, parts and things to bring: for the other side, or the next
 * fitting of the same kind. Hours, links, findings and pictures belong to the first and stay there.
 */
export function copyJob(
  rows: RefitRows,
  job: Job,
  title: string,
  newId: () => string,
): { readonly jobId: string; readonly items: ChangeItem[] } {
  const next = inOrder(rows.job).find((one) => one.order > job.order)
  const order = keyBetween(job.order, next?.order ?? null)
  const items = copyOf(rows, 'job', job.id, newId, { title, order }, (entity, row) => {
    return entity === 'step' && row.state === 'dropped'
  })
  return { jobId: items[0]?.id as string, items }
}
