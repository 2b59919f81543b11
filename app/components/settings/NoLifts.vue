<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import type { ClosedDates } from '#core/model/entities/places'

/** Days on which a yard lifts and launches nothing: its own holidays, the insurer's dates, ice. */
const props = defineProps<{ dates: readonly ClosedDates[]; of: string }>()
const emit = defineEmits<{ set: [dates: readonly ClosedDates[]] }>()
const store = useRefitStore()
const change = (index: number, patch: Partial<ClosedDates>) =>
  emit(
    'set',
    props.dates.map((one, at) => (at === index ? { ...one, ...patch } : one)),
  )
const add = () =>
  emit('set', [...props.dates, { from: store.derived.today, to: store.derived.today, why: '' }])
</script>

<template>
  <div role="group" :aria-label="`No lifts: ${of}`" class="mt-2">
    <ul v-if="dates.length > 0" class="grid gap-2">
      <li
        v-for="(one, index) in dates"
        :key="index"
        class="grid items-end gap-2 sm:grid-cols-[11rem_11rem_1fr_auto]"
      >
        <UiDate
          :model-value="one.from"
          label="No lifts from"
          @update:model-value="$event && change(index, { from: $event })"
        />
        <UiDate
          :model-value="one.to"
          label="Up to"
          @update:model-value="$event && change(index, { to: $event })"
        />
        <UiText
          :model-value="one.why"
          label="Why"
          @update:model-value="change(index, { why: $event ?? '' })"
        />
        <button
          class="btn btn-quiet"
          :aria-label="`Lifts again: ${of}, dates ${index + 1}`"
          @click="
            emit(
              'set',
              dates.filter((_, at) => at !== index),
            )
          "
        >
          <Trash2 :size="17" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <button class="btn btn-small mt-1" :aria-label="`Days without lifts: ${of}`" @click="add">
      Days without lifts
    </button>
  </div>
</template>
