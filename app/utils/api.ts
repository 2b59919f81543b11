import type { Problem } from '#core/model/changes'
import { isProblem, problem } from '#shared/problems'

/** What the server (or its absence) answered instead of what was asked for. */
export class ProblemError extends Error {
  constructor(
    readonly problem: Problem,
    readonly status: number,
  ) {
    super(problem.message)
    this.name = 'ProblemError'
  }
}

const noServer = problem(
  'offline',
  'The program on this machine does not answer. Is it still running? Nothing you typed is lost: try again.',
)

/** One way to ask the server: JSON or bytes out, JSON back, a ProblemError for anything else. */
export async function api<Result>(
  path: string,
  options: {
    readonly method?: string
    readonly body?: unknown
    readonly bytes?: Blob
    readonly signal?: AbortSignal
  } = {},
): Promise<Result> {
  const body =
    options.bytes ?? (options.body === undefined ? undefined : JSON.stringify(options.body))
  let response: Response
  try {
    response = await fetch(path, {
      method: options.method ?? (body === undefined ? 'GET' : 'POST'),
      body,
      signal: options.signal,
      headers: options.bytes ? {} : { 'Content-Type': 'application/json' },
    })
  } catch {
    throw new ProblemError(noServer, 0)
  }
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as Result
  throw new ProblemError(isProblem(answer) ? answer : noServer, response.status)
}

/** The bytes at a path; null: they are not there, or are not what they should be. Throws ProblemError when nobody answers. */
export async function fileOf(path: string): Promise<Blob | null> {
  let response: Response
  try {
    response = await fetch(path)
  } catch {
    throw new ProblemError(noServer, 0)
  }
  if (response.ok) return response.blob()
  if (response.status < 500) return null
  throw new ProblemError(noServer, response.status)
}

/** The sentence of whatever was thrown. */
export const sentenceOf = (error: unknown): string =>
  error instanceof Error ? error.message : String(error)
