import { onScopeDispose, shallowRef, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'

/** Something that could be, as the changes it would be. */
export interface QuietAsk {
  readonly key: string
  readonly items: readonly ChangeItem[]
  /** It can only cost: what comes earlier with it is none of its doing. */
  readonly laterCosts: boolean
}

/**
 * What changes would do to the gates, in words by their keys, asked one after the other and never before anybody's own
 * question. Said of the plan that stands and of what is asked now, and of nothing before.
 */
export function useQuietEffects(asks: () => readonly QuietAsk[]) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const said = shallowRef<ReadonlyMap<string, string>>(new Map())
  let run = 0
  watch(
    [asks, () => store.accepted],
    async ([list]) => {
      const mine = ++run
      said.value = new Map()
      for (const { key, items, laterCosts } of list) {
        const answer = await planner
          .quietConsequence(items, () => mine === run)
          .then((one) => one && sayMoved(one, laterCosts ? 'later' : 'all'), sentenceOf)
        if (mine !== run) return
        if (answer !== null) said.value = new Map([...said.value, [key, answer]])
      }
    },
    { immediate: true },
  )
  onScopeDispose(() => run++)
  return said
}
