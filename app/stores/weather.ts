import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { TemperatureAt } from '#core/cure/dose'
import type { WeatherHour } from '#core/cure/dewPoint'
import { hourMs } from '#core/time/civil'

/** A week of simulated weather, asked for once a refit. */
export const useWeatherStore = defineStore('weather', () => {
  const store = useRefitStore()
  const station = ref('')
  const hours = shallowRef<readonly WeatherHour[]>([])

  watch(
    () => (store.status === 'ready' ? store.refitId : ''),
    async (refitId) => {
      if (refitId === '') return
      try {
        const asked = await api<{ station: string; hours: WeatherHour[] }>(
          `/api/refits/${refitId}/weather`,
        )
        station.value = asked.station
        hours.value = asked.hours
      } catch {
        // Without weather, clocks go by their assumed temperature and Today says so.
        hours.value = []
      }
    },
    { immediate: true },
  )

  /** Forecast air at an instant, straight lines between hours; `otherwise` where it does not reach. */
  function temperatureFor(otherwise: number): TemperatureAt {
    const list = hours.value
    const first = list[0]
    if (!first) return () => otherwise
    return (instant) => {
      const index = Math.floor((instant - first.at) / hourMs)
      const hour = list[index]
      const next = list[index + 1]
      if (!hour || index < 0) return otherwise
      if (!next) return hour.tempC
      return hour.tempC + ((instant - hour.at) / hourMs) * (next.tempC - hour.tempC)
    }
  }
  return { station, hours, temperatureFor }
})
