<script setup lang="ts">
/** The frame of a form that adds a row: its fields, the button that keeps them, and what is wrong with them as a whole. */
defineProps<{
  form: Pick<ReturnType<typeof useRowForm>, 'busy' | 'wrong'>
  /** Words of the button. */
  keep: string
}>()
defineEmits<{ keep: [] }>()
</script>

<template>
  <form class="no-print mt-2 items-end gap-2" @submit.prevent="$emit('keep')">
    <slot />
    <button class="btn justify-self-start" :disabled="form.busy.value">{{ keep }}</button>
    <p v-if="form.wrong.value" class="col-span-full basis-full text-redlead" role="alert">
      {{ form.wrong.value }}
    </p>
  </form>
</template>
