<script setup lang="ts">
/** Days of the week to tick, 1 Monday to 7 Sunday. */
const props = defineProps<{ label: string; of: string; weekdays: readonly number[] }>()
const emit = defineEmits<{ set: [weekdays: number[]] }>()
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const toggle = (day: number) =>
  emit(
    'set',
    props.weekdays.includes(day)
      ? props.weekdays.filter((one) => one !== day)
      : [...props.weekdays, day].sort(),
  )
</script>

<template>
  <div class="mt-2 flex flex-wrap items-end gap-x-4" role="group" :aria-label="`${label}: ${of}`">
    <span class="cond self-center">{{ label }}</span>
    <UiCheck
      v-for="(day, index) in days"
      :key="day"
      :model-value="weekdays.includes(index + 1)"
      :label="day"
      @update:model-value="toggle(index + 1)"
    />
    <slot />
  </div>
</template>
