import { computed } from 'vue'
import { tradeAccounts } from '#core/money/tradeAccount'

/** How one stands with each trade, those with something to settle first. */
export function useTradeAccounts() {
  const store = useRefitStore()
  return computed(() =>
    [...tradeAccounts(store.rows)].sort(
      (a, b) =>
        b.beyondMinor - a.beyondMinor ||
        b.sum.questions.length - a.sum.questions.length ||
        (a.booking.from < b.booking.from ? -1 : 1),
    ),
  )
}
