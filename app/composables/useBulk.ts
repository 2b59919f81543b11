import { computed, ref } from 'vue'
import { mergeJobs } from '#core/breakdown/mergeJobs'
import type { Job } from '#core/model/entities'
import { patchOf } from '#core/model/removal'

/** Several jobs chosen and changed at once, as one change. */
export function useBulk(shown: () => readonly Job[]) {
  const store = useRefitStore()
  const toasts = useToastStore()
  const chosen = ref<ReadonlySet<string>>(new Set())
  const jobs = computed(() => store.rows.job.filter((job) => chosen.value.has(job.id)))

  function toggle(jobId: string) {
    const next = new Set(chosen.value)
    if (!next.delete(jobId)) next.add(jobId)
    chosen.value = next
  }
  const clear = () => (chosen.value = new Set())
  const all = () => (chosen.value = new Set(shown().map((job) => job.id)))

  async function change(fields: Readonly<Record<string, unknown>>): Promise<void> {
    const list = jobs.value
    if (list.length === 0) return
    const done = await store.attempt(
      `Change ${list.length} jobs`,
      list.map((job) => patchOf('job', job, fields)),
    )
    if (done)
      toasts.say(`${list.length} ${list.length === 1 ? 'job' : 'jobs'} changed. z takes it back.`)
  }
  async function merge(): Promise<void> {
    const [into, ...others] = jobs.value
    if (!into) return
    const outcome = mergeJobs(store.rows, into, others)
    if (!outcome.ok) toasts.say(outcome.message)
    else if (await store.attempt(`Merge ${jobs.value.length} jobs`, outcome.items)) {
      toasts.say(outcome.said)
      clear()
    }
  }
  return { chosen, jobs, toggle, clear, all, change, merge }
}
