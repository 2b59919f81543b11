<script setup lang="ts">
/** The pin through the strand: white open, red rim where it holds the gate, half brass while it is under way. */
defineProps<{ holds: boolean; doing: boolean; big: boolean }>()
</script>

<template>
  <svg
    class="pin"
    :width="big ? 42 : 34"
    :height="big ? 20 : 15"
    viewBox="0 0 34 15"
    aria-hidden="true"
  >
    <path
      d="M2 1.5 L2 13.5 L7 12 L32 10 L32 5 L7 3 Z"
      :fill="doing ? 'var(--brass)' : 'var(--sheet)'"
      :stroke="holds ? 'var(--redlead)' : 'var(--ink)'"
      stroke-width="2"
      stroke-linejoin="round"
    />
    <path d="M7 3 L7 12" :stroke="holds ? 'var(--redlead)' : 'var(--ink)'" stroke-width="1.5" />
  </svg>
</template>

<style scoped>
:global(input:focus-visible + .pin) {
  outline: 3px solid var(--water-deep);
  outline-offset: 3px;
}
</style>
