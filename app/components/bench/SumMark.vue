<script setup lang="ts">
/** A ring: to be looked at, or wanted; a bung: fine, or kept; a ring struck through: a stop. */
defineProps<{ mark: 'ring' | 'bung' | 'stop' | 'redRing' | 'none'; said?: string }>()
</script>

<template>
  <svg
    v-if="mark !== 'none'"
    width="20"
    height="20"
    viewBox="0 0 20 20"
    :role="said ? 'img' : undefined"
    :aria-label="said"
    :aria-hidden="said ? undefined : true"
    class="mt-0.5 flex-none"
  >
    <path
      v-if="mark === 'bung'"
      d="M3.5 4H16.5L14.5 16H5.5Z"
      fill="var(--brass)"
      stroke="var(--ink)"
      stroke-width="1.8"
    />
    <template v-else>
      <circle
        cx="10"
        cy="10"
        r="7"
        fill="none"
        :stroke="mark === 'ring' ? 'var(--ink)' : 'var(--redlead)'"
        stroke-width="2.6"
      />
      <path v-if="mark === 'stop'" d="M4 16L16 4" stroke="var(--redlead)" stroke-width="2.6" />
    </template>
  </svg>
</template>
