<script setup lang="ts">
import { computed } from 'vue'
import { formatTemp } from '#core/units/quantity'
import type { Person } from '#core/model/entities'

/** Where, who, from when to when, and the weather as somebody says it is. */
defineProps<{
  open: boolean
  frame: {
    readonly on: string
    readonly placeNeed: string
    readonly personIds: readonly string[]
    readonly from: string
    readonly to: string
    readonly rain: boolean
    readonly lowC: number | null
    readonly highC: number | null
  }
  people: readonly Person[]
  changed: boolean
  /** '': none reports for this refit. */
  station: string
  /** The forecast reaches this day. */
  known: boolean
  monthMeanC: number | null
}>()
const emit = defineEmits<{
  set: [fields: Record<string, unknown>]
  person: [personId: string]
  reset: []
  close: []
}>()
const store = useRefitStore()
const { sayDay, shortDateTime } = useDates()
/** Whose forecast it is, and from when. */
const source = computed(() => {
  const [forecast] = store.rows.forecast
  return forecast
    ? `${forecast.station}, as of ${shortDateTime(forecast.takenAt, store.zone)}.`
    : 'As you typed it.'
})
</script>

<template>
  <UiDialog
    :open="open"
    :title="`${sayDay(frame.on)}: where, who, until when`"
    @close="emit('close')"
  >
    <DaySetup
      :frame="frame"
      :people="people"
      :changed="changed"
      @set="emit('set', $event)"
      @person="emit('person', $event)"
      @reset="emit('reset')"
    />
    <h3 class="mt-4">The weather</h3>
    <p class="text-ink2">
      <template v-if="known">{{ source }} Type what you see, and the plan goes by it.</template>
      <template v-else-if="station">The forecast does not reach this day.</template>
      <template v-else
        >No forecast comes here: type the low and the high to have the hours worked out.</template
      >
      <template v-if="!known && monthMeanC !== null">
        Cures go by the month, about
        {{ formatTemp(monthMeanC, store.refit?.units ?? 'metric') }}.</template
      >
      A deck under a clear night sky is colder than the air.
    </p>
    <div class="flex items-end gap-2 pt-1">
      <UiQuantity
        class="w-24"
        :model-value="frame.lowC"
        label="Low"
        unit="°C"
        :min="-30"
        :max="50"
        may-be-empty
        @update:model-value="emit('set', { lowC: $event })"
      />
      <UiQuantity
        class="w-24"
        :model-value="frame.highC"
        label="High"
        unit="°C"
        :min="-30"
        :max="60"
        may-be-empty
        @update:model-value="emit('set', { highC: $event })"
      />
      <UiCheck
        :model-value="frame.rain"
        label="Rain all day"
        @update:model-value="emit('set', { rain: $event })"
      />
    </div>
    <div class="mt-4"><CantCome /></div>
  </UiDialog>
</template>
