<script setup lang="ts">
/** A button that asks for runs, how far they are, and what went wrong with them. */
defineProps<{
  label: string
  /** Share of the runs made; null: none are being made. */
  progress: number | null
  failed: string
  disabled?: boolean
}>()
defineEmits<{ ask: [] }>()
</script>

<template>
  <div>
    <button class="btn btn-small" :disabled="disabled || progress !== null" @click="$emit('ask')">
      {{ label }}
    </button>
    <progress
      v-if="progress !== null"
      :value="progress"
      max="1"
      class="ml-3 w-32 align-middle"
      aria-label="Runs done"
    />
    <p v-if="failed" class="mt-1 text-redlead" role="alert">{{ failed }}</p>
  </div>
</template>
