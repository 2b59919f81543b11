import { computed } from 'vue'
import { moneyOf } from '#core/money/accounts'
import { inchOf } from '#core/money/costScene'
import { digitsOf, formatMoney } from '#core/money/money'

/** What every page of the money shows: the accounts of the rows and the plan as they stand, and sums in words. */
export function useMoney() {
  const store = useRefitStore()
  const money = computed(() => moneyOf(store.rows, store.accepted, store.derived))
  const currency = computed(() => money.value.currency)
  const inchAt = computed(() => inchOf(store.rows, store.zone, store.derived.earnedIn))
  const say = (minor: number) => formatMoney(minor, currency.value)
  /** Where sums stand in columns: without the small coin. */
  const sayWhole = (minor: number) => {
    const one = 10 ** digitsOf(currency.value)
    return say(Math.round(minor / one) * one)
  }
  const year = computed(() => store.derived.today.slice(0, 4))
  return { money, currency, inchAt, say, sayWhole, year }
}
