import { proxy } from 'comlink'
import type { Remote } from 'comlink'
import type { Values } from '#core/bench/ask'
import type { UnitSystem } from '#core/units/length'
import { inOwnWorker } from './ownWorker'
import type { OwnWork } from './ownWorker'
import type { SumProgress, SumSearcher } from './sumWork'

/** Searches in a worker of its own, which can be ended in the midst of a round. */
export const searchSum = (
  key: string,
  values: Values,
  units: UnitSystem,
  currency: string,
  tell: (progress: SumProgress) => void,
): OwnWork<void> =>
  inOwnWorker(
    'search',
    (name) => new Worker(new URL('./sum.worker.ts', import.meta.url), { type: 'module', name }),
    (searcher: Remote<SumSearcher>) => searcher.search(key, values, units, currency, proxy(tell)),
  )
