<script setup lang="ts">
import { computed } from 'vue'
import type { Place } from '#core/model/entities'
import { usualBerthMinor } from '#core/money/berth'

/** What a day at a berth costs; without a price of its own, what a yard wrote down for berths. */
const props = defineProps<{ place: Place }>()
const store = useRefitStore()
const { say } = useMoney()
const tariffs = useRows('yardTariff')
const tariff = computed(
  () => store.rows.yardTariff.find((one) => one.placeId === props.place.id) ?? null,
)
const usualMinor = computed(() => usualBerthMinor(store.rows))
</script>

<template>
  <fieldset class="mt-2">
    <legend class="cond text-ink2">What it asks for</legend>
    <div v-if="tariff" class="flex flex-wrap items-end gap-3">
      <RowField
        entity="yardTariff"
        :row="tariff"
        field="berthPerDayMinor"
        :label="tariff.byMetre ? 'A day, each metre of her' : 'A day at the berth'"
        class="w-48 max-w-full"
      />
      <RowField entity="yardTariff" :row="tariff" field="byMetre" />
      <button
        class="btn btn-small"
        :aria-label="`Remove the price of ${place.name}`"
        @click="tariffs.remove(tariff)"
      >
        No price of its own
      </button>
    </div>
    <div v-else class="flex flex-wrap items-center gap-3">
      <button
        type="button"
        class="btn btn-small"
        :aria-label="`Write down what a day at ${place.name} costs`"
        @click="tariffs.add({ placeId: place.id, berthPerDayMinor: usualMinor ?? 0 })"
      >
        Write down what a day costs
      </button>
      <span class="text-ink2">
        <template v-if="usualMinor !== null">
          Until then a day here counts {{ say(usualMinor) }}, as the yard's prices say.
        </template>
        <template v-else>Until then days here are not counted in any sum.</template>
      </span>
    </div>
  </fieldset>
</template>
