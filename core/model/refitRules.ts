/** What a refit as a whole must keep: how much it holds. */
import type { FieldProblem } from './changes'
import type { RefitRows } from './refit'

const problem = (field: string, message: string): FieldProblem => ({ field, message })

/** Steps a refit and a job may have. */
const mostSteps = 10_000
const mostJobSteps = 200

function crowdedJob(rows: RefitRows): FieldProblem[] {
  const counts = new Map<string, number>()
  for (const step of rows.step) counts.set(step.jobId, (counts.get(step.jobId) ?? 0) + 1)
  const [jobId, many] = [...counts].find(([, count]) => count > mostJobSteps) ?? []
  return jobId === undefined
    ? []
    : [
        problem(
          'step.jobId',
          `"${rows.job.find((job) => job.id === jobId)?.title}" would have ${many} steps; a job holds up to ${mostJobSteps}. Split the job in two.`,
        ),
      ]
}

function tooLarge(rows: RefitRows): FieldProblem[] {
  const many = rows.step.length
  return many <= mostSteps
    ? []
    : [
        problem(
          'step.jobId',
          `A refit holds up to ${mostSteps.toLocaleString('en')} steps; this would make ${many.toLocaleString('en')}. Merge small steps, or begin a second refit.`,
        ),
      ]
}

/** Everything wrong with the size of a refit. */
export const checkRefit = (rows: RefitRows): FieldProblem[] => [
  ...tooLarge(rows),
  ...crowdedJob(rows),
]
