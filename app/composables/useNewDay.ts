import { computed } from 'vue'
import type { Ref } from 'vue'
import { comesOnItems } from '#core/stores/ordering'
import type { BuyBoard } from '#core/stores/board'
import { dateOf } from '#core/time/civil'

/** Another day for something that is on its way, by drag, by key or by date: what it does to the plan, then taken. */
export function useNewDay(board: Ref<BuyBoard>) {
  const store = useRefitStore()
  const { sayDay } = useDates()
  const rowOf = (key: string | null) =>
    board.value.rows.find((one) => one.key === key && one.kind === 'onItsWay') ?? null
  const moved = useMovedDay({
    itemsFor: (key, day) => {
      const row = rowOf(key)
      return row ? comesOnItems(store.rows, row.wants, day) : []
    },
    words: (key, day) => {
      const row = rowOf(key)
      const was = row?.dueOn == null ? '' : ` instead of ${sayDay(dateOf(row.dueOn))}`
      return {
        label: `“${row?.pool.name ?? ''}” is due on ${sayDay(day)}`,
        does: `It is written down as coming on ${sayDay(day)}${was}, and what needs it waits for it.`,
      }
    },
    laterCosts: true,
    dayOf: (key) => {
      const due = rowOf(key)?.dueOn
      return due == null ? store.derived.today : dateOf(due)
    },
  })
  return { ...moved, row: computed(() => rowOf(moved.id.value)) }
}
