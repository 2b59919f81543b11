import { computed } from 'vue'
import { inOrder } from '#core/model/refit'

/** People who are still with the refit, to choose from. */
export function usePeople() {
  const store = useRefitStore()
  const me = useMe()
  const people = computed(() =>
    inOrder(store.rows.person.filter((one) => !one.gone)).map((one) => ({
      value: one.id,
      label: one.name,
    })),
  )
  /** Whose name a signature begins with: whoever is at the device, or the only one there is; else nobody's. */
  const signer = (): string | null => {
    const [only, ...others] = people.value
    return me.value || (only && others.length === 0 ? only.value : null)
  }
  return { people, signer }
}
