<script setup lang="ts">
/** A tick with its words. */
const model = defineModel<boolean>({ default: false })
defineProps<{ label: string }>()
</script>

<template>
  <label class="inline-flex min-h-9 items-center gap-2 max-sm:min-h-11">
    <input v-model="model" type="checkbox" class="size-5 shrink-0 accent-(--verdigris)" />
    <span>{{ label }}</span>
  </label>
</template>
