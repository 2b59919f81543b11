import { wrap } from 'comlink'
import type { Remote } from 'comlink'
import { watchLife, workerName } from './life'

/** One piece of work under way in a worker of its own. */
export interface OwnWork<Result> {
  readonly done: Promise<Result>
  /** Ends it and its worker; `done` then never comes. */
  readonly stop: () => void
}

/**
 * Asks for one piece of work of a worker that is made for it and gone afterwards. `what` names it where it ends by
 * itself: `done` then throws.
 */
export function inOwnWorker<Api, Result>(
  what: string,
  make: (name: string) => Worker,
  ask: (remote: Remote<Api>) => Promise<Result>,
): OwnWork<Result> {
  const name = workerName(what)
  const worker = make(name)
  let unwatch = (): void => undefined
  const failed = new Promise<never>((_, refuse) => {
    unwatch = watchLife(worker, name, `The ${what}`, refuse)
  })
  const stop = (): void => {
    unwatch()
    worker.terminate()
  }
  return { done: Promise.race([ask(wrap<Api>(worker)), failed]).finally(stop), stop }
}
