import type { Job, Step } from '../model/entities'

export type JobState = 'open' | 'doing' | 'done' | 'later' | 'accepted' | 'dropped'

/** A job's state: a person's decision, else what its steps say. A job without steps is open. */
export function jobStateOf(
  job: Pick<Job, 'decision'>,
  steps: readonly Pick<Step, 'state'>[],
): JobState {
  if (job.decision !== 'plan') return job.decision
  const live = steps.filter((step) => step.state !== 'dropped')
  if (live.length === 0) return 'open'
  if (live.every((step) => step.state === 'done')) return 'done'
  return live.some((step) => step.state !== 'open') ? 'doing' : 'open'
}

export const jobStateName: Readonly<Record<JobState, string>> = {
  open: 'Open',
  doing: 'Under way',
  done: 'Done',
  later: 'Later season',
  accepted: 'Accepted as it is',
  dropped: 'Dropped',
}
