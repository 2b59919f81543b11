import { draftSheet } from '#core/asbuilt/draft'
import type { Job } from '#core/model/entities'

/** Makes the as-built sheet of a job, filled with what is known, and opens it to be put right. */
export function useWriteSheet() {
  const store = useRefitStore()
  const time = useTimeStore()
  return async (job: Job): Promise<void> => {
    const { sheetId, items } = draftSheet(job, store.rows, {
      clock: store.derived.clock,
      newId,
      expectedBy: (clock) => store.waits.expectedBy(clock),
      now: time.now,
    })
    if (await store.attempt(`As-built: ${job.title}`, items))
      await goTo(`/r/${store.refitId}/log/${sheetId}`)
  }
}
