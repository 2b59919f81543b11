/** What a refit as a whole must keep: how much it holds. */
import type { FieldProblem } from '../changes'
import type { RefitRows } from '../refit'

const problem = (field: string, message: string): FieldProblem => ({ field, message })

/** Steps a refit and a job may have. */
const mostSteps = 10_000
const mostJobSteps = 200
/** Jobs a refit may have: more than steps would leave most of them without any. */
const mostJobs = 10_000

function crowdedJob(rows: RefitRows): FieldProblem[] {
  const counts = new Map<string, number>()
  for (const step of rows.step) counts.set(step.jobId, (counts.get(step.jobId) ?? 0) + 1)
  const [jobId, many] = [...counts].find(([, count]) => count > mostJobSteps) ?? []
  return jobId === undefined
    ? []
    : [
        problem(
          'step.jobId',
          `“${rows.job.find((job) => job.id === jobId)?.title}” would have ${many} steps; a job holds up to ${mostJobSteps}. Split the job in two.`,
        ),
      ]
}

function tooMany(field: string, what: string, many: number, most: number): FieldProblem[] {
  const [held, made] = [most, many].map((count) => count.toLocaleString('en'))
  return many <= most
    ? []
    : [
        problem(
          field,
          `A refit holds up to ${held} ${what}; this would make ${made}. Merge small ${what}, or begin a second refit.`,
        ),
      ]
}

/** More jobs or steps than a refit holds. */
export const checkCounts = (jobs: number, steps: number): FieldProblem[] => [
  ...tooMany('job.title', 'jobs', jobs, mostJobs),
  ...tooMany('step.jobId', 'steps', steps, mostSteps),
]

/** Everything wrong with the size of a refit. */
export const checkSize = (rows: RefitRows): FieldProblem[] => [
  ...checkCounts(rows.job.length, rows.step.length),
  ...crowdedJob(rows),
]
