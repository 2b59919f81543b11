import { computed } from 'vue'
import type { AirNow } from '#core/bench/sum'

/** The air of this hour as the forecast has it; without one, the month's mean. */
export function useAirNow() {
  const store = useRefitStore()
  const time = useTimeStore()
  return computed((): AirNow => {
    const hours = store.rows.forecast[0]?.hours ?? []
    const at = time.minute
    const index = hours.findIndex((one) => one.at <= at && at < one.at + 3_600_000)
    const hour = hours[index]
    const later = hours[index + 3]
    const month = Number(store.derived.today.slice(5, 7)) - 1
    const airC = hour?.tempC ?? store.refit?.monthMeanC[month] ?? 15
    return {
      airC: Math.round(airC * 10) / 10,
      dewC: hour ? Math.round(hour.dewC * 10) / 10 : null,
      deckC: Math.round(airC * 10) / 10,
      minute: store.zone.minutesOf(at),
      warmingC: hour && later ? Math.round(((later.tempC - hour.tempC) / 3) * 10) / 10 : 0,
    }
  })
}
