<script setup lang="ts">
/** Days of the week to tick, 1 Monday to 7 Sunday. */
defineProps<{ label: string; of: string; weekdays: readonly number[] }>()
const emit = defineEmits<{ tick: [weekday: number] }>()
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
</script>

<template>
  <div class="mt-2 flex flex-wrap items-end gap-x-4" role="group" :aria-label="`${label}: ${of}`">
    <span class="cond self-center">{{ label }}</span>
    <UiCheck
      v-for="(day, index) in days"
      :key="day"
      :model-value="weekdays.includes(index + 1)"
      :label="day"
      @update:model-value="emit('tick', index + 1)"
    />
    <slot />
  </div>
</template>
