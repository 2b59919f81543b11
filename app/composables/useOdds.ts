import { computed } from 'vue'
import { chanceOn, likelyDates, oddsOfGate, sayLikely } from '#core/forecast/oddsWords'

/** The stored odds, read by gate and said with whether they are of the plan that stands. */
export function useOdds() {
  const store = useRefitStore()
  const odds = useOddsStore()
  const year = computed(() => store.derived.today.slice(0, 4))
  /** Likely and safe date of a gate, in words; '': never run. `was`: they are of the plan before. */
  const datesOf = (gateId: string | null) => {
    const gate = oddsOfGate(odds.stored, gateId)
    return gate && likelyDates(gate)
  }
  function saidOf(gateId: string | null): string {
    const dates = datesOf(gateId)
    if (!dates) return ''
    return odds.isFresh ? sayLikely(dates, year.value) : `was ${sayLikely(dates, year.value)}`
  }
  /** Of 100 runs, those in which a gate comes by a civil date; null: never run, or no date. */
  const chanceBy = (gateId: string, date: string | null): number | null => {
    const gate = oddsOfGate(odds.stored, gateId)
    return gate && date !== null ? chanceOn(gate, date) : null
  }
  return { odds, datesOf, saidOf, chanceBy }
}
