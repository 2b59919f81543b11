import { computed, ref } from 'vue'
import { mergeJobs } from '#core/breakdown/mergeJobs'
import type { Job } from '#core/model/entities'
import { patchOf } from '#core/model/removal'
import { figured } from '#core/units/counted'

/** Several jobs chosen and changed at once, as one change. */
export function useBulk(shown: () => readonly Job[]) {
  const store = useRefitStore()
  const toasts = useToastStore()
  const edits = useJobEdits()
  const chosen = ref<ReadonlySet<string>>(new Set())
  const jobs = computed(() => store.rows.job.filter((job) => chosen.value.has(job.id)))

  function toggle(jobId: string) {
    const next = new Set(chosen.value)
    if (!next.delete(jobId)) next.add(jobId)
    chosen.value = next
  }
  const clear = () => (chosen.value = new Set())
  const all = () => (chosen.value = new Set(shown().map((job) => job.id)))

  /** Fields of the jobs, and fields of all their steps that are still to be done. */
  async function change(
    fields: Readonly<Record<string, unknown>>,
    ofSteps: Readonly<Record<string, unknown>>,
  ): Promise<void> {
    const list = jobs.value
    const steps = Object.keys(ofSteps).length > 0 ? list.flatMap(openSteps) : []
    if (list.length === 0) return
    if (steps.length === 0 && Object.keys(fields).length === 0) {
      toasts.say('None of these jobs has an open step: nothing was changed.', true)
      return
    }
    const done = await store.attempt(`Change ${figured(list.length, 'job')}`, [
      ...(Object.keys(fields).length > 0 ? list.map((job) => patchOf('job', job, fields)) : []),
      ...steps.map((step) => patchOf('step', step, ofSteps)),
    ])
    if (done)
      toasts.say(
        `${list.length} ${list.length === 1 ? 'job' : 'jobs'} changed${steps.length > 0 ? `, ${steps.length} open ${steps.length === 1 ? 'step' : 'steps'} of theirs` : ''}. z takes it back.`,
      )
  }
  const openSteps = (job: Job) =>
    store.rows.step.filter(
      (step) => step.jobId === job.id && step.state !== 'done' && step.state !== 'dropped',
    )
  async function remove(): Promise<void> {
    if (await edits.removeJobs(jobs.value)) clear()
  }
  async function merge(): Promise<void> {
    const [into, ...others] = jobs.value
    if (!into) return
    const outcome = mergeJobs(store.rows, into, others)
    if (!outcome.ok) toasts.say(outcome.message, true)
    else if (await store.attempt(`Merge ${jobs.value.length} jobs`, outcome.value.items)) {
      toasts.say(outcome.value.said)
      clear()
    }
  }
  return { chosen, jobs, toggle, clear, all, change, merge, remove }
}
