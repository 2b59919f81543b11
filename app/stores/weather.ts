import { defineStore } from 'pinia'
import { computed, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { WeatherHour } from '#core/cure/dewPoint'

/** The forecast is one row of the refit, so that the plan and every window go by the same hours. */
const rowId = 'forecast'

/** Asks for the forecast once a day, and keeps it with the refit where it says something new. */
export const useWeatherStore = defineStore('weather', () => {
  const store = useRefitStore()
  const time = useTimeStore()
  const station = computed(() => store.rows.forecast[0]?.station ?? '')

  async function refresh(refitId: string): Promise<void> {
    try {
      const asked = await api<{ station: string; hours: WeatherHour[] }>(
        `/api/refits/${refitId}/weather`,
      )
      if (store.refitId === refitId) await keep(asked)
    } catch {
      // What was forecast last stands; Today says how old it is, and what it does not reach.
    }
  }

  async function keep(asked: { station: string; hours: WeatherHour[] }): Promise<void> {
    const stored = store.rows.forecast[0]
    const isSame = JSON.stringify(stored?.hours ?? []) === JSON.stringify(asked.hours)
    if (isSame || asked.hours.length === 0) return
    const values = { station: asked.station, takenAt: Math.round(time.now), hours: asked.hours }
    const item: ChangeItem = stored
      ? {
          op: 'patch',
          entity: 'forecast',
          id: stored.id,
          baseVersion: stored.version,
          patch: values,
        }
      : { op: 'create', entity: 'forecast', id: rowId, patch: values }
    await store.submitQuietly('Forecast', [item])
  }

  watch(
    () => (store.status === 'ready' ? `${store.refitId} ${store.derived.today}` : ''),
    (asked) => {
      if (asked !== '') void refresh(store.refitId)
    },
    { immediate: true },
  )
  return { station }
})
