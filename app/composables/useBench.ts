import { computed } from 'vue'
import { benchBoard } from '#core/bench/board'
import type { BoardItem } from '#core/bench/board'
import { plainTools } from '#core/bench/sum'
import { bindingChain } from '#core/plan/chain'

/** What open jobs want worked out, or one of them, and how it stands. */
export function useBench(jobId?: () => string) {
  const store = useRefitStore()
  const starts = computed(
    () =>
      new Map(
        (store.accepted?.placements ?? []).flatMap((one) =>
          one.segments[0] ? [[one.stepId, one.segments[0][0]] as const] : [],
        ),
      ),
  )
  /** Steps on the chain of the first gate that is still to come, by the gate's name. */
  const held = computed(() => {
    const plan = store.accepted
    const first = plan && [...plan.gates].sort((a, b) => a.at - b.at)[0]
    if (!plan || !first) return new Map<string, string>()
    const name = store.rows.gate.find((one) => one.id === first.gateId)?.name ?? ''
    return new Map(
      bindingChain(plan, store.rows, first.gateId, store.zone).flatMap((link) =>
        link.stepId === null ? [] : [[link.stepId, name] as const],
      ),
    )
  })
  const items = computed((): BoardItem[] =>
    benchBoard(
      store.rows,
      {
        startOf: (id) => starts.value.get(id) ?? null,
        holds: (id) => held.value.get(id) ?? null,
        tools: plainTools(store.refit?.units ?? 'metric', store.refit?.currency),
      },
      jobId?.(),
    ),
  )
  const open = computed(() => items.value.filter((one) => !one.isKept))
  return { items, open }
}
