import { computed } from 'vue'
import { handsOn } from '#core/plan/handsOn'
import { buyBoard } from '#core/stores/board'
import { storeFacts } from '#core/stores/storeFacts'
import { startOfDate } from '#core/time/zone'

/** What every page of the stores shows: facts of parts, and the rows of what to buy. */
export function useStores() {
  const store = useRefitStore()
  // From minute to minute nothing of it changes.
  const today = computed(() => startOfDate(store.zone, store.derived.today))
  const hands = computed(() => handsOn(store.rows, store.accepted, store.zone))
  const facts = computed(() =>
    storeFacts(store.rows, store.accepted, store.zone, hands.value, today.value),
  )
  const board = computed(() => buyBoard(facts.value))
  const currency = computed(() => store.rows.refit[0]?.currency ?? 'EUR')
  const year = computed(() => store.derived.today.slice(0, 4))
  return { facts, board, currency, year }
}
