import type { ChangeItem } from '#core/model/changes'
import type { Job, Step } from '#core/model/entities'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** Edits of jobs, steps and links through the one door, each with its words for undo. */
export function useJobEdits() {
  const store = useRefitStore()
  const stepsOf = (jobId: string): Step[] =>
    inOrder(store.rows.step.filter((step) => step.jobId === jobId))

  const patch = (
    entity: 'job' | 'step' | 'link',
    row: { id: string; version: number },
    fields: object,
  ): ChangeItem => ({
    op: 'patch',
    entity,
    id: row.id,
    baseVersion: row.version,
    patch: fields as Record<string, unknown>,
  })
  const remove = (
    entity: ChangeItem['entity'],
    row: { id: string; version: number },
  ): ChangeItem => ({
    op: 'delete',
    entity,
    id: row.id,
    baseVersion: row.version,
  })

  const editJob = (job: Job, fields: object) =>
    store.attempt(`Change ${job.title}`, [patch('job', job, fields)])
  const editStep = (step: Step, fields: object) =>
    store.attempt(`Change ${step.title}`, [patch('step', step, fields)])

  async function addJob(title: string): Promise<string | null> {
    const id = newId()
    const order = keyBetween(inOrder(store.rows.job).at(-1)?.order ?? null, null)
    const done = await store.attempt(`New job: ${title}`, [
      { op: 'create', entity: 'job', id, patch: { title, order } },
    ])
    return done ? id : null
  }
  function addStep(job: Job, title: string) {
    const order = keyBetween(stepsOf(job.id).at(-1)?.order ?? null, null)
    return store.attempt(`New step: ${title}`, [
      { op: 'create', entity: 'step', id: newId(), patch: { jobId: job.id, title, order } },
    ])
  }
  /** Moves a step to a place in its job's list. */
  function moveStep(step: Step, to: number) {
    const others = stepsOf(step.jobId).filter((one) => one.id !== step.id)
    const order = keyBetween(others[to - 1]?.order ?? null, others[to]?.order ?? null)
    return store.attempt(`Move ${step.title}`, [patch('step', step, { order })])
  }
  /** Everything that hangs on a step, and the step. */
  function removalOf(step: Step): ChangeItem[] {
    const { rows } = store
    return [
      ...rows.bringLine
        .filter((one) => one.stepId === step.id)
        .map((one) => remove('bringLine', one)),
      ...rows.tradeBooking
        .filter((one) => one.stepId === step.id)
        .map((one) => remove('tradeBooking', one)),
      ...rows.part
        .filter((one) => one.neededByStepId === step.id)
        .map((one): ChangeItem => ({
          op: 'patch',
          entity: 'part',
          id: one.id,
          baseVersion: one.version,
          patch: { neededByStepId: null },
        })),
      ...rows.clock
        .filter((one) => one.stepId === step.id)
        .map((one): ChangeItem => ({
          op: 'patch',
          entity: 'clock',
          id: one.id,
          baseVersion: one.version,
          patch: { stepId: null },
        })),
      remove('step', step),
    ]
  }
  const removeStep = (step: Step) => store.attempt(`Remove ${step.title}`, removalOf(step))
  function removeJob(job: Job) {
    const links = store.rows.link.filter(
      (one) => one.fromJobId === job.id || one.toJobId === job.id,
    )
    return store.attempt(`Remove ${job.title}`, [
      ...links.map((one) => remove('link', one)),
      ...stepsOf(job.id).flatMap(removalOf),
      remove('job', job),
    ])
  }
  /** Finishes or reopens a step; the server works out the inches. */
  function setState(step: Step, state: Step['state']) {
    const words = { done: 'Finish', open: 'Reopen', doing: 'Begin', dropped: 'Drop' } as const
    return store.attempt(`${words[state]} ${step.title}`, [patch('step', step, { state })])
  }
  /** Adds a link; a refusal (a circle, itself) is thrown as a problem for the picker to show. */
  const addLink = (fromJobId: string, toJobId: string) =>
    store.submit('New link', [
      { op: 'create', entity: 'link', id: newId(), patch: { fromJobId, toJobId } },
    ])
  const removeLink = (link: { id: string; version: number }) =>
    store.attempt('Remove link', [remove('link', link)])

  return {
    stepsOf,
    editJob,
    editStep,
    addJob,
    addStep,
    moveStep,
    removeStep,
    removeJob,
    setState,
    addLink,
    removeLink,
    patch,
    remove,
  }
}
