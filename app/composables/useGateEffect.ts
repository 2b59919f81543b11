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

  watchSettled(
    [items, ready],
    async () => {
      const list = items.value
      const mine = ++run
      if (list.length === 0 || !ready.value) {
        sentence.value = ''
        busy.value = false
        return
      }
      busy.value = true
      const said = await effectOf(list)
      if (mine !== run) return
      sentence.value = said
      busy.value = false
    },
    { immediate: true, ms: settleMs },
  )

  /** The sentence for one change list, or why there is none; '' when there is nothing to say, or a newer question came. */
  async function effectOf(list: readonly ChangeItem[]): Promise<string> {
    if (!store.plan) return ''
    try {
      return (await planner.whatIf(list)) ?? ''
    } catch (error) {
      return `It could not be worked out: ${sentenceOf(error)}`
    }
  }
  return { sentence, busy, effectOf }
}
