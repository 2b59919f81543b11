<script setup lang="ts">
import type { SaidRow } from '#core/stores/sayBuy'

/** A row of the stores in two lines: what, and what presses. */
defineProps<{ name: string; said: SaidRow }>()
const colour = { red: 'text-redlead', green: 'text-verdigris', ink: '' } as const
</script>

<template>
  <span class="block min-w-0">
    <span class="cond block leading-tight">{{ name }}</span>
    <span class="cond block text-[0.9375rem] leading-tight" :class="colour[said.tone]"
      >{{ said.strong }}<span class="font-normal text-ink2">{{ said.rest }}</span></span
    >
  </span>
</template>
