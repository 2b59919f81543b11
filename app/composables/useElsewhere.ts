import { computed, ref, shallowRef, watch } from 'vue'
import { sharedPeople } from '#core/elsewhere/elsewhere'
import type { Elsewhere } from '#core/elsewhere/elsewhere'

/** People of this refit who are in other refits of the same data folder too; asked when it is looked at. */
export function useElsewhere() {
  const store = useRefitStore()
  const found = shallowRef<readonly Elsewhere[]>([])
  /** Why it is not known; '': it is, or is being asked. */
  const failed = ref('')
  const names = computed(() => store.rows.person.map((one) => `${one.gone} ${one.name}`).join('|'))
  watch(
    [names, () => store.connected],
    async ([, connected]) => {
      if (!connected) return
      const { refitId } = store
      try {
        const answer = await api<Elsewhere[]>(`/api/refits/${refitId}/elsewhere`)
        if (refitId !== store.refitId) return
        found.value = answer
        failed.value = ''
      } catch (error) {
        failed.value = sentenceOf(error)
      }
    },
    { immediate: true },
  )
  const shared = computed(() => {
    const { clock, today } = store.derived
    return sharedPeople(store.rows, store.accepted, found.value, clock, today)
  })
  return { shared, failed }
}
