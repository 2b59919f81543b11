import { computed, onScopeDispose, shallowRef, toRaw, watch } from 'vue'
import type { Ref } from 'vue'
import type { ChainLink } from '#core/plan/chain'
import type { Drag } from '#core/plan/drag'
import type { Ghost } from '#core/sequence/ghostRope'
import type { TriedLever } from './useLevers'

const measured = new KeptAnswers<readonly Drag[]>()

/**
 * What the planner says about a gate's chain, asked in the quiet one after the other: what each link holds up, what
 * would bring the gate forward. Another plan or gate begins anew.
 */
export function useChainAnswers(gateId: Ref<string | null>, links: Ref<readonly ChainLink[]>) {
  const planner = usePlannerStore()
  const store = useRefitStore()
  const time = useTimeStore()
  const chain = computed(() => links.value.flatMap((link) => link.stepId ?? []))
  /** Each link left out, and the plan laid again; null: not measured yet. */
  const drags = shallowRef<readonly Drag[] | null>(null)
  const levers = useLevers(
    gateId,
    chain,
    computed(() => !planner.busy && (drags.value !== null || links.value.length < 2)),
  )
  let isOver = false
  onScopeDispose(() => (isOver = true))
  const isOf = (asked: readonly ChainLink[]) => () => !isOver && links.value === asked

  watch(
    [links, () => planner.busy],
    async ([asked, busy]) => {
      drags.value = null
      const id = gateId.value
      if (busy || id === null || asked.length < 2) return
      const rows = toRaw(store.rows)
      const question = [id, ...chain.value].join(' ')
      drags.value = measured.of(rows, question, time.now) ?? null
      if (drags.value) return
      const found = await planner.drags(id, chain.value, isOf(asked))
      if (!isOf(asked)()) return
      drags.value = found
      if (found) measured.keep(rows, question, time.now, found)
    },
    { immediate: true },
  )
  const pointed = shallowRef<TriedLever | null>(null)
  /** What the lever that is pointed at would do to the gate and its chain; null: none is, or it is gone. */
  const ghost = computed((): Ghost | null => {
    const lever = pointed.value
    if (!lever || !levers.tried.value.includes(lever)) return null
    const { effects, moved } = lever.consequence
    const on = effects.find((one) => one.gate.id === gateId.value)?.after ?? null
    return on === null
      ? null
      : { on, moved: new Map(moved.steps.map((one) => [one.stepId, one.to])) }
  })
  return { chain, drags, levers, pointed, ghost }
}
