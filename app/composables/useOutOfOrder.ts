import { computed } from 'vue'
import { outOfOrder } from '#core/order/outOfOrder'
import type { OutOfOrder } from '#core/order/rule'
import { startOfDate } from '#core/time/zone'

/** What is out of order, what of it somebody lets be, and the ways to mend it. */
export function useOutOfOrder() {
  const store = useRefitStore()
  const toasts = useToastStore()
  const { undo } = useUndo()
  const { kept, lookAgain } = useOrderKept()
  const today = computed(() => startOfDate(store.zone, store.derived.today))
  const all = computed(() => outOfOrder(store.rows, store.accepted, store.zone, today.value))
  const open = computed(() => all.value.filter((one) => !kept.value.has(one.evidence)))
  const left = computed(() =>
    all.value.flatMap((found) => {
      const row = kept.value.get(found.evidence)
      return row ? [{ found, row }] : []
    }),
  )
  /** What makes a flag: notes do not. */
  const flagged = computed(() => open.value.filter((one) => one.severity !== 'note'))

  async function mend(found: OutOfOrder): Promise<void> {
    if (!found.mend) return
    const { label, items } = found.mend
    if (await store.attempt(label, items(newId)))
      toasts.say(`Done: ${label}.`, false, { label: 'Undo', run: undo })
  }
  return { all, open, left, flagged, mend, lookAgain }
}
