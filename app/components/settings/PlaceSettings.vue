<script setup lang="ts">
import { computed } from 'vue'

/** Yard, berth, shed: how far, when it is open, whether nights are spent there, when the yard lifts, what a day costs. */
const store = useRefitStore()
const places = useRows('place')
const list = computed(() => [...store.rows.place].sort((a, b) => (a.kind < b.kind ? 1 : -1)))
const newKinds = [
  { value: 'berth', label: 'Berth or mooring' },
  { value: 'yard', label: 'Yard' },
  { value: 'shop', label: 'Shop' },
] as const
</script>

<template>
  <section aria-labelledby="set-places">
    <h2 id="set-places" class="border-b-2 border-ink">Places</h2>
    <div v-for="place in list" :key="place.id" class="border-b border-rule py-3">
      <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
        <RowField entity="place" :row="place" field="name" :label="`Name of the ${place.kind}`" />
        <RowField entity="place" :row="place" field="travelMin" label="Minutes there, one way" />
        <template v-if="place.kind !== 'shop'">
          <RowField entity="place" :row="place" field="setUpMin" label="Set-up, minutes" />
          <RowField entity="place" :row="place" field="packUpMin" label="Pack-up, minutes" />
        </template>
      </div>
      <div class="mt-2 grid grid-cols-2 items-end gap-3 md:grid-cols-4">
        <RowField entity="place" :row="place" field="opensAt" />
        <RowField entity="place" :row="place" field="shutsAt" />
        <template v-if="place.kind === 'yard' || place.kind === 'berth'">
          <RowField entity="place" :row="place" field="nights" />
          <RowField
            v-if="place.nights !== 'none'"
            entity="place"
            :row="place"
            field="nightMinor"
            label="A person and night"
          />
          <RowField v-if="place.nights !== 'none'" entity="place" :row="place" field="nightsFrom" />
        </template>
      </div>
      <WeekdayTicks
        label="Shut on"
        :of="place.name"
        :weekdays="place.shutWeekdays"
        @tick="places.tick(place, 'shutWeekdays', $event)"
      />
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
          :means="places.asked(place).monthMeanC ?? []"
          :of="place.name"
          @set="places.edit(place, { monthMeanC: $event })"
        />
      </template>
      <template v-if="place.kind === 'yard'">
        <WeekdayTicks
          label="Lifts on"
          :of="place.name"
          :weekdays="place.liftWeekdays"
          @tick="places.tick(place, 'liftWeekdays', $event)"
        >
          <RowField entity="place" :row="place" field="liftFrom" class="w-24" />
          <RowField entity="place" :row="place" field="liftUntil" class="w-32" />
        </WeekdayTicks>
        <RowField entity="place" :row="place" field="launchesWithoutYou" />
        <NoLifts
          :dates="places.asked(place).noLifts"
          :of="place.name"
          @set="places.edit(place, { noLifts: $event })"
        />
        <YardPrices :place="place" />
      </template>
      <BerthPrice v-if="place.kind === 'berth'" :place="place" />
      <button
        v-if="place.kind === 'shop' || list.filter((one) => one.kind === place.kind).length > 1"
        class="btn btn-small mt-2"
        :aria-label="`Remove ${place.name}`"
        @click="places.remove(place)"
      >
        Remove
      </button>
    </div>
    <UiAnother
      v-slot="{ bind }"
      entity="place"
      field="name"
      label="Another place"
      keep="Add it"
      :initial="{ kind: 'berth' }"
    >
      <FieldInput v-bind="bind('kind', 'It is a')" class="w-40" :options="newKinds" />
    </UiAnother>
  </section>
</template>
