/** Reads a problem file, solves it, prints the answer. Bundled and run by scripts/solve.mjs. */
import type { Problem } from '#core/plan/schedule/kernel/problem'
import { readProblem } from '#core/plan/schedule/kernel/readProblem'
import type { ProblemFile } from '#core/plan/schedule/kernel/readProblem'
import { reportOf } from '#core/plan/schedule/kernel/report'
import { solveProblem } from '#core/plan/schedule/kernel/solve'
import { problemSchema } from '#shared/schemas/problemSchema'
import { readArguments, readFileAs, readNumber, refuse } from './commandLine'

const { path, option } = readArguments(
  'usage: npm run -s solve -- FILE [--seconds S] [--seed N] [--iterations N]',
  ['seconds', 'seed', 'iterations'],
)

function fitting(file: ProblemFile): Problem {
  try {
    return readProblem(file)
  } catch (error) {
    return refuse(`${path} is not a problem: ${(error as Error).message}`)
  }
}

const seconds = readNumber('seconds', option('seconds'), 2, false)
const seed = readNumber('seed', option('seed'), 1, true)
const iterations = readNumber('iterations', option('iterations'), Number.MAX_SAFE_INTEGER, true)
const problem = fitting(readFileAs(path, problemSchema, 'a problem'))
const started = performance.now()
const after = (limit: number) => () => performance.now() - started > limit * 1000
const answer = solveProblem(problem, {
  seed,
  iterations,
  stop: after(seconds),
  // Once impossibility is proved, saying why may take a little longer.
  stopReasons: after(seconds + Math.max(2, seconds)),
})
process.stdout.write(`${JSON.stringify(reportOf(problem, answer))}\n`)
