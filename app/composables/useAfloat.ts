import { computed } from 'vue'
import { haulOutsAsPlanned } from '#core/plan/schedule/haulOuts'
import type { IsAfloat } from '#core/log/checks'

/** Whether she is afloat on a local day, as it was or as it is planned. */
export function useAfloat(): IsAfloat {
  const store = useRefitStore()
  const ashore = computed(() =>
    haulOutsAsPlanned(store.rows, store.accepted, store.zone).map((one) => ({
      from: store.zone.dayOf(one.from),
      to: one.launchAt === Infinity ? Infinity : store.zone.dayOf(one.launchAt),
    })),
  )
  return (day) => !ashore.value.some((one) => one.from <= day && day < one.to)
}
