import { computed } from 'vue'
import type { ChanceSide } from '#core/forecast/chances'
import { chanceOn, likelyDates, oddsOfGate, sayLikely } from '#core/forecast/oddsWords'
import { sayDate } from '#core/time/say'

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
  /** '54 in 100 by 21 May, likely 23 May' of a gate's runs; without an aim its likely day alone. */
  const sayChance = ({ chance, aimedOn, likelyOn }: ChanceSide): string => {
    const likely = likelyOn === null ? 'no likely day' : `likely ${sayDate(likelyOn, year.value)}`
    return chance === null || aimedOn === null
      ? likely
      : `${chance} in 100 by ${sayDate(aimedOn, year.value)}, ${likely}`
  }
  return { odds, datesOf, saidOf, chanceBy, sayChance }
}
