import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'

/** Long enough that a dimension typed in full is planned once. */
const settleMs = 400

/** What a change list would do to the gates, worked out in the planner's worker as it changes. */
export function useGateEffect(items: Ref<readonly ChangeItem[]>) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const sentence = ref('')
  const busy = ref(false)
  const ready = computed(() => store.plan !== null && !planner.busy)
  let run = 0

  watchDebounced(
    [items, ready],
    async ([list]) => {
      const mine = ++run
      if (list.length === 0 || !ready.value) {
        sentence.value = ''
        busy.value = false
        return
      }
      busy.value = true
      try {
        const said = await effectOf(list)
        if (mine === run) sentence.value = said
      } catch (error) {
        if (mine === run) sentence.value = `It could not be worked out: ${sentenceOf(error)}`
      } finally {
        if (mine === run) busy.value = false
      }
    },
    { immediate: true, debounce: settleMs },
  )

  /** The sentence for one change list; '' when there is nothing to say, or a newer question came. */
  const effectOf = async (list: readonly ChangeItem[]): Promise<string> =>
    store.plan ? ((await planner.whatIf(list)) ?? '') : ''
  return { sentence, busy, effectOf }
}
