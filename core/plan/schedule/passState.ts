import type { Remark } from '../../model/stored'
import { GivingWay } from './givingWay'
import { Laying } from './laying'
import type { OpenStep } from './openWork'
import type { LaidLaunch, PassInput } from './pass'
import { ReadyQueue } from './readyQueue'
import { WaitingLaunches } from './waitingLaunches'

/** All that changes while a pass is laid: from a copy of it the rest is laid as from the first step. */
export interface PassState {
  readonly laying: Laying
  readonly queue: ReadyQueue
  readonly waiting: WaitingLaunches
  readonly givingWay: GivingWay
  readonly remarks: Remark[]
  readonly launches: LaidLaunch[]
  /** Steps without a place, and those that are no more looked at. */
  readonly barred: Set<string>
  /** Steps that wait for the next launch to be known. */
  later: OpenStep[]
  /** Last finish of what was placed aboard in the trust that the next launch is later. */
  aboardUntil: number
}

/** Nothing is laid yet. `patienceDays`: see Laying. */
export function beginning(
  { compiled, phases, launchesFrom, bounds }: PassInput,
  rankOf: ArrayLike<number>,
  patienceDays: number | null,
): PassState {
  const laying = new Laying(compiled, patienceDays)
  return {
    laying,
    queue: new ReadyQueue(compiled.activities, rankOf),
    waiting: WaitingLaunches.of(compiled, phases, laying.haulOuts, launchesFrom),
    givingWay: new GivingWay(laying, bounds),
    remarks: [],
    launches: [],
    barred: new Set(compiled.remarks.flatMap((remark) => remark.stepIds)),
    later: [],
    aboardUntil: -Infinity,
  }
}

/** As far as a pass is laid, to be gone on with apart. */
export function copyOf(state: PassState): PassState {
  const laying = state.laying.copy()
  return {
    laying,
    queue: state.queue.copy(),
    waiting: state.waiting.copy(),
    givingWay: state.givingWay.copy(laying),
    remarks: [...state.remarks],
    launches: [...state.launches],
    barred: new Set(state.barred),
    later: [...state.later],
    aboardUntil: state.aboardUntil,
  }
}
