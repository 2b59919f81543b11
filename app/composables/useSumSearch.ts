import { onScopeDispose, ref, shallowRef, toRaw } from 'vue'
import type { Ref } from 'vue'
import type { Values } from '#core/bench/ask'
import type { Answer, Sum } from '#core/bench/sum'
import type { UnitSystem } from '#core/units/length'
import { searchSum } from '~/workers/sumLink'
import type { OwnWork } from '~/workers/ownWorker'

/** The best answer that a search has found to what stands in the fields now; begins again when they change. */
export function useSumSearch(
  sum: Sum,
  values: Values,
  quick: Ref<Answer | null>,
  units: () => UnitSystem,
  currency: () => string,
) {
  const best = shallowRef<Answer | null>(null)
  const share = ref(0)
  const wrong = ref('')
  const running = shallowRef<OwnWork<void> | null>(null)

  function stop(): void {
    running.value?.stop()
    running.value = null
  }
  function start(): void {
    stop()
    best.value = null
    share.value = 0
    wrong.value = ''
    if (!sum.isSearch || !quick.value) return
    const given = JSON.parse(JSON.stringify(toRaw(values))) as Values
    const own = searchSum(sum.key, given, units(), currency(), (progress) => {
      if (running.value !== own) return
      share.value = progress.share
      const { answer } = progress
      const before = (best.value ?? quick.value)?.score ?? Infinity
      if (answer && (answer.score ?? 0) < before - 1e-9) best.value = answer
    })
    running.value = own
    own.done
      .catch((error: unknown) => {
        if (running.value === own) wrong.value = sentenceOf(error)
      })
      .finally(() => {
        if (running.value === own) running.value = null
      })
  }
  // What was found belongs to the figures it was found for.
  watchSettled(() => JSON.stringify(values), start, { ms: 300, immediate: true })
  onScopeDispose(stop)
  return { best, share, running, wrong, stop, start }
}
