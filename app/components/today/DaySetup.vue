<script setup lang="ts">
import { RotateCcw } from '@lucide/vue'
import type { Person } from '#core/model/entities'

/** Where, who, from when to when: the plates over the day sheet. */
defineProps<{
  frame: {
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
}>()
const emit = defineEmits<{
  set: [fields: Record<string, unknown>]
  person: [personId: string]
  reset: []
  away: [personId: string]
}>()
const places = [
  { value: 'boat', label: 'At the boat' },
  { value: 'shed', label: 'In the shed' },
] as const
</script>

<template>
  <div class="no-print flex flex-wrap items-end gap-x-4 gap-y-2">
    <div role="group" aria-label="Where" class="flex">
      <button
        v-for="one in places"
        :key="one.value"
        class="btn"
        :class="{ 'btn-on': frame.placeNeed === one.value }"
        :aria-pressed="frame.placeNeed === one.value"
        @click="emit('set', { placeNeed: one.value })"
      >
        {{ one.label }}
      </button>
    </div>
    <div role="group" aria-label="Who" class="flex flex-wrap gap-1.5">
      <button
        v-for="person in people"
        :key="person.id"
        class="btn"
        :class="
          frame.personIds.includes(person.id)
            ? 'bg-verdigris! border-verdigris! text-sheet!'
            : 'border-dashed!'
        "
        :aria-pressed="frame.personIds.includes(person.id)"
        @click="emit('person', person.id)"
      >
        {{ person.name }}
      </button>
    </div>
    <div class="flex items-end gap-2">
      <UiTime
        class="w-20"
        :model-value="frame.from"
        label="There from"
        @update:model-value="emit('set', { from: $event })"
      />
      <UiTime
        class="w-20"
        :model-value="frame.to"
        label="to"
        @update:model-value="emit('set', { to: $event })"
      />
    </div>
    <div v-if="changed">
      <button class="btn" @click="emit('reset')">
        <RotateCcw :size="17" aria-hidden="true" /> As usual
      </button>
    </div>
  </div>
</template>
