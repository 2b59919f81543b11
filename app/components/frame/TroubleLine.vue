<script setup lang="ts">
/** Something that is wrong with the whole refit, said over every view: the sentence, and what can be done beside it. */
defineSlots<{ default(): unknown; action(): unknown }>()
</script>

<template>
  <div
    class="no-print mb-3 flex flex-wrap items-center gap-3 border-l-4 border-redlead bg-sheet px-3 py-2"
    role="alert"
  >
    <p class="min-w-60 flex-1"><slot /></p>
    <slot name="action" />
  </div>
</template>
