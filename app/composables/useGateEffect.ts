import { watchDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import { supposing } from '#core/model/applyChange'
import type { ChangeItem } from '#core/model/changes'
import { effectSentence, gateEffects } from '#core/plan/effect'

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
  async function effectOf(list: readonly ChangeItem[]): Promise<string> {
    const before = store.accepted
    if (!before) return ''
    const answer = await planner.suppose(supposing(store.rows, list))
    if (!answer) return ''
    const { plan } = answer
    const gates = store.derived.gates.map((one) => one.gate)
    const said = effectSentence(gateEffects(gates, before, plan, store.derived.clock))
    const known = new Set(before.reasons.map((reason) => reason.message))
    const fresh = plan.reasons.find((reason) => !known.has(reason.message))
    return fresh ? `It cannot be planned: ${fresh.message}` : said
  }
  return { sentence, busy, effectOf }
}
