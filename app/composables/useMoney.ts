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
  const odds = useOddsStore()
  /** What the runs of the plan end at, moved by what was written down since; null: none of this plan. */
  const outcome = computed(() => {
    const cost = odds.isFresh ? odds.stored?.cost : null
    if (!cost) return null
    const since = money.value.likelyMinor - cost.likelyMinor
    const { p10, p25, p50, p75, p80, p90 } = cost.at
    return {
      p10: p10 + since,
      p25: p25 + since,
      p50: p50 + since,
      p75: p75 + since,
      p80: p80 + since,
      p90: p90 + since,
    }
  })
  /** Likely in the end: by the runs where there are any, else as the accounts add up. */
  const likelyMinor = computed(() => outcome.value?.p50 ?? money.value.likelyMinor)
  const year = computed(() => store.derived.today.slice(0, 4))
  return { money, currency, inchAt, outcome, likelyMinor, say, sayWhole, year }
}
