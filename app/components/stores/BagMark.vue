<script setup lang="ts">
/** A bag with a tick: it is in there; an empty bag: it comes another day. */
defineProps<{ full: boolean }>()
</script>

<template>
  <svg width="40" height="40" viewBox="0 0 40 40" aria-hidden="true">
    <path
      d="M6 10H34L30 33H10Z"
      class="stroke-ink"
      :class="full ? 'fill-brass' : 'fill-none'"
      stroke-width="2.5"
      stroke-linejoin="round"
      :stroke-dasharray="full ? undefined : '4 3'"
    />
    <path v-if="full" d="M13 21L18 27L28 15" class="fill-none stroke-ink" stroke-width="3" />
  </svg>
</template>
