import { computed } from 'vue'
import { afloatBy } from '#core/log/afloat'
import type { IsAfloat } from '#core/log/daysAfloat'

/** Whether she is afloat on a local day, as it was or as it is planned. */
export function useAfloat(): IsAfloat {
  const store = useRefitStore()
  const by = computed(() => afloatBy(store.rows, store.accepted, store.zone))
  return (day) => by.value(day)
}
