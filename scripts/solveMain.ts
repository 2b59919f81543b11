/** Reads a problem file, solves it, prints the answer. Bundled and run by scripts/solve.mjs. */
import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import type { Problem } from '#core/plan/schedule/kernel/problem'
import { readProblem } from '#core/plan/schedule/kernel/readProblem'
import type { ProblemFile } from '#core/plan/schedule/kernel/readProblem'
import { reportOf } from '#core/plan/schedule/kernel/report'
import { solveProblem } from '#core/plan/schedule/kernel/solve'
import { problemSchema } from '#shared/schemas/problemSchema'

const usage = 'usage: npm run -s solve -- FILE [--seconds S] [--seed N] [--iterations N]'

/** Ends with one line and code 2: the input is at fault. */
function refuse(sentence: string): never {
  process.stderr.write(`${sentence.replace(/\s+/g, ' ').trim()}\n`)
  process.exit(2)
}

function readNumber(
  name: string,
  text: string | undefined,
  otherwise: number,
  whole: boolean,
): number {
  if (text === undefined) return otherwise
  const value = Number(text)
  if (text.trim() === '' || !(value >= 0) || (whole && !Number.isSafeInteger(value)))
    refuse(`--${name} is "${text}"; it must be a ${whole ? 'whole ' : ''}number from 0 up.`)
  return value
}

function readArguments() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        seconds: { type: 'string' },
        seed: { type: 'string' },
        iterations: { type: 'string' },
      },
    })
  } catch (error) {
    return refuse(`${(error as Error).message} ${usage}`)
  }
}

function read(path: string): Problem {
  let text: string
  try {
    text = readFileSync(path === '-' ? 0 : path, 'utf8')
  } catch (error) {
    return refuse(`${path} cannot be read: ${(error as Error).message}`)
  }
  try {
    const { value, error } = problemSchema.validate(JSON.parse(text) as unknown)
    if (error) throw error
    return readProblem(value as ProblemFile)
  } catch (error) {
    return refuse(`${path} is not a problem: ${(error as Error).message}`)
  }
}

const { values, positionals } = readArguments()
const [path] = positionals
if (path === undefined || positionals.length > 1) refuse(usage)
const seconds = readNumber('seconds', values.seconds, 2, false)
const seed = readNumber('seed', values.seed, 1, true)
const iterations = readNumber('iterations', values.iterations, Number.MAX_SAFE_INTEGER, true)
const problem = read(path)
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
