<script setup lang="ts">
/** A label, what it labels, a hint and the message when it is wrong. */
defineProps<{
  id: string
  label: string
  hint?: string
  error?: string
  /** The label is read but not shown. */
  hideLabel?: boolean
}>()
</script>

<template>
  <div>
    <label :for="id" class="cond text-ink2" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <slot :described="error || hint ? `${id}-said` : undefined" />
    <p v-if="error" :id="`${id}-said`" class="mt-1 text-redlead" role="alert">{{ error }}</p>
    <p v-else-if="hint" :id="`${id}-said`" class="mt-0.5 text-ink2">{{ hint }}</p>
  </div>
</template>
