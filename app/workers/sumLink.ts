import { proxy, wrap } from 'comlink'
import type { Values } from '#core/bench/ask'
import type { UnitSystem } from '#core/units/length'
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
  const worker = new Worker(new URL('./sum.worker.ts', import.meta.url), { type: 'module' })
  const failed = new Promise<never>((_, refuse) =>
    worker.addEventListener('error', (event) => {
      event.preventDefault()
      refuse(new Error(event.message || 'The search could not be started.'))
    }),
  )
  const made = wrap<SumSearcher>(worker).search(key, values, units, currency, proxy(tell))
  return {
    done: Promise.race([made, failed]).finally(() => worker.terminate()),
    stop: () => worker.terminate(),
  }
}
