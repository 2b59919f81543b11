import { computed, onScopeDispose, ref, shallowRef, toRaw, watch } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { chainLevers } from '#core/levers/chainLevers'
import type { ChainLever } from '#core/levers/lever'

import type { Consequence } from '~/workers/plannerQuestions'

/** A lever that was tried: the plan was laid with it. */
export interface TriedLever {
  readonly lever: ChainLever
  /** Days by which the gate asked about comes earlier. */
  readonly days: number
  readonly items: readonly ChangeItem[]
  readonly consequence: Consequence
}

/** So many are tried at a time. */
const mostTried = 16

/** How many of the levers of a chain were tried, and what came of them. */
interface Trial {
  readonly count: number
  readonly tried: readonly TriedLever[]
}
const trials = new KeptAnswers<Trial>()

/**
 * Levers on the chain of a gate, each planned with in the worker once `ready`; only what brings the gate forward is
 * kept. Another chain or another question begins anew.
 */
export function useLevers(
  gateId: Ref<string | null>,
  chain: Ref<readonly string[]>,
  ready: Ref<boolean>,
) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const time = useTimeStore()
  const tried = shallowRef<readonly TriedLever[]>([])
  const left = ref(0)
  const candidates = computed(() =>
    store.accepted && gateId.value !== null && chain.value.length > 0
      ? chainLevers(store.rows, store.accepted, store.zone, {
          gateId: gateId.value,
          stepIds: chain.value,
        }).slice(0, mostTried)
      : [],
  )
  let run = 0
  watch(
    [candidates, ready, gateId],
    async ([list, isReady, id]) => {
      const mine = ++run
      tried.value = []
      left.value = 0
      if (!isReady || id === null) return
      const rows = toRaw(store.rows)
      const question = [id, ...chain.value].join(' ')
      const known = trials.of(rows, question, time.now)
      tried.value = known?.tried ?? []
      for (let count = known?.count ?? 0; count < list.length; count++) {
        left.value = list.length - count
        const lever = list[count] as ChainLever
        const items = lever.items(newId)
        const answer = await planner.quietConsequence(items, () => mine === run)
        if (mine !== run) return
        const days = answer?.effects.find((one) => one.gate.id === id)?.days ?? 0
        if (answer && days < 0)
          tried.value = [...tried.value, { lever, days: -days, items, consequence: answer }]
        if (answer) trials.keep(rows, question, time.now, { count: count + 1, tried: tried.value })
      }
      left.value = 0
    },
    { immediate: true },
  )
  onScopeDispose(() => run++)
  return { tried, left }
}
