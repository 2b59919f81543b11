import type { Job, Link, Step } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { deletion, jobsRemoval, patchOf, stepRemoval } from '#core/model/removal'

/** Edits of jobs, steps and links through the one door, each with its words for undo. */
export function useJobEdits() {
  const store = useRefitStore()
  const toasts = useToastStore()
  const stepsOf = (jobId: string): Step[] =>
    inOrder(store.rows.step.filter((step) => step.jobId === jobId))

  const editJob = (job: Job, fields: object) =>
    store.attempt(`Change ${job.title}`, [patchOf('job', job, fields as Record<string, unknown>)])
  const editStep = (step: Step, fields: object) =>
    store.attempt(`Change ${step.title}`, [
      patchOf('step', step, fields as Record<string, unknown>),
    ])

  /** Moves a step to a place in its job's list. */
  function moveStep(step: Step, to: number) {
    const others = stepsOf(step.jobId).filter((one) => one.id !== step.id)
    const order = keyBetween(others[to - 1]?.order ?? null, others[to]?.order ?? null)
    return store.attempt(`Move ${step.title}`, [patchOf('step', step, { order })])
  }
  /** A step of a recipe is dropped, so that working the job again does not bring it back. */
  const removeStep = (step: Step) =>
    step.recipeStep === ''
      ? store.attempt(`Remove ${step.title}`, stepRemoval(store.rows, step))
      : store.attempt(`Drop ${step.title}`, [patchOf('step', step, { state: 'dropped' })])
  /** Jobs go with all that hangs on them; those with a record of work are dropped instead, and that is said. */
  async function removeJobs(jobs: readonly Job[]): Promise<boolean> {
    const { items, kept } = jobsRemoval(store.rows, jobs)
    const [first] = jobs
    const label =
      jobs.length === 1 && first ? `Remove ${first.title}` : `Remove ${jobs.length} jobs`
    const done = await store.attempt(label, items)
    if (done && kept.length > 0)
      toasts.say(
        `${kept.map((job) => `“${job.title}”`).join(', ')} ${kept.length === 1 ? 'has' : 'have'} hours or an as-built sheet: dropped, and the record kept.`,
      )
    else if (done)
      toasts.say(
        `${jobs.length === 1 ? 'Removed' : `${jobs.length} jobs removed`}. z takes it back.`,
      )
    return done
  }
  /** Finishes or reopens a step; the server works out the inches. */
  function setState(step: Step, state: Step['state']) {
    const words = { done: 'Finish', open: 'Reopen', doing: 'Begin', dropped: 'Drop' } as const
    return store.attempt(`${words[state]} ${step.title}`, [patchOf('step', step, { state })])
  }
  /** Adds a link; a refusal (a circle, itself) is thrown as a problem for the picker to show. */
  const addLink = (
    fromJobId: string,
    toJobId: string,
    ends: Partial<Pick<Link, 'fromStepId' | 'toStepId'>> = {},
  ) =>
    store.submit('New link', [
      { op: 'create', entity: 'link', id: newId(), patch: { fromJobId, toJobId, ...ends } },
    ])
  const removeLink = (link: { id: string; version: number }) =>
    store.attempt('Remove link', [deletion('link', link)])

  return {
    stepsOf,
    editJob,
    editStep,
    moveStep,
    removeStep,
    removeJobs,
    setState,
    addLink,
    removeLink,
  }
}
