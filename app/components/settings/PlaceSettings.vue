<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '#core/model/entities'

/** Yard, berth, shed: how far, when the yard lifts and what a day there costs. */
const store = useRefitStore()
const places = useRows('place')
const tariffs = useRows('yardTariff')
const list = computed(() => [...store.rows.place].sort((a, b) => (a.kind < b.kind ? 1 : -1)))
const tariffOf = (place: Place) => store.rows.yardTariff.find((one) => one.placeId === place.id)
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const currency = computed(() => store.refit?.currency ?? 'EUR')
function toggle(place: Place, weekday: number) {
  const has = place.liftWeekdays.includes(weekday)
  const next = has
    ? place.liftWeekdays.filter((one) => one !== weekday)
    : [...place.liftWeekdays, weekday].sort()
  void places.edit(place, { liftWeekdays: next })
}
function price(place: Place, field: string, value: number | null) {
  const tariff = tariffOf(place)
  if (value === null) return
  void (tariff
    ? tariffs.edit(tariff, { [field]: value })
    : tariffs.add({ placeId: place.id, [field]: value }))
}
</script>

<template>
  <section aria-labelledby="set-places">
    <h2 id="set-places" class="border-b-2 border-ink">Places</h2>
    <div v-for="place in list" :key="place.id" class="border-b border-rule py-3">
      <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
        <RowField entity="place" :row="place" field="name" :label="`Name of the ${place.kind}`" />
        <RowField entity="place" :row="place" field="travelMin" label="Minutes there, one way" />
        <RowField entity="place" :row="place" field="setUpMin" label="Set-up, minutes" />
        <RowField entity="place" :row="place" field="packUpMin" label="Pack-up, minutes" />
      </div>
      <template v-if="place.kind === 'shed'">
        <UiCheck
          :model-value="place.monthMeanC !== null"
          label="It has an air of its own"
          @update:model-value="
            places.edit(place, { monthMeanC: $event ? [...(store.refit?.monthMeanC ?? [])] : null })
          "
        />
        <MonthMeans
          v-if="place.monthMeanC"
          :means="place.monthMeanC"
          :of="place.name"
          @set="places.edit(place, { monthMeanC: $event })"
        />
      </template>
      <template v-if="place.kind === 'yard'">
        <div
          class="mt-2 flex flex-wrap items-end gap-x-4"
          role="group"
          aria-label="The yard lifts on"
        >
          <span class="cond self-center">Lifts on</span>
          <UiCheck
            v-for="(day, index) in days"
            :key="day"
            :model-value="place.liftWeekdays.includes(index + 1)"
            :label="day"
            @update:model-value="toggle(place, index + 1)"
          />
          <RowField entity="place" :row="place" field="liftFrom" class="w-24" />
        </div>
        <RowField entity="place" :row="place" field="launchesWithoutYou" />
        <div class="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
          <UiMoney
            :model-value="tariffOf(place)?.perDayMinor ?? 0"
            label="A day ashore"
            :currency="currency"
            @update:model-value="price(place, 'perDayMinor', $event)"
          />
          <UiMoney
            :model-value="tariffOf(place)?.liftMinor ?? 0"
            label="A lift"
            :currency="currency"
            @update:model-value="price(place, 'liftMinor', $event)"
          />
        </div>
      </template>
    </div>
  </section>
</template>
