import { proxy, wrap } from 'comlink'
import type { Values } from '#core/bench/ask'
import type { UnitSystem } from '#core/units/length'
import { watchLife, workerName } from './life'
import type { SumProgress, SumSearcher } from './sum.worker'

/** One search that is under way. */
export interface SumSearch {
  readonly done: Promise<void>
  /** Ends it and its worker; `done` then never comes. */
  readonly stop: () => void
}

/** Searches in a worker of its own, which can be ended in the midst of a round. */
export function searchSum(
  key: string,
  values: Values,
  units: UnitSystem,
  currency: string,
  tell: (progress: SumProgress) => void,
): SumSearch {
  const name = workerName('search')
  const worker = new Worker(new URL('./sum.worker.ts', import.meta.url), { type: 'module', name })
  let unwatch = (): void => undefined
  const failed = new Promise<never>((_, refuse) => {
    unwatch = watchLife(worker, name, 'The search', refuse)
  })
  const end = (): void => {
    unwatch()
    worker.terminate()
  }
  const made = wrap<SumSearcher>(worker).search(key, values, units, currency, proxy(tell))
  return {
    done: Promise.race([made, failed]).finally(end),
    stop: end,
  }
}
