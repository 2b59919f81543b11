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

/** An answer that was cut off on its way. */
const unread = Symbol('unread')

interface Asking {
  readonly method?: string
  readonly body?: unknown
  readonly bytes?: Blob
  readonly signal?: AbortSignal
}

/** Readings that were begun before anything was there to want them, by their path. */
const ahead = new Map<string, Promise<unknown>>()

/** Begins a reading that will be wanted; the first `api` of this path is answered by it, and only that one. */
export function askAhead(path: string): void {
  const answer = ask<unknown>(path, {})
  // Nobody may come for it; whoever does is told.
  answer.catch(() => undefined)
  ahead.set(path, answer)
}

/** One way to ask the server: JSON or bytes out, JSON back, a ProblemError for anything else. */
export function api<Result>(path: string, options: Asking = {}): Promise<Result> {
  const begun = ahead.get(path)
  const reads = options.method === undefined && !options.bytes && options.body === undefined
  if (!begun || !reads) return ask<Result>(path, options)
  ahead.delete(path)
  return begun as Promise<Result>
}

async function ask<Result>(path: string, options: Asking): Promise<Result> {
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
  const answer: unknown = await response.json().catch(() => unread)
  if (response.ok && answer !== unread) return answer as Result
  throw new ProblemError(isProblem(answer) ? answer : noServer, response.ok ? 0 : response.status)
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
